import { desc, eq } from 'drizzle-orm';
import { z } from 'zod';
import { type Price, type PriceList, priceKey, sayPrice } from '@/core/cost/price';
import { withPrices } from '@/core/cost/price-list';
import { PriceSchema } from '@/core/cost/price-schema';
import { FAMILIES } from '@/core/family/families';
import { fail, ok, type Result } from '@/core/result';
import { stored } from '@/core/schema/stored';
import type { Db, Reader, Tx } from '../engine/connection';
import { people, priceLists } from '../tables';

const Stored = z.array(stored(PriceSchema));

/** The shop's prices as they are now; version 0 and no line where none were set yet. */
export const pricesInForce = async (db: Reader): Promise<PriceList> => {
  const [row] = await db.select().from(priceLists).orderBy(desc(priceLists.version)).limit(1);
  return row === undefined ? { version: 0, at: 0, prices: [] } : { version: row.version, at: row.at, prices: Stored.parse(row.prices) };
};

/** A version of the prices, told: who made it when, and what changed. */
export type PriceVersion = { readonly version: number; readonly at: number; readonly by: string | null; readonly note: string };

/** The newest versions, so many of them. */
export const priceVersions = (db: Reader, most: number): Promise<readonly PriceVersion[]> =>
  db
    .select({ version: priceLists.version, at: priceLists.at, by: people.name, note: priceLists.note })
    .from(priceLists)
    .leftJoin(people, eq(people.id, priceLists.personId))
    .orderBy(desc(priceLists.version))
    .limit(most);

/** Sets the prices: a version more. @returns its number */
export const setPrices = async (
  tx: Tx,
  by: { readonly personId: string; readonly at: number },
  note: string,
  prices: readonly Price[],
): Promise<number> => {
  const version = (await pricesInForce(tx)).version + 1;
  await tx.insert(priceLists).values({ version, at: by.at, personId: by.personId, note: note.slice(0, 300), prices: [...prices] });
  return version;
};

/** A unit of the own shelf goes to a customer, or comes back from one. Nothing happens where the list has no such line any more, or it is a supplier's. @param key of its line */
export const moveShelf = async (
  tx: Tx,
  by: { readonly personId: string; readonly at: number },
  key: string,
  how: 'sold' | 'back',
): Promise<void> => {
  const { prices } = await pricesInForce(tx);
  const line = prices.find((p) => priceKey(p) === key);
  if (line === undefined || !('stock' in line) || line.supplier !== '') return;
  const moved = { ...line, stock: Math.max(0, line.stock + (how === 'sold' ? -1 : 1)) };
  await setPrices(tx, by, `${how === 'sold' ? 'sold' : 'came back'}: ${line.number}`, withPrices(prices, [moved], priceKey));
};

/** Takes a line off. @param line its key, and the version of the prices that it was seen in: another since refuses it */
export const dropPrice = (
  db: Db,
  by: { readonly personId: string; readonly at: number },
  line: { readonly key: string; readonly after: number },
): Promise<Result<null, { readonly code: 'changed-meanwhile' }>> =>
  db.transaction(async (tx) => {
    const { version, prices } = await pricesInForce(tx);
    const dropped = prices.find((p) => priceKey(p) === line.key);
    if (version !== line.after || dropped === undefined) return fail({ code: 'changed-meanwhile' });
    const words = sayPrice(dropped, (kind) => FAMILIES[kind].label);
    await setPrices(
      tx,
      by,
      `taken off: ${words}`,
      prices.filter((p) => p !== dropped),
    );
    return ok(null);
  });
