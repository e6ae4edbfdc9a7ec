import { and, desc, eq, sql } from 'drizzle-orm';
import type { Material } from '@/core/family/material';
import { diaAt20 } from '@/core/gauge/reading';
import type { BorePass } from '@/core/hone/bore-pass';
import type { HonePass } from '@/core/hone/cutting-rate';
import { GritSchema } from '@/core/hone/hone-schema';
import { type LearnedRate, learnedRates } from '@/core/hone/learned-rates';
import { whyUnlikelyPass } from '@/core/hone/unlikely-pass';
import { ok, type Result } from '@/core/result';
import { whyNotNow } from '@/core/route/route';
import { sayWhyNot, whyNotDone } from '@/core/route/why-not';
import { hasPot, inPot, noPot } from '@/core/unit/bores';
import { factsOf, routeOfUnit } from '@/core/unit/facts-of';
import { cachedBy } from '../engine/cached';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db, Reader } from '../engine/connection';
import { put } from '../engine/edit';
import { prepared } from '../engine/prepared';
import { honePasses } from '../tables';

type ShopPass = HonePass & { readonly unitId: string; readonly pot: number };
export type ShopRates = { readonly all: readonly LearnedRate[]; readonly others: readonly LearnedRate[] };
/** `pot`: in which bore of the unit, from 1; the first where nothing is said. */
export type NewPass = Omit<BorePass, 'id' | 'at' | 'personId' | 'pot'> & { readonly pot?: number };

/** Logs a pass over the bore, while it is Hone's turn; what it measured after is kept as it is at 20 °C. Its row has the change's id: sent twice it is there once. */
export const logPass = (db: Db, change: Change, pass: NewPass): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, (record, at) => {
    const notNow = whyNotNow('hone', routeOfUnit(record));
    const unmet = notNow.length > 0 ? notNow : whyNotDone('hone', factsOf(record)).map(sayWhyNot);
    if (unmet.length > 0) return refused(...unmet);
    const { pot = 1 } = pass;
    if (!hasPot(record.unit, pot)) return refused(noPot(pot));
    const { id, material } = inPot(record, pot).unit;
    const afterMm = diaAt20(pass.afterMm, material, pass);
    const slip = whyUnlikelyPass({ ...pass, afterMm }, material);
    if (slip !== undefined) return refused(slip);
    return ok([put('honePasses', { ...pass, pot, afterMm, id: change.eventId, unitId: id, at, personId: change.person.id, material })]);
  });

/** Passes of the shop that rates are learned from: the newest this many of a material. */
const LEARNED_FROM = 400;

const stonePasses = prepared((db: Reader) =>
  db
    .select()
    .from(honePasses)
    .where(and(eq(honePasses.tool, 'stone'), eq(honePasses.material, sql.placeholder('material'))))
    .orderBy(desc(honePasses.at))
    .limit(LEARNED_FROM)
    .prepare(),
);

const stampQuery = prepared((db: Reader) =>
  db
    .select({ stamp: sql<string>`count(*) || ' ' || coalesce(max(${honePasses.at}), '')` })
    .from(honePasses)
    .where(eq(honePasses.material, sql.placeholder('material')))
    .prepare(),
);

/** The shop's passes with stones in a material, on all bores, the oldest first. */
const readPasses = async (db: Reader, material: string): Promise<readonly ShopPass[]> =>
  (await stonePasses(db).execute({ material })).reverse().map(({ unitId, pot, grit, strokes, strokesPerMin, rpm, beforeMm, afterMm }) => ({
    unitId,
    pot,
    grit: GritSchema.parse(grit),
    strokes,
    strokesPerMin,
    rpm,
    beforeMm,
    afterMm,
  }));

/** A pass is never changed, only made or undone: their number and the newest tell whether the same are there. */
const shopPasses = cachedBy<Reader, readonly ShopPass[]>(
  async (db, material) => (await stampQuery(db).execute({ material }))[0]?.stamp ?? '',
  readPasses,
);

/** What the shop's own stones cut in a material; `others` without the passes of one bore, which its plan counts for themselves. */
export async function ratesFor(db: Reader, material: Material, unitId: string, pot = 1): Promise<ShopRates> {
  const passes = (await shopPasses(db, material)).map((p) => ({ ...p, material }));
  return { all: learnedRates(passes), others: learnedRates(passes.filter((p) => p.unitId !== unitId || p.pot !== pot)) };
}
