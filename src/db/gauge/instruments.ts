import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';
import { and, desc, eq, isNull } from 'drizzle-orm';
import type { Instrument } from '@/core/gauge/instrument';
import type { Person } from '@/core/people/role';
import type { Db, Reader } from '../engine/connection';
import { people, ringChecks, instruments as table } from '../tables';

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/** The shop's gauges in use, by name. */
export async function instruments(db: Reader): Promise<readonly Instrument[]> {
  const rows = await db.query.instruments.findMany({
    where: (i) => isNull(i.retiredAt),
    orderBy: (i) => i.name,
    with: { checks: { orderBy: (c) => desc(c.at), limit: 1, columns: { at: true, ringMm: true, readMm: true } } },
  });
  return rows.map(({ id, name, tokenHash, fromMm, toMm, branch, checks }) => ({
    id,
    name,
    range: fromMm === null || toMm === null ? null : { fromMm, toMm },
    lastCheck: checks[0] ?? null,
    branch,
    posts: tokenHash !== null,
  }));
}

/** What a gauge is called, also one that is out of use. */
export const instrumentName = async (db: Reader, id: string): Promise<string | undefined> =>
  (await db.select({ name: table.name }).from(table).where(eq(table.id, id)))[0]?.name;

type NewInstrument = {
  readonly id: string;
  readonly name: string;
  readonly fromMm: number | null;
  readonly toMm: number | null;
  /** The branch that it is at; the first where none is said. */
  readonly branch?: string | null;
};

/** Enters a gauge, once however often it is sent. @returns false when the shop has another of that name */
export async function addInstrument(db: Db, { id, name, fromMm, toMm, branch = null }: NewInstrument, at: number): Promise<boolean> {
  const made = await db
    .insert(table)
    .values({ id, name, fromMm, toMm, branch, createdAt: at, tokenHash: null, retiredAt: null })
    .onConflictDoNothing()
    .returning();
  if (made.length > 0) return true;
  const [mine] = await db.select({ name: table.name }).from(table).where(eq(table.id, id));
  return mine?.name === name;
}

/** A gauge leaves the shop: what it measured stays, and its token is no more. @returns false when there is none of that id */
export const retireInstrument = async (db: Db, id: string, at: number): Promise<boolean> => {
  const changed = await db.update(table).set({ retiredAt: at, tokenHash: null }).where(eq(table.id, id)).returning({ id: table.id });
  return changed.length > 0;
};

/** A gauge goes to another branch. @returns false when there is none of that id */
export const moveInstrument = async (db: Db, id: string, branch: string): Promise<boolean> => {
  const changed = await db.update(table).set({ branch }).where(eq(table.id, id)).returning({ id: table.id });
  return changed.length > 0;
};

export type RingCheck = { readonly checkId: string; readonly instrumentId: string; readonly ringMm: number; readonly readMm: number };

/** Notes that a gauge was held against its setting ring, once however often it is sent. @returns false when another check has that number */
export const checkRing = async (db: Db, person: Person, at: number, { checkId, ...c }: RingCheck): Promise<boolean> => {
  const made = await db
    .insert(ringChecks)
    .values({ id: checkId, at, personId: person.id, ...c })
    .onConflictDoNothing()
    .returning({ id: ringChecks.id });
  if (made.length > 0) return true;
  const [row] = await db.select().from(ringChecks).where(eq(ringChecks.id, checkId));
  return row?.personId === person.id && row.instrumentId === c.instrumentId && row.ringMm === c.ringMm && row.readMm === c.readMm;
};

/** A gauge's checks, the newest first. */
export const checksOf = (db: Reader, instrumentId: string) =>
  db
    .select({ at: ringChecks.at, by: people.name, ringMm: ringChecks.ringMm, readMm: ringChecks.readMm })
    .from(ringChecks)
    .innerJoin(people, eq(ringChecks.personId, people.id))
    .where(eq(ringChecks.instrumentId, instrumentId))
    .orderBy(desc(ringChecks.at))
    .limit(20);

/** A new token for a gauge that posts; the old one is no more. It is shown once and kept hashed. @returns undefined where no such gauge is in use */
export async function newToken(db: Db, instrumentId: string): Promise<string | undefined> {
  const token = randomBytes(24).toString('base64url');
  const changed = await db
    .update(table)
    .set({ tokenHash: hashOf(token) })
    .where(and(eq(table.id, instrumentId), isNull(table.retiredAt)))
    .returning({ id: table.id });
  return changed.length > 0 ? token : undefined;
}

/** Is this the token of that gauge, and is it in use? */
export async function isToken(db: Reader, instrumentId: string, token: string): Promise<boolean> {
  const [row] = await db
    .select({ hash: table.tokenHash })
    .from(table)
    .where(and(eq(table.id, instrumentId), isNull(table.retiredAt)));
  return row?.hash != null && timingSafeEqual(Buffer.from(row.hash), Buffer.from(hashOf(token)));
}
