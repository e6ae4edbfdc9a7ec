import { afterEach, expect, test } from 'vitest';
import type { Price } from '../cost/price';
import { routeCost } from '../cost/route-cost';
import { FAMILIES } from '../family/families';
import { STANDARD_RULES } from '../rules/rule-set';
import { offeredOf, readyAt } from './offered';
import { sayDateFlips, sayFlips } from './say-options';
import { type Margin, type OptionFacts, optionsOf, type UnitOption } from './unit-options';

afterEach(() => {
  globalThis.eddrinLocale = undefined;
});

/** Half an hour at every station. */
const KNOWN: OptionFacts['known'] = { timeOf: () => ({ minutes: 30, spread: 0, said: 'learned', units: 0 }), waitsFor: () => false };
const PRICES: readonly Price[] = [
  { what: 'work', family: null, way: null, station: 'prove', cents: 2200 },
  { what: 'sleeve', family: null, uptoMm: 32, supplier: 'Quayside Boring', days: 8, cents: 7400 },
  { what: 'exchange', number: 'X-1', family: 'slave', boreMm: 22.225, fitment: null, supplier: '', stock: 2, days: 0, cents: 6100 },
  { what: 'new', number: 'N-1', family: 'slave', boreMm: null, fitment: null, supplier: 'Harbour Spares', stock: 0, days: 2, cents: 9700 },
];
const facts = (more: Partial<OptionFacts> = {}): OptionFacts => ({
  family: FAMILIES.slave,
  boreMm: 22.2,
  fitment: null,
  way: { by: 'judged', way: 'hone' },
  margin: 'ample',
  done: ['strip', 'clean'],
  known: KNOWN,
  perHour: 60,
  prices: PRICES,
  parts: { price: 10, lacks: [], supposed: 0 },
  counts: [],
  plannedDays: 1.5,
  neededInDays: 3,
  ...more,
});
const by = (id: string, f: OptionFacts) => optionsOf(f).find((o) => o.id.startsWith(id));

test('a unit that is to be honed: repaired, sleeved, exchanged, bought new, or given back, each with its work, parts and days', () => {
  const options = optionsOf(facts());
  expect(options.map((o) => [o.kind, o.words, o.asked.days])).toEqual([
    ['repair', 'repair, bore honed', 1.5],
    // The sleeve is away for eight days beyond what is planned.
    ['sleeve', 'sleeve', 9.5],
    ['exchange', 'exchange unit X-1', 0],
    ['new', 'new unit N-1', 2],
    ['give-back', 'give back as it is', 0],
  ]);
  // Strip, clean, gauge, judge, hone, kit, close up, release at half an hour each, and the proving at its fixed price.
  expect(options[0]?.asked).toMatchObject({
    parts: 10,
    minutes: 240,
    outside: 22,
    restores: true,
    returnCost: 10 + 240 + 22,
    failCost: 240 + 22,
  });
  expect(options[1]?.asked).toMatchObject({ parts: 10, minutes: 240, outside: 22 + 74 });
  // What was done so far is paid whatever comes of it.
  expect(options[2]?.asked).toMatchObject({ parts: 0, minutes: 70, outside: 61, failCost: 0, returnCost: 0 });
  expect(options[4]?.asked).toMatchObject({ parts: 0, minutes: 60, outside: 0, restores: false });
});

test('what each comes to is chapter 13’s, by hand: an hour at 60, parts and a fifth, nine in ten proved, nineteen in twenty kept', () => {
  const options = optionsOf(facts());
  const cost = routeCost({ options: options.map((o) => o.asked), neededInDays: 3, rules: {} }, STANDARD_RULES);
  expect(cost.options.map((c) => Math.round(c.direct * 100) / 100)).toEqual([240 + 12 + 22, 240 + 12 + 22 + 74, 70 + 61, 70 + 97, 60]);
  expect(cost.options[0]?.risk).toBeCloseTo(0.1 * 262 + 0.9 * 0.05 * 272, 9);
  expect([cost.best, cost.options[2]?.total]).toEqual(['exchange X-1 ', 131]);
  expect(sayFlips(options, cost.options, cost.best)[0]).toBe('Repair, bore honed would be as good if it were 181.44 cheaper.');
  expect(sayFlips(options, cost.options, null)).toEqual([]);
});

test('not judged yet: by the likeliest way, said with its chance; scrap and sleeve leave no repair', () => {
  expect(by('repair', facts({ way: { by: 'likely', way: 'reuse', chance: 0.45 } }))?.doubts[0]).toBe('not judged yet: as it is at 45 %');
  const kinds = (way: 'scrap' | 'sleeve') => optionsOf(facts({ way: { by: 'judged', way } })).map((o) => o.kind);
  expect([kinds('sleeve'), kinds('scrap')]).toEqual([
    ['sleeve', 'exchange', 'new', 'give-back'],
    ['exchange', 'new', 'give-back'],
  ]);
  // As judged, the plan has its days already.
  expect(by('sleeve', facts({ way: { by: 'judged', way: 'sleeve' } }))?.asked.days).toBe(1.5);
  const booster = optionsOf(facts({ family: FAMILIES.booster, boreMm: null, way: null, done: [] }));
  expect(booster.map((o) => o.words)).toEqual(['repair', 'give back as it is']);
});

test('the whole job at one price goes before its stations', () => {
  const fixed: Price = { what: 'work', family: 'slave', way: null, station: null, cents: 19_500 };
  expect(by('repair', facts({ prices: [...PRICES, fixed] }))?.asked).toMatchObject({ minutes: 0, outside: 195 });
});

test('chances are a family’s own from ten units on, else all of that way; what is not known is said', () => {
  const row = (family: string, proved: number, failed: number, margin: Margin = 'ample') => ({
    family,
    way: 'hone' as const,
    margin,
    proved,
    failed,
    kept: proved,
    back: failed,
  });
  const own = by('repair', facts({ counts: [row('slave', 9, 1), row('booster', 50, 0)] }));
  expect(own?.asked).toMatchObject({ proved: { good: 9, bad: 1 }, kept: { good: 9, bad: 1 } });
  const few = by('repair', facts({ counts: [row('slave', 8, 1), row('booster', 50, 0)] }));
  expect(few?.asked.proved).toEqual({ good: 58, bad: 1 });
  // A bore near its limit is told of by its like, once there are ten of them.
  const thin = (n: number) => by('repair', facts({ margin: 'thin', counts: [row('slave', 40, 0), row('slave', n - 3, 3, 'thin')] }));
  expect(thin(10)?.asked.proved).toEqual({ good: 7, bad: 3 });
  expect(thin(9)?.asked.proved).toEqual({ good: 46, bad: 3 });
  const unknown = by('repair', facts({ plannedDays: null, parts: { price: 0, lacks: ['boot', 'cup'], supposed: 3 } }));
  expect(unknown?.doubts).toEqual([
    'not stripped yet: all that wears is taken to be renewed',
    'no price for boot, cup: it is dearer by that',
    'the plan has no date for it',
    'no unit of the shop has gone this way yet: its chances are the standing ones',
  ]);
  expect(by('sleeve', facts({ prices: [] }))?.doubts).toContain('nobody’s price for the sleeve is on the list');
  expect(by('new', facts())?.doubts[1]).toBe('the list names no bore for it: hold it against the old one');
});

test('by when another would be the best: each once, with the day before which it would have to be ready', () => {
  const options = optionsOf(
    facts({
      parts: { price: 1, lacks: [], supposed: 0 },
      prices: PRICES.map((p) =>
        p.what === 'new' || p.what === 'exchange'
          ? { ...p, cents: 90_000, stock: 0, supplier: 'Harbour Spares', days: p.what === 'new' ? 1 : 0 }
          : p,
      ),
    }),
  );
  const asked = options.map((o) => o.asked);
  const { best } = routeCost({ options: asked, neededInDays: 3, rules: {} }, STANDARD_RULES);
  expect(best).toBe('repair');
  const within = (days: number) => routeCost({ options: asked, neededInDays: days, hard: true, rules: {} }, STANDARD_RULES).best;
  // Within a day there is the new one, dearer than the exchange unit by nothing but its place; at once only the exchange unit.
  expect(sayDateFlips(options, best, within, Date.UTC(2026, 4, 4, 8))).toEqual([
    expect.stringMatching(/^Exchange unit X-1 would be the best if it had to be ready before Tuesday, 5 May 2026/),
  ]);
  expect(sayDateFlips(options, null, within, 0)).toEqual([]);
});

test('what can be had after hours is told for when the shop opens again; what is at hand within them, at once', () => {
  // Monday 22:30, open Tuesday to Friday from 8 to 17: 9.5 h, 33.5 h … from now.
  const now = Date.UTC(2026, 4, 4, 22, 30);
  const open = [0, 1, 2, 3].map((day) => ({ fromMin: (9.5 + 24 * day) * 60, toMin: (18.5 + 24 * day) * 60 }));
  expect([0, 2, 0.5].map((days) => new Date(readyAt(days, { now, open })).toISOString().slice(5, 16))).toEqual([
    '05-05T08:00',
    '05-07T08:00',
    '05-05T10:30',
  ]);
  // Beyond the hours that are known, to the full hour.
  expect(readyAt(40, { now, open })).toBe(Date.UTC(2026, 5, 13, 23));
  const repair = optionsOf(facts({ plannedDays: 0.1 })).find((o) => o.kind === 'repair') as UnitOption;
  const promised = { now, open, dueAt: Date.UTC(2026, 4, 8, 12) };
  expect(offeredOf(repair, STANDARD_RULES, PRICES, promised).readyAt).toBe(promised.dueAt);
});
