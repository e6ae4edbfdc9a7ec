import { desc, eq, lt } from 'drizzle-orm';
import type { ShopEvent, ShopEventKind } from '@/core/shop/shop-event';
import type { Reader, Tx } from '../engine/connection';
import { people, shopEvents } from '../tables';

type Told = {
  readonly at: number;
  /** Who did it; empty for the program. */
  readonly personId: string;
  readonly kind: ShopEventKind;
  readonly about?: string;
  readonly lines: readonly string[];
};

/** Writes down what was done to the shop, in the same transaction. */
export const tellShop = async (tx: Pick<Tx, 'insert'>, { about = '', ...told }: Told): Promise<void> => {
  await tx.insert(shopEvents).values({ ...told, about });
};

const A_PAGE = 50;

/** What was done to the shop, the newest first, 50 at a time. @param before the last one of the page before it */
export async function shopHistory(
  db: Reader,
  before: number | undefined,
): Promise<{ readonly events: readonly ShopEvent[]; readonly more: 'more' | 'all' }> {
  const rows = await db
    .select({ id: shopEvents.id, at: shopEvents.at, by: people.name, kind: shopEvents.kind, lines: shopEvents.lines })
    .from(shopEvents)
    .leftJoin(people, eq(shopEvents.personId, people.id))
    .where(before === undefined ? undefined : lt(shopEvents.id, before))
    .orderBy(desc(shopEvents.id))
    .limit(A_PAGE + 1);
  const events = rows.slice(0, A_PAGE).map((row) => ({ ...row, lines: row.lines as readonly string[] }));
  return { events, more: rows.length > A_PAGE ? 'more' : 'all' };
}
