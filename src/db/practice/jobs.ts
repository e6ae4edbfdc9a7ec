import { mkdir, readFile, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { and, desc, eq, isNull } from 'drizzle-orm';
import { z } from 'zod';
import { FAMILIES } from '@/core/family/families';
import type { Person } from '@/core/people/role';
import { type Compared, compared, isMended } from '@/core/practice/job/compare';
import { JOB_FAMILIES, type JobFamily, type JobTruth, jobTruth, rigTruth } from '@/core/practice/job/truth';
import { ok, type Result } from '@/core/result';
import type { Rules } from '@/core/rules/rule-set';
import { practiceTagNo } from '@/core/shop/practice-tag';
import { namedNeeds } from '@/core/unit/ranked-kits';
import { tagOf, type UnitRecord } from '@/core/unit/unit-record';
import { bookIn } from '../book-in/book-in';
import { type ChangeError, refused } from '../engine/change-unit';
import { closePractice, type Db, migrateDb, practiceDb, practiceFile, practiceFolder, type Reader } from '../engine/connection';
import { loadUnit } from '../engine/load-unit';
import { checkRing } from '../gauge/instruments';
import { rulesInForce } from '../rules/rules';
import { articles, instruments, lots, people, practiceJobs, programmes, ruleSets, shopSettings, stockMoves } from '../tables';

const DAY_MS = 86_400_000;
/** The gauge that measures practice bores. */
export const practiceGauge = (job: number): string => `practice-gauge-${job}`;

export type PracticeJob = {
  readonly job: number;
  readonly tag: string;
  readonly family: JobFamily;
  readonly begunAt: number;
  readonly endedAt: number | null;
  readonly compared: readonly Compared[];
};

const ComparedRows = z.array(
  z.object({ what: z.string(), truth: z.string(), found: z.string(), verdict: z.enum(['found', 'otherwise', 'not looked at']) }),
);
const isJobFamily = (family: string): family is JobFamily => (JOB_FAMILIES as readonly string[]).includes(family);

/** Somebody's practice jobs, the newest first. */
export const jobsOf = async (db: Reader, personId: string): Promise<readonly PracticeJob[]> => {
  const rows = await db
    .select()
    .from(practiceJobs)
    .where(eq(practiceJobs.personId, personId))
    .orderBy(desc(practiceJobs.begunAt))
    .limit(50);
  return rows.flatMap(({ job, family, begunAt, endedAt, compared: kept }) =>
    isJobFamily(family)
      ? [{ job, tag: tagOf({ tagNo: practiceTagNo(job) }), family, begunAt, endedAt, compared: ComparedRows.safeParse(kept).data ?? [] }]
      : [],
  );
};

/**
 * Begins a whole job on a practice unit: a database of its own with the shop's people, rules and programmes, a kit and a gauge, and the unit
 * booked in. One at a time for each person; the same one sent twice is begun once.
 */
export async function beginJob(
  shop: Db,
  person: Person,
  at: number,
  b: { readonly id: string; readonly family: JobFamily; readonly seed: number },
): Promise<Result<{ readonly job: number }, ChangeError>> {
  const mine = and(eq(practiceJobs.personId, person.id), isNull(practiceJobs.endedAt));
  const [open] = await shop.select().from(practiceJobs).where(mine);
  if (open !== undefined)
    return open.id === b.id ? ok({ job: open.job }) : refused('You have a practice unit already: lay its truth beside it first.');
  const [row] = await shop
    .insert(practiceJobs)
    .values({ id: b.id, personId: person.id, family: b.family, seed: b.seed, begunAt: at, endedAt: null, compared: null })
    .returning({ job: practiceJobs.job });
  if (row === undefined) throw new Error('a practice job has no number');
  const { job } = row;
  await mkdir(practiceFolder(), { recursive: true, mode: 0o700 });
  const db = await practiceDb(job);
  await migrateDb(db);
  await copyShop(shop, db);
  const truth = jobTruth(b.seed, b.family, (await rulesInForce(db)).rules);
  const booked = await bookIn(db, person, at, {
    unitId: unitIdOf(job),
    tagNo: practiceTagNo(job),
    customer: 'Practice',
    phone: '',
    machine: 'Practice',
    family: b.family,
    position: '',
    nominalMm: truth.geometry.nominalMm,
    material: truth.material,
    complaints: ['wet-boot'],
    complaintText: '',
    identityMarks: '',
    promisedAt: at + 7 * DAY_MS,
  });
  if (!booked.ok) return booked;
  await fillStore(db, job, person, at);
  return ok({ job });
}

const unitIdOf = (job: number): string => `practice-${job}`;

/** What a practice unit needs of the shop: its people's names, its rules and programmes, and how it writes. */
const copyShop = async (shop: Db, db: Db): Promise<void> => {
  const [staff, rules, settings, proofs] = await Promise.all([
    shop.select().from(people),
    shop.select().from(ruleSets),
    shop.select().from(shopSettings),
    shop.select().from(programmes),
  ]);
  await db.insert(people).values(staff);
  await db.insert(ruleSets).values(rules);
  if (settings.length > 0) await db.insert(shopSettings).values(settings);
  if (proofs.length > 0) await db.insert(programmes).values(proofs);
};

/** A kit that covers the unit, three of it, and a stand-in gauge that was just held against its ring. */
const fillStore = async (db: Db, job: number, person: Person, at: number): Promise<void> => {
  const record = await loadUnit(db, unitIdOf(job));
  if (record === undefined) throw new Error('a practice unit was not booked in');
  const wanted = namedNeeds({ ...record, tray: record.tray.map((p) => ({ ...p, found: 'present' as const, fate: 'replaced' as const })) });
  const items = wanted.map(({ kind, qty, dims, name }) => ({ kind, qty, dims, name }));
  const article = {
    id: 'practice-kit',
    number: 'TRY-1',
    type: 'kit' as const,
    name: `Practice kit, ${FAMILIES[record.family.name].label}`,
    price: 0,
    leadDays: 1,
    note: '',
    supersededBy: null,
    reorderAt: null,
    items,
    changedAt: at,
  };
  await db.insert(articles).values(article);
  const lot = { id: 'practice-lot', articleId: article.id, code: 'TRY', receivedAt: at, expiresAt: null, fault: '', changedAt: at };
  await db.insert(lots).values(lot);
  const received = {
    id: 'practice-received',
    articleId: article.id,
    lotId: lot.id,
    unitId: null,
    qty: 3,
    note: '',
    at,
    personId: person.id,
  };
  await db.insert(stockMoves).values({ ...received, reason: 'received' });
  const gauge = { id: practiceGauge(job), name: 'Stand-in gauge', fromMm: 5, toMm: 100, branch: person.branch ?? null };
  await db.insert(instruments).values({ ...gauge, createdAt: at, tokenHash: 'stand-in', retiredAt: null });
  await checkRing(db, person, at, { checkId: 'practice-ring', instrumentId: gauge.id, ringMm: 20, readMm: 20 });
};

/** The truth of a job under way, and its unit; undefined where there is none of that number. */
export const jobNow = async (
  shop: Reader,
  job: number,
): Promise<{ readonly truth: JobTruth; readonly record: UnitRecord; readonly rules: Rules; readonly personId: string } | undefined> => {
  const [row] = await shop
    .select()
    .from(practiceJobs)
    .where(and(eq(practiceJobs.job, job), isNull(practiceJobs.endedAt)));
  if (row === undefined || !isJobFamily(row.family)) return undefined;
  const db = await practiceDb(job);
  const [record, { rules }] = await Promise.all([loadUnit(db, unitIdOf(job)), rulesInForce(db)]);
  return record === undefined ? undefined : { truth: jobTruth(row.seed, row.family, rules), record, rules, personId: row.personId };
};

/** Ends a job: its truth beside what was found stays, all else of it goes. */
export async function endJob(shop: Db, person: Person, at: number, job: number): Promise<Result<null, ChangeError>> {
  const now = await jobNow(shop, job);
  if (now === undefined || now.personId !== person.id) return refused('You have no such practice unit.');
  await shop
    .update(practiceJobs)
    .set({ endedAt: at, compared: compared(now.truth, now.record, now.rules) })
    .where(eq(practiceJobs.job, job));
  closePractice(job);
  await Promise.all(['', '-wal', '-shm'].map((end) => rm(`${practiceFile(job)}${end}`, { force: true })));
  return ok(null);
}

/** Where the stand-in rig of practice jobs reads what it finds. */
export const practiceRigFile = (): string => join(practiceFolder(), 'rig-truth.json');

/** Tells the stand-in rig what the unit of a job is like now. */
export const tellPracticeRig = async (shop: Reader, job: number): Promise<void> => {
  const now = await jobNow(shop, job);
  if (now === undefined) return;
  const known: unknown = JSON.parse(await readFile(practiceRigFile(), 'utf8').catch(() => '{}'));
  const truth = rigTruth(now.truth, isMended(now.record) ? 'mended' : 'nicked');
  await writeFile(practiceRigFile(), JSON.stringify({ ...(known as object), [tagOf(now.record.unit)]: truth }));
};
