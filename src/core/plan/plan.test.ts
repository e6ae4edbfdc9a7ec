import { afterEach, describe, expect, test } from 'vitest';
import { fitIn, keepPlan, worthier } from '../day/keep';
import { schedule } from '../day/schedule';
import { STANDARD_RULES } from '../rules/rule-set';
import type { WeekHours } from '../shop/hours';
import { STANDARD_SHOP, weekHours } from '../shop/settings';
import type { AheadOp } from './ahead';
import { type Bench, type DayFacts, dayRequest, isDown, type RackUnit, type Worker } from './day-facts';
import { lateUnits, movedUnits, planOf, stretchesOf, throughTheNight, workOf } from './day-plan';
import { calendarWork, daySheetOf } from './day-sheet';
import { type FirstAt, orderWithFirst } from './first-at';
import { compared, helpsFor, mightHelp, planFor, sayHelpful } from './helps';
import { sayReasons, whyLate } from './late';
import { openFrom, promised } from './promise';
import { sayLeftOut, sayPin, sayTurn } from './say-next';
import { hoursBetween, shiftsFrom } from './shifts';
import { axisOf, ticksOf, xOf } from './time-axis';
import { type Supposed, saySupposed, supposing } from './what-if';
import { atNow, type Done, workedAt } from './worked';

afterEach(() => {
  globalThis.eddrinLocale = undefined;
});

const MIN = 60_000;
const HOUR = 60 * MIN;
/** A Monday, 8:00 in Vienna. */
const NOW = Date.UTC(2026, 10, 30, 7);
const vienna = (): void => {
  globalThis.eddrinLocale = { tagPrefixes: ['SQ'], letterhead: [], decimalMark: '.', currency: null, timeZone: 'Europe/Vienna' };
};

const work = (id: string, minutes: number, more: Partial<Extract<AheadOp, { kind: 'work' }>> = {}): AheadOp => ({
  id,
  kind: 'work',
  words: id,
  station: 'strip',
  minutes,
  spread: 0,
  ...more,
});
const wait = (id: string, minutes: number, more: Partial<AheadOp> = {}): AheadOp =>
  ({ id, kind: 'wait', words: id, station: 'kit', minutes, ...more }) as AheadOp;
const unit = (tag: string, dueH: number, ops: readonly AheadOp[], more: Partial<RackUnit> = {}): RackUnit => ({
  id: `id-${tag}`,
  tag,
  label: 'Single master',
  dueAt: NOW + dueH * HOUR,
  way: 'reuse',
  wayBy: 'judged',
  wayChance: 1,
  ops,
  readyAt: null,
  ...more,
});
const DAYS = [0, 1, 2, 3].flatMap((d) => [
  { fromMin: d * 1440, toMin: d * 1440 + 240 },
  { fromMin: d * 1440 + 300, toMin: d * 1440 + 540 },
]);
const worker = (id: string, more: Partial<Worker> = {}): Worker => ({
  id,
  name: id.toUpperCase(),
  skills: ['strip', 'hone', 'prove'],
  shifts: DAYS,
  ...more,
});
/** An operation of a plan of before, by unit and name; whoever does it is ann, or bob at the rig. */
const placed = (name: string) => {
  const [unitId = '', opId = ''] = name.split(' ');
  return { unitId, opId, personId: opId === 'rig' ? 'bob' : 'ann', startMin: 0, endMin: 0 };
};
const RIG: Bench = { id: 'rig', places: 1, downMin: 0 };
const facts = (units: readonly RackUnit[], more: Partial<DayFacts> = {}): DayFacts => ({
  now: NOW,
  people: [worker('ann')],
  benches: [RIG],
  units,
  pins: [],
  usual: [{ family: 'slave', label: 'Slave', ops: [work('strip', 60)] }],
  ...more,
});
const pinned = (tag: string, pin: object) =>
  ({ id: `pin-${tag}`, unitId: `id-${tag}`, by: 'Lena', madeAt: NOW, why: 'asked for', ...pin }) as DayFacts['pins'][number];

describe('when somebody is there', () => {
  const WEEK: WeekHours = weekHours({ ...STANDARD_SHOP.hours, saturday: '22-24', sunday: '0-4' });

  test('a shift that runs is cut to what is left; days off fall out', () => {
    vienna();
    expect(shiftsFrom(NOW, 2, WEEK, [])).toEqual([
      { fromMin: 0, toMin: 240 },
      { fromMin: 300, toMin: 540 },
      { fromMin: 1410, toMin: 1680 },
      { fromMin: 1740, toMin: 1980 },
    ]);
    expect(shiftsFrom(NOW, 3, WEEK, [{ from: '2026-11-30', until: '2026-12-01', why: '' }]).length).toBe(2);
  });

  test('on the nights when the clock is set the hours are as long as the clock makes them', () => {
    vienna();
    // Saturday 24 October 2026, 20:00; in that night the clock goes back by an hour, on 28 March 2026 it went forward.
    const back = shiftsFrom(Date.UTC(2026, 9, 24, 18), 2, WEEK, []);
    expect(back).toEqual([
      { fromMin: 120, toMin: 240 },
      { fromMin: 240, toMin: 540 },
    ]);
    const forward = shiftsFrom(Date.UTC(2026, 2, 28, 19), 2, WEEK, []);
    expect(forward[1]).toEqual({ fromMin: 240, toMin: 420 });
  });

  test('hours between two moments: of whole days and parts of them, days off left out', () => {
    vienna();
    // From Friday 27 November 2026, 10:00, to Monday 30 November, 14:00: 5.5 h, Saturday 2 h, Sunday 4 h, Monday 4 h and 1 h.
    const [from, until] = [Date.UTC(2026, 10, 27, 9), Date.UTC(2026, 10, 30, 13)];
    expect(hoursBetween(from, until, WEEK, [])).toBe(5.5 + 2 + 4 + 5);
    expect(hoursBetween(from, until, WEEK, [{ from: '2026-11-28', until: '', why: '' }])).toBe(5.5 + 4 + 5);
    expect([hoursBetween(from, from, WEEK, []), hoursBetween(until, from, WEEK, [])]).toEqual([0, 0]);
    // Over a month in which the clock is set they are the shifts’ own, told one by one.
    const [march, april] = [Date.UTC(2026, 1, 28, 23), Date.UTC(2026, 2, 31, 22)];
    const shifts = shiftsFrom(march, 31, weekHours(STANDARD_SHOP.hours), []);
    const told = shifts.reduce((sum, s) => sum + s.toMin - s.fromMin, 0) / 60;
    expect(hoursBetween(march, april, weekHours(STANDARD_SHOP.hours), [])).toBeCloseTo(told, 9);
  });
});

describe('bench time', () => {
  const done = (personId: string, min: number, left: Done['left'] = null): Done => ({ personId, at: NOW + min * MIN, left });

  test('is between a person’s own steps, long pauses left out, by the station that was left', () => {
    // By hand: 4 + 6 at strip (the 40 min pause is none), 5 of the other person, then 3 + 2 at clean, and 7 since.
    const steps = [
      done('ann', 0),
      done('ann', 4),
      done('bob', 5),
      done('bob', 10),
      done('ann', 44),
      done('ann', 50, 'strip'),
      done('ann', 53),
      done('ann', 55, 'clean'),
      done('ann', 62),
    ];
    expect([...workedAt(steps, 20)]).toEqual([
      ['strip', 15],
      ['clean', 5],
      ['open', 7],
    ]);
    expect(workedAt(steps, 60).get('strip')).toBe(55);
  });

  test('somebody is at what they did last, unless that was over or long ago', () => {
    const histories = new Map([
      ['u1', [done('ann', -60, 'strip'), done('ann', -30), done('ann', -12), done('ann', -3)]],
      ['u2', [done('ann', -50), done('bob', -2, 'strip')]],
      ['u3', [done('cas', -25)]],
    ]);
    expect([...atNow(histories, NOW, 20)]).toEqual([['ann', { unitId: 'u1', since: NOW - 30 * MIN }]]);
    expect(atNow(histories, NOW, 5).size).toBe(1);
    expect(atNow(histories, NOW + HOUR, 20).size).toBe(0);
  });
});

describe('the request', () => {
  test('what nobody here does is told and left out; a unit without work is not planned', () => {
    const { request, leftOut } = dayRequest(
      facts([unit('A', 5, [work('kit', 5, { station: 'kit' })]), unit('B', 5, []), unit('C', 5, [work('strip', 5)])]),
    );
    expect([request.units.map((u) => u.id), leftOut]).toEqual([['C'], [{ tag: 'A', station: 'kit' }]]);
    expect(sayLeftOut(leftOut)).toBe('Nobody here does Kit: A.');
  });

  test('what somebody is at stands where it was begun, and never moves, however late the others', () => {
    const at = facts([
      unit('late', -5, [work('strip', 30)]),
      unit('begun', 900, [work('hone', 50, { station: 'hone', startedMin: -20, personId: 'ann' }), work('strip', 10)]),
    ]);
    const { ops } = planFor(at);
    expect(ops[0]).toMatchObject({ tag: 'begun', startAt: NOW - 20 * MIN, endAt: NOW + 30 * MIN, personId: 'ann', stands: 'started' });
    expect(ops[1]).toMatchObject({ tag: 'late', startAt: NOW + 30 * MIN });
  });

  test('two at one bench that holds one, or at two things at once: the second is told as not begun there', () => {
    const two = facts(
      [
        unit('A', 5, [work('prove', 30, { station: 'prove', bench: 'rig', startedMin: -5, personId: 'ann' })]),
        unit('B', 5, [work('prove', 30, { station: 'prove', bench: 'rig', startedMin: -5, personId: 'bob' })]),
        unit('C', 5, [work('strip', 30, { startedMin: -5, personId: 'bob' })]),
      ],
      { people: [worker('ann'), worker('bob')] },
    );
    const { request } = dayRequest(two);
    expect(request.units.map((u) => [u.ops[0]?.bench, u.ops[0]?.startedMin])).toEqual([
      ['rig', -5],
      [undefined, -5],
      [undefined, undefined],
    ]);
    expect(schedule(request, STANDARD_RULES).unplaced).toEqual([]);
  });

  test('pins: first goes before what is due sooner, a person does it, and not before is not before', () => {
    const both = [unit('A', 1, [work('strip', 60)]), unit('B', 900, [work('strip', 60)])];
    expect(planFor(facts(both)).ops.map((o) => o.tag)).toEqual(['A', 'B']);
    expect(planFor(facts(both, { pins: [pinned('B', { kind: 'first' })] })).ops.map((o) => o.tag)).toEqual(['B', 'A']);
    const people = [worker('ann'), worker('bob')];
    const bob = planFor(facts(both, { people, pins: [pinned('A', { kind: 'person', personId: 'bob' })] }));
    expect(bob.ops.find((o) => o.tag === 'A')?.personId).toBe('bob');
    const later = planFor(facts(both, { pins: [pinned('A', { kind: 'not-before', at: NOW + 3 * HOUR })] }));
    expect(later.ops.find((o) => o.tag === 'A')?.startAt).toBe(NOW + 3 * HOUR);
    // What somebody is at is left there where it is pinned to later, or to another.
    const begun = [unit('A', 1, [work('strip', 60, { startedMin: -10, personId: 'ann' })])];
    expect(planFor(facts(begun, { people, pins: [pinned('A', { kind: 'not-before', at: NOW + HOUR })] })).ops).toMatchObject([
      { startAt: NOW + HOUR },
    ]);
    expect(planFor(facts(begun, { people, pins: [pinned('A', { kind: 'person', personId: 'bob' })] })).ops).toMatchObject([
      { startAt: NOW, personId: 'bob' },
    ]);
    // Lateness is by the promise, whatever is pinned: A is one hour late behind B.
    expect(planFor(facts(both, { pins: [pinned('B', { kind: 'first' })] })).latenessMin).toBeCloseTo(60, 6);
  });

  test('what of a unit somebody does not do is said of a pin to them, and goes to others', () => {
    const people = [worker('ann'), worker('bob', { skills: ['prove'] }), worker('kit', { skills: ['kit'] })];
    const one = unit('A', 9, [work('strip', 30), wait('soak', 20), work('prove', 10, { station: 'prove' })]);
    const say = (personId: string) => sayPin(pinned('A', { kind: 'person', personId }), one, NOW, people);
    expect(['ann', 'bob', 'kit', 'zoe'].map(say)).toEqual([
      'by ANN',
      'by BOB: prove; the rest by others',
      'by KIT, who does none of its work',
      'by somebody who is not here',
    ]);
    const plan = planFor(facts([one], { people, pins: [pinned('A', { kind: 'person', personId: 'bob' })] }));
    expect(plan.ops.map((o) => o.personId)).toEqual(['ann', null, 'bob']);
  });

  test('who has signed leaves the second signature to another: who is there first, else whoever else releases', () => {
    const sign = work('second', 3, { station: 'release', skill: 'second-signature', notBy: ['lea'] });
    const lead = (id: string, fromMin: number) =>
      worker(id, { skills: ['release', 'second-signature'], shifts: [{ fromMin, toMin: 900 }] });
    const by = (people: readonly Worker[], pins: DayFacts['pins'] = []) =>
      planFor(facts([unit('A', 9, [sign])], { people, pins })).ops[0]?.personId;
    expect(by([lead('lea', 0), lead('mo', 200), lead('ned', 100)])).toBe('ned');
    expect(by([lead('lea', 0), lead('mo', 200), lead('ned', 100)], [pinned('A', { kind: 'person', personId: 'mo' })])).toBe('mo');
    expect(by([lead('lea', 0), lead('mo', 200)], [pinned('A', { kind: 'person', personId: 'lea' })])).toBe('mo');
    expect(by([lead('lea', 0), worker('tom', { skills: ['release'] })])).toBe('tom');
    expect(by([lead('lea', 0)])).toBe('lea');
  });

  test('a bench that is out of use takes nothing until it works again', () => {
    const down = facts([unit('A', 5, [work('prove', 30, { station: 'prove', bench: 'rig' })])], { benches: [{ ...RIG, downMin: 120 }] });
    expect(planFor(down).ops).toMatchObject([{ tag: 'A', startAt: NOW + 120 * MIN }]);
    expect(planFor(down).units.map((u) => u.unit.tag)).toEqual(['A']);
    expect(dayRequest(down).request.units.filter((u) => isDown(u.id)).length).toBe(1);
  });
});

describe('a plan read', () => {
  const three = facts([
    unit('A', 1, [
      work('strip', 20),
      work('hone', 30, { station: 'hone' }),
      wait('cure', 600, { station: 'prove' }),
      work('prove', 20, { station: 'prove' }),
    ]),
    unit('B', 2, [work('strip', 30)]),
  ]);
  const plan = planFor(three);

  test('what one does at a unit without a break is one stretch', () => {
    expect(workOf(plan, 'ann').map((s) => [s.tag, s.words, (s.endAt - s.startAt) / MIN])).toEqual([
      ['B', 'strip', 30],
      ['A', 'strip, hone', 50],
      ['A', 'prove', 20],
    ]);
    expect(stretchesOf([])).toEqual([]);
  });

  test('a long wait that begins today and runs on is to be started; a short one, or one that is over, is not', () => {
    expect(throughTheNight(plan, NOW + 9 * HOUR).map((o) => o.op.id)).toEqual(['cure']);
    expect(throughTheNight(plan, NOW + 11.9 * HOUR)).toEqual([]);
    expect(throughTheNight(plan, undefined)).toEqual([]);
  });

  test('why it is whose turn: promise, work and waiting left, what is in hand', () => {
    vienna();
    const [a, b] = plan.units;
    expect(sayTurn(a as never, [], NOW)).toBe('Promised today 9:00, 1 h 10 of work and 10 h 00 of cure left; 23 h 20 late by this plan.');
    expect(sayTurn(b as never, [pinned('B', { kind: 'first' })], NOW)).toBe(
      'First, says Lena: asked for. Promised today 10:00, 0:30 of work left; 1 h 30 in hand.',
    );
    const guessed = { ...(b as NonNullable<typeof b>), unit: unit('B', 2, [], { way: 'hone', wayBy: 'likely', wayChance: 0.574 }) };
    expect(sayTurn(guessed, [], NOW)).toMatch(/Not judged yet; likeliest: honed, 57 %\.$/);
  });

  test('the day sheet has each person’s lines, the calendar today’s and tomorrow’s', () => {
    vienna();
    const sheet = daySheetOf(plan, three);
    expect(sheet.people).toEqual([
      {
        name: 'ANN',
        lines: [
          { time: '8:00 – 8:30', tag: 'B', words: 'strip' },
          { time: '8:30 – 9:20', tag: 'A', words: 'strip, hone' },
        ],
      },
    ]);
    expect([sheet.night, sheet.late]).toEqual([['9:20 cure on A, until today 19:20'], ['A: promised today 9:00, ready Tue 8:20']]);
    expect(calendarWork(plan, 'ann', NOW).map((e) => [e.title, e.at - NOW, e.minutes])).toEqual([
      ['B strip', 0, 30],
      ['A strip, hone', 30 * MIN, 50],
      ['A prove', 24 * HOUR, 20],
    ]);
  });
});

describe('will be late, and what would change it', () => {
  const prove = (more: object = {}) => work('prove', 120, { station: 'prove', bench: 'rig', ...more });
  const people = [worker('ann'), worker('bob')];
  const jam = facts([unit('A', 2, [prove()]), unit('B', 3, [prove()])], { people });

  test('reasons: behind whom at which bench, by whom, for which wait, for the shop to open', () => {
    const plan = planFor(jam);
    const [late] = lateUnits(plan);
    expect([late?.unit.tag, late?.lateMin]).toEqual(['B', 60]);
    expect(sayReasons(late as never, plan, jam, (id) => id)).toBe('Waits 2 h 00 for the test rig behind A.');
    const one = facts([unit('A', 2, [work('strip', 100)]), unit('B', 2, [work('strip', 100)])]);
    expect(sayReasons(lateUnits(planFor(one))[0] as never, planFor(one), one, (id) => id)).toBe(
      'Waits 1 h 40 for ann, who is at A before.',
    );
    const soaked = facts([unit('A', 9, [wait('soak', 480), work('strip', 90)]), unit('B', -1, [work('strip', 10)])]);
    const plans = planFor(soaked);
    expect(whyLate(lateUnits(plans)[0] as never, plans, soaked).map((r) => [r.kind, Math.round(r.ms / MIN)])).toEqual([
      ['wait', 480],
      ['closed', 960],
    ]);
    const over = plans.units.find((u) => u.unit.tag === 'B');
    expect(sayReasons(over as never, plans, soaked, (id) => id)).toBe('Its promise is over already.');
  });

  test('what helps most is found by planning again: a second rig saves the hour, an hour more of anybody nothing', () => {
    const plan = planFor(jam);
    expect(mightHelp(jam, plan)).toContainEqual({ kind: 'more-places', bench: 'rig', places: 1 });
    const found = [...helpsFor(jam, plan)].at(-1);
    expect(found?.best.map((h) => [h.helpful.kind, h.savedMin])).toEqual([['more-places', 60]]);
    expect([found?.tried, found?.best[0]?.latenessMin]).toEqual([found?.of, 0]);
  });

  test('first at the rig, and only there: who stood before it there comes after, and what they did elsewhere stays', () => {
    // A and C take the rig in turn; B is free for it at ten minutes past, and is late behind both.
    const rig = (minutes: number) => work('rig', minutes, { station: 'prove', bench: 'rig' });
    const shop = facts([unit('A', 8, [rig(60)]), unit('C', 8, [rig(60)]), unit('B', 1, [work('strip', 10), rig(30)])], { people });
    const plan = planOf(shop, fitIn(dayRequest(shop).request, ['A rig', 'C rig', 'B strip', 'B rig'].map(placed)), []);
    expect(plan.latenessMin).toBe(90);
    expect(mightHelp(shop, plan)).toContainEqual({ kind: 'first-at', tag: 'B', bench: 'rig' });
    const order = orderWithFirst(plan, { kind: 'first-at', tag: 'B', bench: 'rig' });
    expect(order.map((o) => `${o.unitId} ${o.opId}`)).toEqual(['B strip', 'B rig', 'A rig', 'C rig']);
    const then = planOf(shop, fitIn(dayRequest(shop).request, order), []);
    expect(then.ops.filter((o) => o.op.id === 'rig').map((o) => [o.tag, (o.startAt - NOW) / MIN])).toEqual([
      ['B', 10],
      ['A', 40],
      ['C', 100],
    ]);
    const first: FirstAt = { kind: 'first-at', tag: 'B', bench: 'rig' };
    expect(
      sayHelpful(
        first,
        NOW,
        (id) => id,
        (id) => id,
      ),
    ).toBe('B first at the test rig');
  });

  test('a part by courier is tried where a part is waited for', () => {
    const ordered = facts([
      unit('A', 30, [wait('parts', 4000, { words: 'parts on order', startedMin: -100 } as object), work('strip', 30)]),
    ]);
    const plan = planFor(ordered);
    expect([...helpsFor(ordered, plan)].at(-1)?.best[0]).toMatchObject({
      helpful: { kind: 'courier', tag: 'A', hours: 24 },
      latenessMin: 0,
    });
  });
});

describe('what if', () => {
  const base = facts([unit('A', 3, [work('strip', 120)]), unit('B', 5, [work('strip', 120)])]);
  const all: readonly (readonly [Supposed, string, (f: DayFacts) => unknown, unknown])[] = [
    [
      { kind: 'away', personId: 'ann', fromAt: NOW + HOUR, untilAt: NOW + 3 * HOUR },
      'ANN away, today 9:00 to today 11:00',
      (f) => f.people[0]?.shifts.slice(0, 3),
      [
        { fromMin: 0, toMin: 60 },
        { fromMin: 180, toMin: 240 },
        { fromMin: 300, toMin: 540 },
      ],
    ],
    [
      { kind: 'more-hours', personId: 'ann', minutes: 90 },
      'ANN 1 h 30 longer',
      (f) => f.people[0]?.shifts[1],
      { fromMin: 300, toMin: 630 },
    ],
    [{ kind: 'bench-down', bench: 'rig', untilAt: NOW + HOUR }, 'test rig out of use until today 9:00', (f) => f.benches[0]?.downMin, 60],
    [{ kind: 'more-places', bench: 'rig', places: 2 }, '2 more test rig', (f) => f.benches[0]?.places, 3],
    [
      { kind: 'more-units', family: 'slave', units: 3, fromAt: NOW, dueAt: NOW + 48 * HOUR },
      '3 × Slave more today 8:00, promised Wed 8:00',
      (f) => f.units.length,
      5,
    ],
    [{ kind: 'first', tag: 'B' }, 'B before all others', (f) => f.pins.map((p) => [p.kind, p.unitId]), [['first', 'id-B']]],
  ];
  test.each(all)('%j', (supposed, words, of, is) => {
    vienna();
    expect(of(supposing(base, [supposed]))).toEqual(is);
    expect(
      saySupposed(
        supposed,
        NOW,
        (id) => id.toUpperCase(),
        () => 'Slave',
      ),
    ).toBe(words);
  });

  test('is planned beside today’s: who moves, by how much, and who finds no room', () => {
    const ill: Supposed = { kind: 'away', personId: 'ann', fromAt: NOW, untilAt: NOW + 2 * HOUR };
    const c = compared(base, [ill]);
    // By hand: A from 10:00 to 12:00 (an hour late), B from 13:00 to 15:00 (two hours late).
    expect([c.lateWas, c.lateWill, c.latenessWas, c.latenessWill]).toEqual([0, 2, 0, 180]);
    expect(c.moved.map((m) => [m.tag, ((m.will ?? 0) - (m.was ?? 0)) / HOUR])).toEqual([
      ['B', 3],
      ['A', 2],
    ]);
    expect(
      compared(base, [{ kind: 'away', personId: 'ann', fromAt: NOW, untilAt: NOW + 90 * 24 * HOUR }]).moved.map((m) => m.will),
    ).toEqual([null, null]);
    expect(movedUnits(planFor(base), planFor(base))).toEqual([]);
  });
});

describe('promises', () => {
  const usual = (minutes: number, spread = 0) => ({ family: 'slave' as const, label: 'Slave', ops: [work('strip', minutes, { spread })] });
  const before = (f: DayFacts) => schedule(dayRequest(f).request, STANDARD_RULES).ops;

  test('a new unit is fitted in behind what is planned, and moves nobody', () => {
    const f = facts([unit('A', 3, [work('strip', 60)])]);
    expect(promised(f, before(f), [{ chance: 1, usual: usual(30) }]).readyAt).toEqual([NOW + 90 * MIN, NOW + 90 * MIN, NOW + 90 * MIN]);
  });

  test('ways are mixed by their chances: the date that holds at 9 in 10 is the longer way’s where that is likelier than 1 in 10', () => {
    const f = facts([]);
    const at = (short: number) =>
      promised(
        f,
        [],
        [
          { chance: short, usual: usual(60) },
          { chance: 1 - short, usual: usual(200) },
        ],
      ).readyAt.map((t) => Math.round(((t ?? 0) - NOW) / MIN));
    expect(at(0.92)).toEqual([60, 60, 200]);
    expect(at(0.7)).toEqual([60, 200, 200]);
    expect(at(0.3)).toEqual([200, 200, 200]);
  });

  test('spreads widen it, by the quantiles of a lognormal', () => {
    const [half, nine] = promised(facts([]), [], [{ chance: 1, usual: usual(100, 0.3) }]).readyAt.map((t) => ((t ?? 0) - NOW) / MIN);
    // 100·exp(0.3·1.2816) = 146.9; drawn 300 times.
    expect(Math.abs((half ?? 0) - 100)).toBeLessThan(8);
    expect(Math.abs((nine ?? 0) - 146.9)).toBeLessThan(14);
  });

  test('what has no room has no date; a date is in the shop’s hours, on the half hour', () => {
    expect(
      promised(facts([], { people: [worker('ann', { shifts: [{ fromMin: 0, toMin: 30 }] })] }), [], [{ chance: 1, usual: usual(60) }])
        .readyAt,
    ).toEqual([null, null, null]);
    const open = (min: number) => openFrom(NOW + min * MIN, DAYS, NOW);
    expect([open(1), open(250), open(560)].map((t) => ((t ?? 0) - NOW) / MIN)).toEqual([30, 300, 1440]);
    expect(open(99_999)).toBeUndefined();
  });
});

describe('a plan that stays', () => {
  const shop = (now: number, done = 0): DayFacts =>
    facts(
      Array.from({ length: 12 }, (_, i) =>
        unit(`U${i}`, 4 + i, [work('strip', 20 + i), wait('soak', 30), work('prove', 15, { station: 'prove', bench: 'rig' })]),
      ).slice(done),
      {
        now,
        people: [worker('ann'), worker('bob')].map((p) => ({
          ...p,
          shifts: p.shifts.map((s) => ({ fromMin: Math.max(0, s.fromMin - (now - NOW) / MIN), toMin: s.toMin - (now - NOW) / MIN })),
        })),
      },
    );

  test('one unit less moves nothing that need not move: who does what, and in which order, stays', () => {
    const before = schedule(dayRequest(shop(NOW)).request, STANDARD_RULES);
    const { request } = dayRequest(shop(NOW, 1));
    const kept = keepPlan(request, before.ops);
    const was = new Map(before.ops.map((o) => [`${o.unitId} ${o.opId}`, o.personId]));
    expect(kept.ops.every((o) => was.get(`${o.unitId} ${o.opId}`) === o.personId)).toBe(true);
    expect(kept.unplaced).toEqual([]);
    expect(keepPlan(dayRequest(shop(NOW)).request, before.ops).ops).toEqual(before.ops);
  });

  test('somebody who is gone is taken over for, and something new finds its room', () => {
    const before = schedule(dayRequest(shop(NOW)).request, STANDARD_RULES);
    const alone = { ...shop(NOW), people: [worker('ann')] };
    const kept = keepPlan(dayRequest({ ...alone, units: [...alone.units, unit('new', 9, [work('strip', 10)])] }).request, before.ops);
    expect([kept.unplaced, new Set(kept.ops.map((o) => o.personId)), kept.units.at(-1)?.unitId]).toEqual([
      [],
      new Set(['ann', null]),
      'new',
    ]);
  });

  test('another plan takes its place only where it is worth the change', () => {
    const plan = (lateness: number, unplaced = 0) => ({
      ...schedule(dayRequest(shop(NOW)).request, STANDARD_RULES),
      lateness,
      unplaced: Array(unplaced).fill({}),
    });
    const known = plan(1000);
    expect(worthier(known, plan(960))).toBe(known);
    const better = plan(890);
    expect(worthier(known, better)).toBe(better);
    const small = plan(40);
    expect(worthier(small, plan(15))).toBe(small);
    const roomier = plan(9000, 0);
    expect(worthier(plan(1000, 1), roomier)).toBe(roomier);
  });
});

describe('the drawing’s time', () => {
  const open = DAYS.map((s) => ({ from: NOW + s.fromMin * MIN, to: NOW + s.toMin * MIN }));

  test('hours that somebody is there are to scale, lunch too; nights are folded', () => {
    const axis = axisOf(open, NOW, 600);
    expect(axis.map((s) => [s.kind, (s.to - s.from) / HOUR])).toEqual([
      ['open', 9],
      ['folded', 15],
      ['open', 1],
    ]);
    expect([xOf(axis, NOW), xOf(axis, NOW + 100 * HOUR), xOf(axis, NOW - HOUR)]).toEqual([0, 1, 0]);
    expect(xOf(axis, NOW + 4.5 * HOUR)).toBeCloseTo(270 / 645, 9);
    expect(xOf(axis, NOW + 16.5 * HOUR)).toBeCloseTo((540 + 22.5) / 645, 9);
    expect(axisOf([], NOW, 600)).toEqual([]);
  });

  test('ticks are whole hours; a new day says its name', () => {
    vienna();
    expect(ticksOf(axisOf(open, NOW, 600), NOW, 3).map((t) => t.text)).toEqual(['8:00', '9:00', '12:00', '15:00', 'Tue 8:00']);
  });
});
