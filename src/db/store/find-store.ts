import { eq, isNull, sum } from 'drizzle-orm';
import type { Fitment } from '@/core/identify/fitment';
import type { Units } from '@/core/quantity/units';
import type { Sort } from '@/core/schema/sort';
import { reorderPoint, stocked } from '@/core/store/article';
import { search, termsOf } from '@/core/store/search';
import { isShown, type Show, STORE_PAGE, type StoreLine, sortedFitments, sortedLines } from '@/core/store/store-line';
import type { Reader } from '../engine/connection';
import { fitmentIndex } from '../identify/fitments';
import { bags, orders, units } from '../tables';
import { articleIndex, shelf } from './catalogue';
import { usesOf } from './stock';

/** What of the store is looked at; `page` from 0. */
export type StoreAsk = { readonly q: string; readonly show: Show; readonly sort?: Sort | null; readonly page?: number };
export type FitmentAsk = Omit<StoreAsk, 'show'>;

/** Articles that meet a query, with what is on the shelf, with units and on order of each. */
export async function findArticles(
  db: Reader,
  { q, show, sort = null, page = 0 }: StoreAsk,
  lengths: Units['length'],
  now: number,
): Promise<{ readonly lines: readonly StoreLine[]; readonly inAll: number }> {
  const index = await articleIndex(db);
  const terms = termsOf(q, lengths);
  const { found: direct } = search(index, terms, index.length);
  // Where nothing says so itself, a machine finds the kits that are made for it.
  const made = direct.length > 0 ? new Map<string, Fitment>() : madeFor(search((await fitmentIndex(db)).entries, terms, Infinity).found);
  const found = direct.length > 0 ? direct : index.flatMap(({ what }) => (made.has(what.number) ? [what] : []));
  const [lots, out, ordered, uses] = [await shelf(db), await withUnits(db), await onOrder(db), await usesOf(db)];
  const lines = found
    .map((a): StoreLine => {
      const line = stocked(a, lots.get(a.id) ?? [], now);
      const used = uses.get(a.id) ?? [];
      return {
        ...line,
        madeFor: made.get(a.number) ?? null,
        withUnits: out.get(a.id) ?? 0,
        onOrder: ordered.get(a.id) ?? 0,
        orderAt: reorderPoint(a, used, now),
      };
    })
    .filter((l) => isShown(l, show, now));
  return { lines: sortedLines(lines, sort).slice(page * STORE_PAGE, (page + 1) * STORE_PAGE), inAll: lines.length };
}

/** One of the fitments that name a kit, by its number. */
const madeFor = (fitments: readonly Fitment[]): ReadonlyMap<string, Fitment> => new Map(fitments.flatMap((f) => f.kits.map((k) => [k, f])));

export async function findFitments(
  db: Reader,
  { q, sort = null, page = 0 }: FitmentAsk,
  lengths: Units['length'],
): Promise<{ readonly fitments: readonly Fitment[]; readonly inAll: number }> {
  // Sorted, all that are found are looked at; as they are found, no more than the page shows.
  const most = sort === null ? (page + 1) * STORE_PAGE : Number.POSITIVE_INFINITY;
  const { found, inAll } = search((await fitmentIndex(db)).entries, termsOf(q, lengths), most);
  return { fitments: sortedFitments(found, sort).slice(page * STORE_PAGE, (page + 1) * STORE_PAGE), inAll };
}

const withUnits = async (db: Reader): Promise<ReadonlyMap<string, number>> => {
  const rows = await db
    .select({ id: bags.articleId, qty: sum(bags.qty).mapWith(Number) })
    .from(bags)
    .innerJoin(units, eq(units.id, bags.unitId))
    .where(isNull(units.exit))
    .groupBy(bags.articleId);
  return new Map(rows.map((r) => [r.id, r.qty]));
};

const onOrder = async (db: Reader): Promise<ReadonlyMap<string, number>> => {
  const rows = await db
    .select({ id: orders.articleId, qty: sum(orders.qty).mapWith(Number) })
    .from(orders)
    .where(isNull(orders.receivedAt))
    .groupBy(orders.articleId);
  return new Map(rows.map((r) => [r.id, r.qty]));
};
