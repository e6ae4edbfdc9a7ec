import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';
import { hashPassword } from 'better-auth/crypto';
import { count } from 'drizzle-orm';
import { fail, ok, type Result } from '@/core/result';
import type { ShopSettings } from '@/core/shop/settings';
import type { Db, Reader } from '../engine/connection';
import { freeId, insertPerson } from '../people/staff';
import { people } from '../tables';
import { takeLocale, theShop, writeSettings } from './settings';
import { tellShop } from './shop-events';

const KEY_LASTS_MS = 3_600_000;

declare global {
  // One a process, also when a bundler makes two copies of this module.
  var eddrinOpening: { readonly hash: Buffer; readonly until: number } | undefined;
}

/** A shop that nobody works in is not open: whoever started the program is told an address with a key, which opens it within the hour. */
export const isOpened = async (db: Reader): Promise<boolean> => {
  const [row] = await db.select({ n: count() }).from(people);
  return row !== undefined && row.n > 0;
};

/** Makes the key of a shop that is not open yet. @returns it, to be said once and kept nowhere */
export const makeOpeningKey = (now: number): string => {
  const key = randomBytes(18).toString('base64url');
  globalThis.eddrinOpening = { hash: hashOf(key), until: now + KEY_LASTS_MS };
  return key;
};

export type OpenError = 'open already' | 'not the key' | 'key too old';
export const sayOpenError = (e: OpenError): string => {
  switch (e) {
    case 'open already':
      return 'This shop is open already: sign in.';
    case 'not the key':
      return 'That is not the address that was printed when the program started. Copy all of it.';
    case 'key too old':
      return 'That address was good for an hour. Stop the program and start it again: it prints a new one.';
  }
};

/** Is this the key that was printed, and still good? */
export const keyFits = (key: string, now: number): Result<null, OpenError> => {
  const made = globalThis.eddrinOpening;
  if (made === undefined || !timingSafeEqual(made.hash, hashOf(key))) return fail('not the key');
  return made.until < now ? fail('key too old') : ok(null);
};

/** Opens the shop: its settings and its first owner, both or neither. The key is used up by it. */
export async function openTheShop(
  db: Db,
  at: number,
  key: string,
  settings: ShopSettings,
  owner: { readonly name: string; readonly passcode: string },
): Promise<Result<{ readonly ownerId: string }, OpenError>> {
  const fits = keyFits(key, at);
  if (!fits.ok) return fits;
  const password = await hashPassword(owner.passcode);
  const opened = await db.transaction(async (tx) => {
    if (await isOpened(tx)) return fail('open already' as const);
    const ownerId = await freeId(tx, owner.name);
    const by = { personId: ownerId, at };
    await insertPerson(tx, { id: ownerId, name: owner.name, role: 'owner', bench: null }, at, password);
    await writeSettings(tx, by, (await theShop(tx)).version + 1, settings);
    await tellShop(tx, { ...by, kind: 'opened', lines: [settings.name, `Owner: ${owner.name}`] });
    return ok({ ownerId });
  });
  if (opened.ok) {
    globalThis.eddrinOpening = undefined;
    await takeLocale(db);
  }
  return opened;
}

const hashOf = (key: string): Buffer => createHash('sha256').update(key).digest();
