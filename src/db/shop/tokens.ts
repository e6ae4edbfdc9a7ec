import { createHash, randomBytes, randomUUID, timingSafeEqual } from 'node:crypto';
import { and, desc, eq, isNull } from 'drizzle-orm';
import { setting } from '@/config';
import type { ApiToken, TokenScope } from '@/core/shop/token';
import type { Db, Reader } from '../engine/connection';
import { apiTokens, people } from '../tables';
import { tellShop } from './shop-events';

type By = { readonly personId: string; readonly at: number };

/** Makes a token. @returns it, which is kept hashed and shown nobody again */
export async function makeToken(db: Db, by: By, t: { readonly name: string; readonly scope: TokenScope }): Promise<string> {
  const token = `ed_${randomBytes(24).toString('base64url')}`;
  await db.transaction(async (tx) => {
    const id = randomUUID();
    await tx.insert(apiTokens).values({ id, ...t, hash: hashOf(token), ...by });
    await tellShop(tx, { ...by, kind: 'token-made', about: id, lines: [`${t.name}, ${t.scope}`] });
  });
  return token;
}

/** Withdraws a token: from then on it opens nothing. */
export const withdrawToken = async (db: Db, by: By, id: string): Promise<void> =>
  db.transaction(async (tx) => {
    const [gone] = await tx
      .update(apiTokens)
      .set({ withdrawnAt: by.at })
      .where(and(eq(apiTokens.id, id), isNull(apiTokens.withdrawnAt)))
      .returning({ name: apiTokens.name });
    if (gone !== undefined) await tellShop(tx, { ...by, kind: 'token-withdrawn', about: id, lines: [gone.name] });
  });

export const tokensOf = (db: Reader): Promise<readonly ApiToken[]> =>
  db
    .select({
      id: apiTokens.id,
      name: apiTokens.name,
      scope: apiTokens.scope,
      at: apiTokens.at,
      by: people.name,
      lastUsedAt: apiTokens.lastUsedAt,
      withdrawnAt: apiTokens.withdrawnAt,
    })
    .from(apiTokens)
    .leftJoin(people, eq(apiTokens.personId, people.id))
    .orderBy(desc(apiTokens.at));

/** Its last use is written down this often at the most, ms. */
const USE_MS = 60_000;

/** Does a token open this? One of the environment's (`EDDRIN_API_TOKEN`) opens calculations and figures. */
export async function tokenOpens(db: Db, token: string, scope: TokenScope, now: number): Promise<boolean> {
  const fixed = setting('EDDRIN_API_TOKEN') ?? '';
  if (fixed !== '' && scope !== 'device' && timingSafeEqual(Buffer.from(hashOf(token)), Buffer.from(hashOf(fixed)))) return true;
  const [row] = await db
    .select()
    .from(apiTokens)
    .where(and(eq(apiTokens.hash, hashOf(token)), eq(apiTokens.scope, scope), isNull(apiTokens.withdrawnAt)));
  if (row === undefined) return false;
  if (now - (row.lastUsedAt ?? 0) > USE_MS) await db.update(apiTokens).set({ lastUsedAt: now }).where(eq(apiTokens.id, row.id));
  return true;
}

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');
