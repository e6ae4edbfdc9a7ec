import { createHash } from 'node:crypto';
import { and, desc, eq, gt, max } from 'drizzle-orm';
import type { Person } from '@/core/people/role';
import { type CertificateFile, hashedText, type Issued } from '@/core/release/certificate-file';
import { type Statement, stateRelease } from '@/core/release/statement';
import { ok, type Result } from '@/core/result';
import { whyNotNow } from '@/core/route/route';
import { routeOfUnit } from '@/core/unit/facts-of';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import { type Db, practiceNow, type Reader } from '../engine/connection';
import { put } from '../engine/edit';
import { rulesInForce } from '../rules/rules';
import { certificates, people } from '../tables';
import { signOffEdits } from '../unit/sign-off';
import { isSignedByShop, shopKeysOf, theShopKey } from './shop-key';

/** Adds one person's signature. For brake parts the second is a lead's, and never the same person's. The caller has checked the PIN. */
export const signForRelease = (db: Db, change: Change, signer: Person): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, (record, at) => {
    const notNow = whyNotNow('release', routeOfUnit(record));
    if (notNow.length > 0) return refused(...notNow);
    if (record.signatures.some((s) => s.personId === signer.id))
      return refused(`${signer.name} has signed already; the second signature is another person's.`);
    return ok([
      put('signatures', {
        id: change.eventId,
        unitId: record.unit.id,
        personId: signer.id,
        name: signer.name,
        role: signer.role,
        at,
      }),
    ]);
  });

export type Certificate = {
  readonly number: number;
  readonly at: number;
  readonly statement: Statement;
  readonly hash: string;
  readonly previousHash: string;
  readonly supersedes: number | null;
  readonly key: string | null;
  readonly signature: string | null;
};

/** Releases a unit: conditions met, certificate numbered and chained to the one before, unit off the rack. */
export const release = async (db: Db, change: Change): Promise<Result<Changed, ChangeError>> => {
  if (practiceNow() !== undefined) return refused('A practice unit is not released: its truth is laid beside it instead.');
  const shopKey = await theShopKey(db, change.at);
  return changeUnit(db, change, async (record, at, tx) => {
    const done = signOffEdits(record, { ...change, at }, { station: 'release', note: '', override: null });
    if (!done.ok) return done;
    const [last] = await tx
      .select({ number: certificates.number, hash: certificates.hash })
      .from(certificates)
      .orderBy(desc(certificates.number))
      .limit(1);
    const [earlier] = await tx
      .select({ number: max(certificates.number) })
      .from(certificates)
      .where(eq(certificates.unitId, record.unit.id));
    const names = new Map((await tx.select({ id: people.id, name: people.name }).from(people)).map((p) => [p.id, p.name]));
    const number = (last?.number ?? 0) + 1;
    const statement = stateRelease(record, { number, at, nameOf: (id) => names.get(id) ?? id, rules: (await rulesInForce(tx)).rules });
    const previousHash = last?.hash ?? '';
    const issued = { number, supersedes: earlier?.number ?? null, previousHash, key: shopKey.id, statement };
    const hash = hashOf(issued);
    return ok([
      done.value,
      put('certificates', {
        id: change.eventId,
        unitId: record.unit.id,
        at,
        ...issued,
        hash,
        signature: shopKey.sign(hash),
      }),
      put('units', { ...record.unit, exit: 'released', exitAt: at }),
    ]);
  });
};

const hashOf = (issued: Issued): string => createHash('sha256').update(hashedText(issued)).digest('hex');

/** The certificate of a number, if its mark is this one, what is stored still gives it and a key of the shop's signed it; with the number of what took its place. */
export async function verifyCertificate(db: Reader, number: number, hash: string) {
  if (!Number.isInteger(number)) return undefined;
  const [row] = await db.select().from(certificates).where(eq(certificates.number, number));
  if (row === undefined || row.hash !== hash) return undefined;
  if (hashOf(row) !== hash) return undefined;
  const { key, signature, at } = row;
  if (key !== null && !(await isSignedByShop(db, { key, signature: signature ?? '', hash, at }))) return undefined;
  const [later] = await db
    .select({ number: certificates.number })
    .from(certificates)
    .where(and(eq(certificates.unitId, row.unitId), gt(certificates.number, number)))
    .orderBy(desc(certificates.number))
    .limit(1);
  return { statement: row.statement as Statement, key, supersededBy: later?.number ?? null };
}

/** The newest certificate of a unit. */
export async function certificateOf(db: Reader, unitId: string): Promise<Certificate | undefined> {
  const [row] = await db.select().from(certificates).where(eq(certificates.unitId, unitId)).orderBy(desc(certificates.number)).limit(1);
  return row === undefined ? undefined : { ...row, statement: row.statement as Statement };
}

/** The newest certificate of a unit as a file that can be checked without the application. */
export async function certificateFileOf(db: Reader, unitId: string): Promise<CertificateFile | undefined> {
  const c = await certificateOf(db, unitId);
  if (c === undefined) return undefined;
  const { number, supersedes, previousHash, hash, statement, key, signature } = c;
  const file = { eddrin: 'certificate', number, supersedes, previousHash, hash, statement } as const;
  const signedBy = key === null ? undefined : (await shopKeysOf(db)).find((k) => k.id === key);
  if (key === null || signedBy === undefined || signature === null) return { ...file, version: 1 };
  return { ...file, version: 2, key, publicKey: signedBy.publicKey, signature };
}
