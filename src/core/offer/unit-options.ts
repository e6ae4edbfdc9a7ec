import type { Price, PriceOf } from '../cost/price';
import { daysOf, fixedPrice, sleevePrices, unitsInstead } from '../cost/price-list';
import type { RouteCostRequest } from '../cost/route-cost-schema';
import type { Family } from '../family/family';
import type { Known } from '../plan/ahead';
import { standingOfNew } from '../plan/standing';
import { amountOf } from '../quantity/cents';
import { OPTION_WORDS, type OptionKind } from '../quote/option-kind';
import { STATION_WORDS, type Station } from '../station';
import { type BoreWay, WAY_WORDS, type Way } from '../way';

/** How much a verdict had to spare: a bore that is near its limit tells of others that are. */
export type Margin = 'thin' | 'ample' | 'none';
/** @param spareMm to the limit, the gauge's uncertainty taken off; null where nothing was judged */
export const marginOf = (spareMm: number | null): Margin => (spareMm === null ? 'none' : spareMm < THIN_MM ? 'thin' : 'ample');
/** Less than the wear of some years. */
const THIN_MM = 0.02;

/** How the units that went a way did: proved at the first try or not; kept, or come back, of those that have been out long enough. */
export type WayCounts = {
  readonly family: string;
  readonly way: Way;
  readonly margin: Margin;
  readonly proved: number;
  readonly failed: number;
  readonly kept: number;
  readonly back: number;
};
/** A family's own units of such a margin tell of a way from so many on; before, all of its family do, and before that all families'. */
const ENOUGH = 10;

/** What a unit's options are worked out from. Money in the shop's own, without tax. */
export type OptionFacts = {
  readonly family: Family;
  readonly boreMm: number | null;
  readonly fitment: string | null;
  /** As judged, or the chances of the ways before; null where it has no bore. */
  readonly way:
    | { readonly by: 'judged'; readonly way: BoreWay }
    | { readonly by: 'likely'; readonly way: BoreWay; readonly chance: number }
    | null;
  readonly margin: Margin;
  readonly done: readonly Station[];
  readonly known: Known;
  /** The shop's rate. */
  readonly perHour: number;
  readonly prices: readonly Price[];
  /** The parts that it needs: what the best set costs, what that does not cover, and for how many of them it is only supposed that they are renewed. */
  readonly parts: { readonly price: number; readonly lacks: readonly string[]; readonly supposed: number };
  readonly counts: readonly WayCounts[];
  /** Days until it is ready as it is planned; null where it has no date. */
  readonly plannedDays: number | null;
  readonly neededInDays: number;
};

/** A way to help, as chapter 13 asks for it, with what is in it and what is not known of it. */
export type UnitOption = {
  readonly id: string;
  readonly kind: OptionKind;
  readonly words: string;
  readonly asked: RouteCostRequest['options'][number];
  /** Its work: minutes at the shop's rate, or a fixed price. */
  readonly work: readonly ({ readonly words: string } & ({ readonly minutes: number } | { readonly price: number }))[];
  /** What is bought for it, and from whom. */
  readonly outside: readonly { readonly words: string; readonly from: string; readonly price: number }[];
  /** Null where nobody can say. */
  readonly readyInDays: number | null;
  readonly doubts: readonly string[];
};

/** Handing over another unit instead takes so long, min. */
const HAND_OVER_MIN = 10;

/** The ways to help: repair as judged or as it is likely to go, a sleeve, units instead, or giving it back; scrap is not repaired. */
export const optionsOf = (f: OptionFacts): readonly UnitOption[] => {
  const way = f.way?.way;
  const repair: Way | undefined = f.family.bore === 'none' ? 'no-bore' : way === 'scrap' || way === 'sleeve' ? undefined : way;
  const likely = f.way?.by === 'likely' ? [`not judged yet: ${WAY_WORDS[f.way.way]} at ${Math.round(f.way.chance * 100)} %`] : [];
  return [
    ...(repair === undefined ? [] : [throughTheShop(f, 'repair', repair, likely, [])]),
    ...(f.family.bore === 'none' || way === 'scrap'
      ? []
      : [sleeved(f, f.way?.by === 'likely' ? ['not judged yet: only where honing does not save it'] : [])]),
    ...unitsInstead(f.prices, { family: f.family.name, boreMm: f.boreMm, fitment: f.fitment }).map((p) => instead(f, p)),
    { ...base(f, 'give-back', 'give-back', OPTION_WORDS['give-back'], f.done, way ?? 'no-bore'), doubts: [] },
  ];
};

const sleeved = (f: OptionFacts, doubts: readonly string[]): UnitOption => {
  const [price] = f.boreMm === null ? [] : sleevePrices(f.prices, f.family.name, f.boreMm);
  return price === undefined
    ? throughTheShop(f, 'sleeve', 'sleeve', [...doubts, 'nobody’s price for the sleeve is on the list'], [])
    : throughTheShop(f, 'sleeve', 'sleeve', doubts, [{ words: 'sleeve', from: price.supplier, price: amountOf(price.cents) }], price.days);
};

/** All of the shop's work, with its parts. @param moreDays beyond what is planned, where that is another way */
const throughTheShop = (
  f: OptionFacts,
  kind: 'repair' | 'sleeve',
  way: Way,
  doubts: readonly string[],
  outside: UnitOption['outside'],
  moreDays = 0,
): UnitOption => {
  const stations = standingOfNew(f.family, way).ahead;
  const o = base(
    f,
    kind,
    kind,
    kind === 'repair' && way !== 'no-bore' ? `${OPTION_WORDS.repair}, bore ${WAY_WORDS[way]}` : OPTION_WORDS[kind],
    stations,
    way,
  );
  const counts = countsOf(f, way);
  const planned = f.way?.way === way || way === 'no-bore' ? 0 : moreDays;
  return {
    ...o,
    outside,
    readyInDays: f.plannedDays === null ? null : f.plannedDays + planned,
    asked: {
      ...o.asked,
      parts: f.parts.price,
      outside: (o.asked.outside ?? 0) + outside.reduce((sum, x) => sum + x.price, 0),
      days: (f.plannedDays ?? 0) + planned,
      proved: { good: counts.proved, bad: counts.failed },
      kept: { good: counts.kept, bad: counts.back },
      // Done again at the shop's own cost: its work where it fails, parts and all where it comes back.
      failCost: workPrice(o.work, f.perHour),
      returnCost: f.parts.price + workPrice(o.work, f.perHour),
    },
    doubts: [
      ...doubts,
      ...(f.parts.supposed > 0 ? ['not stripped yet: all that wears is taken to be renewed'] : []),
      ...(f.parts.lacks.length > 0 ? [`no price for ${f.parts.lacks.join(', ')}: it is dearer by that`] : []),
      ...(f.plannedDays === null ? ['the plan has no date for it'] : []),
      ...(counts.proved + counts.failed === 0 ? ['no unit of the shop has gone this way yet: its chances are the standing ones'] : []),
    ],
  };
};

const instead = (f: OptionFacts, p: PriceOf<'exchange' | 'new'>): UnitOption => {
  const words = `${OPTION_WORDS[p.what]} ${p.number}`;
  const o = base(f, p.what, `${p.what} ${p.number} ${p.supplier}`, words, f.done, f.way?.way ?? 'no-bore');
  const work = [...o.work, { words: 'hand over', minutes: HAND_OVER_MIN }];
  const price = { words, from: p.supplier === '' ? 'own shelf' : p.supplier, price: amountOf(p.cents) };
  return {
    ...o,
    work,
    outside: [price],
    readyInDays: daysOf(p),
    asked: {
      ...o.asked,
      minutes: minutesOf(work),
      outside: (o.asked.outside ?? 0) + price.price,
      days: daysOf(p),
      // Whoever sold it answers for it: what is lost is the time to change it.
      failCost: 0,
      returnCost: 0,
    },
    doubts: [
      'not proved here: whoever sells it answers for it',
      ...(p.boreMm === null && p.fitment === null ? ['the list names no bore for it: hold it against the old one'] : []),
    ],
  };
};

const base = (f: OptionFacts, kind: OptionKind, id: string, words: string, stations: readonly Station[], way: Way): UnitOption => {
  const work = workOf(f, stations, way, kind);
  return {
    id,
    kind,
    words,
    work,
    outside: [],
    readyInDays: 0,
    doubts: [],
    asked: { id, parts: 0, minutes: minutesOf(work), outside: workPrice(work, 0), days: 0, restores: kind !== 'give-back' },
  };
};

/** The whole job at one price, or station by station: at a fixed price, else by its time. */
const workOf = (f: OptionFacts, stations: readonly Station[], way: Way, kind: OptionKind): UnitOption['work'] => {
  const of = { family: f.family.name, way };
  const whole = kind === 'repair' || kind === 'sleeve' ? fixedPrice(f.prices, of, null) : undefined;
  if (whole !== undefined) return [{ words: 'the whole job', price: amountOf(whole) }];
  return stations.map((station) => {
    const fixed = fixedPrice(f.prices, of, station);
    return fixed === undefined
      ? // What is charged is what stands there: whole minutes.
        { words: STATION_WORDS[station], minutes: Math.round(f.known.timeOf(station, way).minutes) }
      : { words: STATION_WORDS[station], price: amountOf(fixed) };
  });
};

const minutesOf = (work: UnitOption['work']): number => work.reduce((sum, w) => sum + ('minutes' in w ? w.minutes : 0), 0);
/** Fixed prices of some work, and its time at a rate an hour. */
const workPrice = (work: UnitOption['work'], perHour: number): number =>
  work.reduce((sum, w) => sum + ('price' in w ? w.price : (w.minutes / 60) * perHour), 0);

const countsOf = (f: OptionFacts, way: Way): Omit<WayCounts, 'family' | 'way' | 'margin'> => {
  const ofWay = f.counts.filter((c) => c.way === way);
  const own = ofWay.filter((c) => c.family === f.family.name);
  // A sleeve gives a new bore: what the old one had to spare tells nothing of it.
  const like = way === 'sleeve' || f.margin === 'none' ? own : own.filter((c) => c.margin === f.margin);
  const told = [like, own].find((some) => some.reduce((n, c) => n + c.proved + c.failed, 0) >= ENOUGH) ?? ofWay;
  return told.reduce(
    (sum, c) => ({ proved: sum.proved + c.proved, failed: sum.failed + c.failed, kept: sum.kept + c.kept, back: sum.back + c.back }),
    { proved: 0, failed: 0, kept: 0, back: 0 },
  );
};
