import type { Dims } from '@/core/kit/need';
import type { Rules } from '@/core/rules/rule-set';
import type { Db } from './connection';
import { kitItems, kits, ruleSets, stockMoves } from './tables';

export type NewKit = {
  readonly number: string;
  readonly name: string;
  readonly price: number;
  readonly leadDays: number | null;
  readonly stock: number;
  readonly note: string;
  readonly items: readonly { readonly kind: string; readonly name: string; readonly qty: number; readonly dims: Dims }[];
};

/** Enters a kit with its contents and what was received of it. */
export async function insertKit(db: Db, { items, stock, ...kit }: NewKit, at: number, personId: string): Promise<void> {
  const id = `kit-${kit.number}`;
  await db.transaction(async (tx) => {
    await tx.insert(kits).values({ id, ...kit });
    await tx.insert(kitItems).values(items.map((item, seq) => ({ id: `${id}-${seq}`, kitId: id, seq, ...item })));
    if (stock > 0)
      await tx.insert(stockMoves).values({ id: `${id}-received`, kitId: id, unitId: null, qty: stock, reason: 'received', at, personId });
  });
}

/** Adds a version of the shop's rules; the newest is in force. */
export const insertRuleSet = async (
  db: Db,
  set: { readonly version: number; readonly at: number; readonly personId: string; readonly note: string; readonly rules: Rules },
): Promise<void> => {
  await db.insert(ruleSets).values({ id: `rules-${set.version}`, schools: {}, ...set });
};
