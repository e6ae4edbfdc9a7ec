'use server';

import { sayPrice } from '@/core/cost/price';
import { DropPrice, SavePrice } from '@/core/cost/price-schema';
import { FAMILIES } from '@/core/family/families';
import { fail, ok } from '@/core/result';
import { dropPrice } from '@/db/cost/prices';
import { enterByHand } from '@/db/store/enter';
import { act } from '../_server/act';

/** A line of the price list: as a file of one line, told of in the same list, and taken back by it. */
export const savePriceAction = act('prices', SavePrice, ({ id, as, price }, { db, person, now }) =>
  enterByHand(
    db,
    { id, person, at: now },
    {
      as,
      name: sayPrice(price, (kind) => FAMILIES[kind].label),
      file: { what: 'prices', rows: [{ line: 1, row: price }], lacks: [] },
    },
  ),
);

export const dropPriceAction = act('prices', DropPrice, async ({ key, after }, { db, person, now }) => {
  const dropped = await dropPrice(db, { personId: person.id, at: now }, { key, after });
  return dropped.ok
    ? ok(null)
    : fail({ code: 'refused', reasons: ['Somebody has changed the prices meanwhile. Look at them again, then take it off.'] });
});
