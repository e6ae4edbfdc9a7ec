import { billLines } from '@/core/bill/bill-lines';
import type { ChargeLine } from '@/core/cost/charge';
import type { Price } from '@/core/cost/price';
import { FAMILIES } from '@/core/family/families';
import { knownOf } from '@/core/plan/known';
import type { UnitRecord } from '@/core/unit/unit-record';
import { pricesInForce } from '@/db/cost/prices';
import type { Db } from '@/db/engine/connection';
import { saidTimesOf, taughtBy } from '@/db/plan/taught';
import { rulesInForce } from '@/db/rules/rules';
import { wholeStore } from '@/db/store/catalogue';

/** What a unit's bill begins with, and the prices that its taxes are by. */
export async function billNow(
  db: Db,
  record: UnitRecord,
  now: number,
): Promise<{ readonly lines: readonly ChargeLine[]; readonly prices: readonly Price[] }> {
  const [{ prices }, taught, said, { rules }, store] = await Promise.all([
    pricesInForce(db),
    taughtBy(db),
    saidTimesOf(db),
    rulesInForce(db),
    wholeStore(db, now),
  ]);
  const costs = new Map(store.map((a) => [a.id, a.price]));
  const known = knownOf(FAMILIES[record.unit.family], taught, said);
  return { lines: billLines(record, { rules, prices, known, priceOf: (id) => costs.get(id) }), prices };
}
