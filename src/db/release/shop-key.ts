import { createHash, createPrivateKey, createPublicKey, generateKeyPairSync, type KeyObject, randomUUID, sign, verify } from 'node:crypto';
import { readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { and, asc, eq, isNull } from 'drizzle-orm';
import type { Person } from '@/core/people/role';
import { type ShopKey, signedText } from '@/core/release/certificate-file';
import { fail, ok, type Result } from '@/core/result';
import { type Db, dataFolder, type Reader } from '../engine/connection';
import { shopKeys } from '../tables';

/** The key that signs this shop's certificates: Ed25519, its private part in the data folder for its owner alone, its public part in the database. */
export type SigningKey = { readonly id: string; readonly sign: (hash: string) => string };

const FILE = 'certificate-key';
/** Hexadecimal digits of a key's SHA-256 that tell it from every other: 80 bits. */
const FINGERPRINT = 20;
/** A public key's own 32 bytes end its DER form. */
const RAW_BYTES = 32;

const rawOf = (key: KeyObject): Buffer => key.export({ type: 'spki', format: 'der' }).subarray(-RAW_BYTES);
export const fingerprintOf = (raw: Buffer): string => createHash('sha256').update(raw).digest('hex').slice(0, FINGERPRINT);

/** The key in use; made where there is none, or where the one in the folder was replaced. @param at from when a new one is good, ms */
export async function theShopKey(db: Db, at: number): Promise<SigningKey> {
  const kept = cachedKey();
  const known = kept === undefined ? undefined : await rowOf(db, fingerprintOf(rawOf(createPublicKey(kept))));
  const key = kept === undefined || (known !== undefined && known.untilAt !== null) ? newKey() : kept;
  const raw = rawOf(createPublicKey(key));
  const id = fingerprintOf(raw);
  await db
    .insert(shopKeys)
    .values({ id, publicKey: raw.toString('base64url'), fromAt: at, untilAt: null, endedBy: null })
    .onConflictDoNothing();
  return { id, sign: (hash) => sign(null, Buffer.from(signedText(hash)), key).toString('base64url') };
}

const cachedKey = (): KeyObject | undefined => {
  try {
    return createPrivateKey(readFileSync(join(dataFolder(), FILE)));
  } catch (error) {
    if ((error as { readonly code?: string }).code === 'ENOENT') return undefined;
    throw error;
  }
};

/** Written whole or not at all. */
const newKey = (): KeyObject => {
  const { privateKey } = generateKeyPairSync('ed25519');
  const whole = join(dataFolder(), FILE);
  const part = `${whole}-${randomUUID()}`;
  writeFileSync(part, privateKey.export({ type: 'pkcs8', format: 'pem' }), { mode: 0o600, flag: 'wx' });
  renameSync(part, whole);
  return privateKey;
};

const rowOf = async (db: Reader, id: string) => (await db.select().from(shopKeys).where(eq(shopKeys.id, id)))[0];

/** All keys that this shop has signed with, the oldest first. */
export const shopKeysOf = (db: Reader): Promise<readonly ShopKey[]> =>
  db
    .select({ id: shopKeys.id, publicKey: shopKeys.publicKey, fromAt: shopKeys.fromAt, untilAt: shopKeys.untilAt })
    .from(shopKeys)
    .orderBy(asc(shopKeys.fromAt));

/** Ends a key: what it signed until now stays good, and the next certificate is signed with a new one. */
export async function endShopKey(
  db: Db,
  person: Person,
  id: string,
  at: number,
): Promise<Result<null, { readonly code: 'refused'; readonly reasons: readonly string[] }>> {
  const ended = await db.transaction((tx) =>
    tx
      .update(shopKeys)
      .set({ untilAt: at, endedBy: person.id })
      .where(and(eq(shopKeys.id, id), isNull(shopKeys.untilAt)))
      .returning({ id: shopKeys.id }),
  );
  if (ended.length === 0) return fail({ code: 'refused', reasons: ['There is no such key in use.'] });
  await theShopKey(db, at);
  return ok(null);
}

/** Whether a key of this shop's signed a certificate's hash, while it was good. @param at when the certificate says that it was issued, ms */
export async function isSignedByShop(
  db: Reader,
  c: { readonly key: string; readonly signature: string; readonly hash: string; readonly at: number },
): Promise<boolean> {
  const key = await rowOf(db, c.key);
  if (key === undefined || c.at < key.fromAt || c.at > (key.untilAt ?? Infinity)) return false;
  return isSigned(key.publicKey, c);
}

/** Is a certificate's hash signed by a public key? @param publicKey its 32 bytes as base64url */
export const isSigned = (publicKey: string, c: { readonly hash: string; readonly signature: string }): boolean => {
  const key = createPublicKey({ key: { kty: 'OKP', crv: 'Ed25519', x: publicKey }, format: 'jwk' });
  return verify(null, Buffer.from(signedText(c.hash)), key, Buffer.from(c.signature, 'base64url'));
};
