import { createHash, timingSafeEqual } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { CODE_LASTS_MS, CODE_LENGTH, codeFrom, codeTyped } from '@/core/people/one-time-code';
import type { Reader, Tx } from '../engine/connection';
import { entryCodes } from '../tables';

/** Gives a person a code in place of any before it. @returns the code, which is kept hashed only */
export const newCode = async (tx: Tx, personId: string, at: number): Promise<string> => {
  const code = codeFrom(crypto.getRandomValues(new Uint16Array(CODE_LENGTH)));
  const row = { hash: hashOf(code).toString('hex'), at, expiresAt: at + CODE_LASTS_MS };
  await tx
    .insert(entryCodes)
    .values({ personId, ...row })
    .onConflictDoUpdate({ target: entryCodes.personId, set: row });
  return code;
};

/** Is this the person's code, and still good? */
export const codeFits = async (db: Reader, personId: string, typed: string, now: number): Promise<boolean> => {
  const [row] = await db.select().from(entryCodes).where(eq(entryCodes.personId, personId));
  return row !== undefined && row.expiresAt > now && timingSafeEqual(Buffer.from(row.hash, 'hex'), hashOf(codeTyped(typed)));
};

export const dropCode = async (tx: Tx, personId: string): Promise<void> => {
  await tx.delete(entryCodes).where(eq(entryCodes.personId, personId));
};

const hashOf = (code: string): Buffer => createHash('sha256').update(code).digest();
