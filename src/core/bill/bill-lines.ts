import type { ChargeLine } from '../cost/charge';
import type { Price } from '../cost/price';
import { fixedPrice, sleevePrices } from '../cost/price-list';
import type { Known } from '../plan/ahead';
import { wayGone } from '../plan/taught';
import { centsOf } from '../quantity/cents';
import { plain } from '../quantity/figure';
import { mends } from '../quote/option-kind';
import { pickedOf } from '../quote/quote';
import type { Rules } from '../rules/rule-set';
import { STATION_WORDS } from '../station';
import type { UnitRecord } from '../unit/unit-record';
import type { BillWay } from './bill';

/** What a bill is made from beside its unit. Money in the shop's own, without tax. */
export type BillFacts = {
  readonly rules: Pick<Rules, 'labourPerHour' | 'partsMarkupPct'>;
  readonly prices: readonly Price[];
  readonly known: Known;
  /** What a bag costs the shop, by its article; undefined where it is not in the store any more. */
  readonly priceOf: (articleId: string) => number | undefined;
};

/** What was done for the money: what the customer picked in place of their unit, else the way that it went. */
export const billWay = (r: UnitRecord): BillWay => {
  const quote = r.quotes.at(-1);
  const picked = quote === undefined ? undefined : pickedOf(quote);
  if (picked !== undefined && !mends(picked.kind)) return picked.kind as BillWay;
  if (r.unit.exit === 'returned') return 'give-back';
  return wayGone(r);
};

/** What a unit's bill begins with: what the customer picked, at the price that it was offered; else what was done and used. */
export const billLines = (r: UnitRecord, f: BillFacts): readonly ChargeLine[] => {
  const quote = r.quotes.at(-1);
  const picked = quote === undefined ? undefined : pickedOf(quote);
  const kept = picked !== undefined && (r.unit.exit === 'released' || !mends(picked.kind));
  return kept ? picked.charges.lines : [...partsOf(r, f), ...sleevedFor(r, f), ...workOf(r, f)];
};

const partsOf = (r: UnitRecord, f: BillFacts): readonly ChargeLine[] =>
  r.setAside.map((bag) => {
    const cost = (f.priceOf(bag.articleId) ?? 0) * bag.qty;
    return {
      charge: 'parts',
      words: `${bag.number} ${bag.name}`,
      how: bag.qty === 1 ? '' : `${bag.qty} of it`,
      cents: centsOf(cost * (1 + f.rules.partsMarkupPct / 100)),
      costCents: centsOf(cost),
    };
  });

const sleevedFor = (r: UnitRecord, f: BillFacts): readonly ChargeLine[] =>
  r.sleevings.flatMap((s) => {
    const boreMm = r.unit.geometry?.nominalMm;
    const offers = boreMm === undefined ? [] : sleevePrices(f.prices, r.unit.family, boreMm);
    const price = offers.find((p) => p.supplier === s.shop) ?? offers[0];
    return [
      {
        charge: 'outside' as const,
        words: r.sleevings.length === 1 ? 'sleeve' : `sleeve, bore ${s.pot}`,
        how: '',
        cents: price?.cents ?? 0,
        ...(price === undefined ? {} : { costCents: price.cents }),
      },
    ];
  });

const workOf = (r: UnitRecord, f: BillFacts): readonly ChargeLine[] => {
  const way = wayGone(r);
  const of = { family: r.unit.family, way };
  const whole = r.unit.exit === 'released' ? fixedPrice(f.prices, of, null) : undefined;
  if (whole !== undefined) return [{ charge: 'work', words: 'the whole job', how: '', cents: whole }];
  const done = [...new Set(r.steps.map((s) => s.station))].filter((s) => s !== 'book-in');
  return done.map((station) => {
    const minutes = Math.round(f.known.timeOf(station, way).minutes);
    const fixed = fixedPrice(f.prices, of, station);
    return fixed === undefined
      ? {
          charge: 'work' as const,
          words: STATION_WORDS[station],
          how: `${plain(minutes)} min`,
          cents: centsOf((minutes / 60) * f.rules.labourPerHour),
          minutes,
        }
      : { charge: 'work' as const, words: STATION_WORDS[station], how: '', cents: fixed, minutes };
  });
};
