import { type ChargeLine, chargesOf } from '../cost/charge';
import type { Price } from '../cost/price';
import { openFrom } from '../plan/promise';
import type { Shift } from '../plan/shifts';
import { centsOf } from '../quantity/cents';
import { plain } from '../quantity/figure';
import { sayMoney } from '../quantity/say-money';
import { mends } from '../quote/option-kind';
import type { Offered } from '../quote/quote';
import type { Rules } from '../rules/rule-set';
import type { UnitOption } from './unit-options';

const DAY_MS = 86_400_000;
const HOUR_MS = 3_600_000;

/** What an option is charged by, line by line, each in whole cents, with the arithmetic of each. */
export const chargeLines = (o: UnitOption, rules: Pick<Rules, 'labourPerHour' | 'partsMarkupPct'>): readonly ChargeLine[] => {
  const { parts } = o.asked;
  return [
    ...(parts === 0
      ? []
      : [
          {
            charge: 'parts' as const,
            words: 'parts',
            how: `${sayMoney(parts)} and ${plain(rules.partsMarkupPct)} %`,
            cents: centsOf(parts * (1 + rules.partsMarkupPct / 100)),
            costCents: centsOf(parts),
          },
        ]),
    ...o.outside.map(({ words, from, price }) => ({
      charge: mends(o.kind) ? ('outside' as const) : ('units' as const),
      words,
      how: from,
      cents: centsOf(price),
      costCents: centsOf(price),
    })),
    ...o.work.map((w) => ({
      charge: 'work' as const,
      words: w.words,
      how: 'price' in w ? '' : `${plain(w.minutes)} min`,
      cents: centsOf('price' in w ? w.price : (w.minutes / 60) * rules.labourPerHour),
      ...('price' in w ? {} : { minutes: w.minutes }),
    })),
  ];
};

/**
 * An option as its customer is offered it: what the shop itself pays, and to whom, is left out. A unit that is repaired is promised no
 * earlier than it was.
 * @param at when it is offered and when it is promised now, ms since 1970, and when somebody is there to hand it over, from `now` on
 */
export const offeredOf = (
  o: UnitOption,
  rules: Pick<Rules, 'labourPerHour' | 'partsMarkupPct'>,
  prices: readonly Price[],
  at: { readonly now: number; readonly dueAt: number; readonly open: readonly Shift[] },
): Offered => ({
  id: o.id,
  kind: o.kind,
  words: o.words,
  readyAt: o.readyInDays === null ? null : Math.max(mends(o.kind) ? at.dueAt : 0, readyAt(o.readyInDays, at)),
  charges: chargesOf(
    chargeLines(o, rules).map(({ costCents: _, ...l }) => (l.charge === 'work' ? l : { ...l, how: '' })),
    prices,
  ),
});
/** When what takes so many days can be had: in the shop's hours, and to the half hour, as nobody promises minutes; ms since 1970. */
export const readyAt = (days: number, { now, open }: { readonly now: number; readonly open: readonly Shift[] }): number => {
  const at = now + days * DAY_MS;
  return openFrom(at, open, now) ?? Math.ceil(at / HOUR_MS) * HOUR_MS;
};
