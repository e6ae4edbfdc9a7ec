import { type ChargeLine, chargesOf } from '../cost/charge';
import type { Price } from '../cost/price';
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
 * @param at when it is offered and when it is promised now, ms since 1970
 */
export const offeredOf = (
  o: UnitOption,
  rules: Pick<Rules, 'labourPerHour' | 'partsMarkupPct'>,
  prices: readonly Price[],
  at: { readonly now: number; readonly dueAt: number },
): Offered => ({
  id: o.id,
  kind: o.kind,
  words: o.words,
  readyAt: o.readyInDays === null ? null : mends(o.kind) ? Math.max(at.dueAt, ready(at.now, o.readyInDays)) : ready(at.now, o.readyInDays),
  charges: chargesOf(
    chargeLines(o, rules).map(({ costCents: _, ...l }) => (l.charge === 'work' ? l : { ...l, how: '' })),
    prices,
  ),
});
/** To the full hour: nobody promises minutes. */
const ready = (now: number, days: number): number => Math.ceil((now + days * DAY_MS) / HOUR_MS) * HOUR_MS;
