import loadHighs from 'highs';
import { beforeAll, describe, expect, test } from 'vitest';
import { CALCULATIONS } from '../api/compute';
import { STANDARD_RULES } from '../rules/rule-set';
import { type Random, randomFrom } from '../statistics/random';
import { type Schedule, schedule } from './schedule';
import { ScheduleRequest } from './schedule-schema';

// The plan is held against the words of chapter 12 by a checker that knows nothing of how plans are made, and on small shops against a solver.

type Op = ScheduleRequest['units'][number]['ops'][number];
type Asked = Omit<ScheduleRequest, 'rules'>;
const planned = (asked: object): Schedule => schedule(ScheduleRequest.parse(asked), STANDARD_RULES);
const EPS = 1e-6;

/** Everything that a plan does against the rules. */
const faultsOf = (r: Asked, s: Schedule): readonly string[] => {
  const faults: string[] = [];
  const opOf = (unitId: string, opId: string): Op => r.units.find((u) => u.id === unitId)?.ops.find((o) => o.id === opId) as Op;
  const at = new Map(s.ops.map((o) => [`${o.unitId}/${o.opId}`, o]));
  type Span = { readonly from: number; readonly to: number };
  const startedEnds = r.units.flatMap((u) =>
    u.ops.flatMap((o) => (o.startedMin != null && o.kind === 'work' ? [Math.max(0, o.startedMin + o.minutes)] : [])),
  );
  const attended = (t: number): boolean =>
    r.people.some((p) => p.shifts.some((x) => x.fromMin - EPS <= t && t <= x.toMin + EPS)) ||
    startedEnds.some((e) => Math.abs(e - t) < EPS);
  /** May an operation stand there, with all others where they are? */
  const fits = (op: Op, self: object | undefined, personId: string | null, span: Span): boolean => {
    const others = s.ops.filter((o) => o !== self);
    if (op.kind === 'work') {
      const shifts = r.people.find((p) => p.id === personId)?.shifts ?? [];
      if (!shifts.some((x) => x.fromMin - EPS <= span.from && span.to <= x.toMin + EPS)) return false;
      if (others.some((o) => o.personId === personId && o.startMin < span.to - EPS && o.endMin > span.from + EPS)) return false;
    } else if (op.bench != null && !attended(span.from)) return false;
    if (op.bench == null) return true;
    const beside = others.filter(
      (o) => opOf(o.unitId, o.opId).bench === op.bench && o.startMin < span.to - EPS && o.endMin > span.from + EPS,
    );
    const places = r.benches.find((b) => b.id === op.bench)?.places ?? 0;
    const moments = [span.from, ...beside.map((o) => Math.max(span.from, o.startMin))];
    return moments.every((m) => beside.filter((o) => o.startMin <= m + EPS && o.endMin > m + EPS).length < places);
  };
  /** Moments at which something could begin that could not just before. */
  const candidates = [
    0,
    ...startedEnds,
    ...r.people.flatMap((p) => p.shifts.map((x) => x.fromMin)),
    ...s.ops.map((o) => o.endMin),
    ...r.units.map((u) => u.readyMin ?? 0),
  ].filter((t) => t >= 0);
  for (const unit of r.units) {
    let after = Math.max(0, unit.readyMin ?? 0);
    for (const op of unit.ops) {
      const name = `${unit.id}/${op.id}`;
      const placed = at.get(name);
      const able =
        op.kind === 'wait'
          ? [null]
          : r.people.filter((p) => (op.personId == null ? p.skills.includes(op.skill ?? '') : p.id === op.personId)).map((p) => p.id);
      const begins = [after, ...candidates.filter((t) => t > after)];
      if (placed === undefined) {
        if (able.some((p) => begins.some((t) => fits(op, undefined, p, { from: t, to: t + op.minutes }))))
          faults.push(`${name} has room and is not placed`);
        if (s.unplaced.find((x) => x.unitId === unit.id)?.opId !== op.id) faults.push(`${name} is not told as unplaced`);
        break;
      }
      if (op.startedMin != null) {
        if (placed.startMin !== op.startedMin || placed.endMin !== Math.max(0, op.startedMin + op.minutes))
          faults.push(`${name} was started and moved`);
      } else {
        if (placed.startMin < after - EPS) faults.push(`${name} begins before the one before it has ended`);
        if (Math.abs(placed.endMin - placed.startMin - op.minutes) > EPS) faults.push(`${name} takes another time`);
        if (!(able as readonly (string | null)[]).includes(placed.personId)) faults.push(`${name} is done by ${placed.personId}`);
        if (!fits(op, placed, placed.personId, { from: placed.startMin, to: placed.endMin }))
          faults.push(`${name} stands where there is no room`);
        const earlier = begins
          .filter((t) => t < placed.startMin - 1e-5)
          .find((t) => fits(op, placed, placed.personId, { from: t, to: t + op.minutes }));
        if (earlier !== undefined) faults.push(`${name} could begin at ${earlier} and begins at ${placed.startMin}`);
      }
      after = placed.endMin;
    }
  }
  const whole = s.units.filter((u) => u.finishMin !== null);
  const late = whole.reduce((sum, u) => {
    const unit = r.units.find((x) => x.id === u.unitId);
    return sum + (unit?.weight ?? 1) * Math.max(0, (u.finishMin ?? 0) - (unit?.dueMin ?? 0));
  }, 0);
  if (Math.abs(late - s.lateness) > EPS * Math.max(1, late)) faults.push(`lateness is ${late}, said ${s.lateness}`);
  if (s.unplaced.length + whole.length !== r.units.length) faults.push('units are lost');
  return faults;
};

/** A made-up shop; times are tens of minutes, so that a solver can go through them. */
const shopOf = (
  random: Random,
  size: { readonly units: number; readonly ops: number; readonly people: number; readonly days: number },
): Asked => {
  const skills = ['strip', 'hone', 'prove'];
  const tens = (from: number, to: number): number => 10 * (from + random.below(to - from + 1));
  const day = 240;
  return {
    people: Array.from({ length: size.people }, (_, i) => ({
      id: `p${i}`,
      skills: skills.filter((__, j) => i === 0 || (i + j) % 2 === 0),
      shifts: Array.from({ length: size.days }, (__, d) => [
        { fromMin: d * day + tens(0, 2), toMin: d * day + tens(5, 7) },
        { fromMin: d * day + tens(8, 9), toMin: d * day + tens(12, 14) },
      ]).flat(),
    })),
    benches: [
      { id: 'rig', places: 1 },
      { id: 'bath', places: 2 },
    ],
    units: Array.from({ length: size.units }, (_, u) => ({
      id: `u${u}`,
      dueMin: tens(5, 12 * size.days),
      weight: 1 + random.below(3),
      readyMin: random.next() < 0.3 ? tens(1, 6) : null,
      ops: Array.from({ length: 1 + random.below(size.ops) }, (__, o): Op => {
        const wait = random.next() < 0.25;
        return wait
          ? { id: `o${o}`, kind: 'wait', minutes: tens(2, 12), bench: random.next() < 0.6 ? 'bath' : null }
          : {
              id: `o${o}`,
              kind: 'work',
              minutes: tens(1, 4),
              skill: skills[random.below(3)] as string,
              bench: random.next() < 0.3 ? 'rig' : null,
            };
      }),
    })),
  };
};

describe('a plan keeps to the rules', () => {
  test.each(Array.from({ length: 60 }, (_, i) => i))('made-up shop %d', (i) => {
    const random = randomFrom(1000 + i);
    const asked = {
      ...shopOf(random, { units: 2 + random.below(12), ops: 6, people: 1 + random.below(4), days: 2 + random.below(3) }),
      effort: [0, 5, 60][i % 3] as number,
    };
    expect(faultsOf(asked, planned(asked))).toEqual([]);
  });

  test('with something started, some overrun, and a bench held', () => {
    for (let i = 0; i < 20; i++) {
      const asked = shopOf(randomFrom(50 + i), { units: 6, ops: 4, people: 2, days: 3 });
      const units = asked.units.map((u, n) => {
        const [first, ...rest] = u.ops as [Op, ...Op[]];
        if (n > 1) return u;
        const personId = first.kind === 'work' ? asked.people.find((p) => p.skills.includes(first.skill ?? ''))?.id : null;
        if (n === 1 && first.kind === 'work') return u;
        return { ...u, ops: [{ ...first, bench: null, startedMin: n === 0 ? -30 : -5, personId: personId ?? null }, ...rest] };
      });
      const started = { ...asked, units, effort: 30 };
      expect(faultsOf(started, planned(started))).toEqual([]);
    }
  });

  test('two shifts that touch stay two; fractions of minutes add up', () => {
    const asked = {
      people: [
        {
          id: 'p',
          skills: ['x'],
          shifts: [
            { fromMin: 0, toMin: 0.3 },
            { fromMin: 0.3, toMin: 0.8 },
          ],
        },
      ],
      benches: [],
      units: [
        { id: 'a', dueMin: 0, ops: [{ id: '1', kind: 'work', minutes: 0.4, skill: 'x' }] },
        {
          id: 'b',
          dueMin: 0,
          ops: [
            { id: '1', kind: 'work', minutes: 0.1, skill: 'x' },
            { id: '2', kind: 'work', minutes: 0.2, skill: 'x' },
          ],
        },
      ],
    };
    const s = planned(asked);
    expect(s.ops.map((o) => [o.unitId, Number(o.startMin.toFixed(9)), Number(o.endMin.toFixed(9))])).toEqual([
      ['b', 0, 0.1],
      ['b', 0.1, 0.3],
      ['a', 0.3, 0.7],
    ]);
  });

  test('what is longer than every shift is told apart from what finds no room, and takes nobody’s', () => {
    const shifts = [{ fromMin: 0, toMin: 80 }];
    const work = (minutes: number) => ({ id: `w${minutes}`, kind: 'work' as const, minutes, skill: 'x' });
    const s = planned({
      people: [{ id: 'p', skills: ['x'], shifts }],
      benches: [],
      units: [
        { id: 'long', dueMin: 0, ops: [work(30), work(90)] },
        { id: 'fifty', dueMin: 500, ops: [work(50)] },
        { id: 'forty', dueMin: 900, ops: [work(40)] },
      ],
    });
    expect(s.unplaced).toEqual([
      { unitId: 'long', opId: 'w90', because: 'no-shift' },
      { unitId: 'fifty', opId: 'w50', because: 'no-room' },
    ]);
    // One of the two has room, the shorter for the sake of the flow; the first part of what cannot be finished stands where they leave some.
    expect(s.ops.map((o) => [o.unitId, o.startMin])).toEqual([
      ['forty', 0],
      ['long', 40],
    ]);
    expect(s.units).toEqual([
      { unitId: 'long', finishMin: null, lateMin: null },
      { unitId: 'fifty', finishMin: null, lateMin: null },
      { unitId: 'forty', finishMin: 40, lateMin: 0 },
    ]);
  });

  test('nobody, nothing, nowhere', () => {
    expect(planned({ people: [], benches: [], units: [] })).toEqual({
      ops: [],
      units: [],
      unplaced: [],
      lateness: 0,
      flow: 0,
      rulesUsed: {},
    });
    const waits = planned({ people: [], benches: [], units: [{ id: 'u', dueMin: 5, ops: [{ id: 'soak', kind: 'wait', minutes: 20 }] }] });
    expect([waits.lateness, waits.flow]).toEqual([15, 20]);
  });
});

describe('the least there is', () => {
  let highs: Awaited<ReturnType<typeof loadHighs>>;
  beforeAll(async () => {
    highs = await loadHighs();
  });

  /** A small shop as a whole-number programme over slots of ten minutes, which knows nothing of gaps and orders. @returns units without room, and lateness */
  const solved = (r: Asked): readonly [number, number] => {
    const slots = 10 + Math.max(...r.people.flatMap((p) => p.shifts.map((x) => x.toMin / 10))) + 30;
    const names: string[] = [];
    const [rows, goal]: [string[], string[]] = [[], []];
    const held = new Map<string, string[]>();
    const attended = (t: number): boolean => r.people.some((p) => p.shifts.some((x) => x.fromMin <= t && t <= x.toMin));
    for (const [u, unit] of r.units.entries()) {
      let before: string | undefined;
      for (const [o, op] of unit.ops.entries()) {
        const [ones, ends, starts]: [string[], string[], string[]] = [[], [], []];
        const length = op.minutes / 10;
        const able = op.kind === 'wait' ? ['-'] : r.people.filter((p) => p.skills.includes(op.skill ?? '')).map((p) => p.id);
        for (const person of able)
          for (let t = 0; t < slots; t++) {
            const shifts = r.people.find((p) => p.id === person)?.shifts ?? [];
            if (op.kind === 'work' && !shifts.some((x) => x.fromMin <= 10 * t && 10 * t + op.minutes <= x.toMin)) continue;
            if (op.kind === 'wait' && op.bench != null && !attended(10 * t)) continue;
            if (o === 0 && 10 * t < (unit.readyMin ?? 0)) continue;
            const x = `x_${u}_${o}_${person === '-' ? 'w' : person}_${t}`;
            names.push(x);
            ones.push(x);
            if (t > 0) starts.push(`+ ${t} ${x}`);
            ends.push(`+ ${t + length} ${x}`);
            for (let s = t; s < t + length; s++) {
              if (op.kind === 'work') held.set(`1 ${person} ${s}`, [...(held.get(`1 ${person} ${s}`) ?? []), x]);
              const places = r.benches.find((b) => b.id === op.bench)?.places;
              if (places !== undefined) held.set(`${places} ${op.bench} ${s}`, [...(held.get(`${places} ${op.bench} ${s}`) ?? []), x]);
            }
          }
        rows.push(`${ones.join(' + ')}${ones.length === 0 ? `0 y_${u}` : ''} - y_${u} = 0`);
        if (before !== undefined) rows.push(`${starts.join(' ')} ${before} >= 0`);
        before = ends.join(' ').replaceAll('+', '-');
        if (o === unit.ops.length - 1) rows.push(`l_${u} ${before} + ${unit.dueMin / 10} y_${u} >= 0`);
      }
      names.push(`y_${u}`);
      goal.push(`- 100000 y_${u} + ${10 * (unit.weight ?? 1)} l_${u}`);
    }
    for (const [key, xs] of held) if (xs.length > Number(key.split(' ')[0])) rows.push(`${xs.join(' + ')} <= ${key.split(' ')[0]}`);
    const model = `Minimize\n obj: ${goal.join(' ')}\nSubject To\n${rows.map((row, i) => ` c${i}: ${row}`).join('\n')}\nBinary\n ${names.join('\n ')}\nEnd`;
    const { Status, ObjectiveValue } = highs.solve(model, { mip_rel_gap: 0 } as object);
    if (Status !== 'Optimal') throw new Error(Status);
    const placed = Math.ceil(-ObjectiveValue / 100_000 - 1e-9);
    return [r.units.length - placed, Math.round(ObjectiveValue + 100_000 * placed)];
  };

  test.each(Array.from({ length: 14 }, (_, i) => i))('small shop %d: as few without room and as little late as a solver finds', (i) => {
    const random = randomFrom(7 + i);
    const asked = shopOf(random, { units: 2 + random.below(2), ops: 3, people: 1 + random.below(2), days: 1 + random.below(2) });
    const s = planned(asked);
    expect([s.unplaced.length, Math.round(s.lateness)]).toEqual(solved(asked));
    expect(faultsOf(asked, s)).toEqual([]);
  });

  test.each([31, 32, 33, 34])('shop of five units, seed %d: within a tenth of what a solver finds', (seed) => {
    const asked = shopOf(randomFrom(seed), { units: 5, ops: 3, people: 2, days: 2 });
    const s = planned(asked);
    const [unplaced, lateness] = solved(asked);
    expect(s.unplaced.length).toBe(unplaced);
    expect(s.lateness).toBeLessThanOrEqual(1.1 * lateness + 1);
  });
});

describe('effort', () => {
  test('more of it never gives a worse plan, and the same gives the same', () => {
    for (const seed of [1, 2]) {
      const asked = shopOf(randomFrom(seed), { units: 14, ops: 6, people: 3, days: 4 });
      const plans = [0, 3, 12, 40, 150].map((effort) => planned({ ...asked, effort, seed }));
      for (const [i, plan] of plans.entries()) {
        const next = plans[i + 1] ?? plan;
        expect([
          next.unplaced.length < plan.unplaced.length ||
            (next.unplaced.length === plan.unplaced.length && next.lateness <= plan.lateness + EPS),
          seed,
          i,
        ]).toEqual([true, seed, i]);
      }
      expect(planned({ ...asked, effort: 40, seed })).toEqual(plans[3]);
    }
  });

  test('none is the plain list: what can begin first goes first, then what is due first', () => {
    const one = (id: string, dueMin: number, minutes: number) => ({ id, dueMin, ops: [{ id: 'w', kind: 'work', minutes, skill: 'x' }] });
    const s = planned({
      people: [{ id: 'p', skills: ['x'], shifts: [{ fromMin: 0, toMin: 100 }] }],
      benches: [],
      units: [one('b', 50, 20), one('c', 20, 60), one('a', 20, 10)],
      effort: 0,
    });
    expect(s.ops.map((o) => o.unitId)).toEqual(['c', 'a', 'b']);
  });

  test('one more person, place or hour does not make it later by more than a tenth', () => {
    for (const seed of [4, 5, 6]) {
      const asked = { ...shopOf(randomFrom(seed), { units: 9, ops: 5, people: 2, days: 3 }), effort: 120 };
      const before = planned(asked);
      const more: readonly Asked[] = [
        { ...asked, people: [...asked.people, { ...(asked.people[0] as Asked['people'][number]), id: 'extra' }] },
        { ...asked, benches: asked.benches.map((b) => ({ ...b, places: b.places + 1 })) },
        { ...asked, people: asked.people.map((p) => ({ ...p, shifts: [...p.shifts, { fromMin: 5000, toMin: 5060 }] })) },
      ];
      for (const richer of more) {
        const after = planned(richer);
        expect(after.unplaced.length).toBeLessThanOrEqual(before.unplaced.length);
        if (after.unplaced.length === before.unplaced.length) expect(after.lateness).toBeLessThanOrEqual(1.1 * before.lateness + 1);
      }
    }
  });
});

describe('promises', () => {
  const one = (more: object = {}) => ({
    people: [
      {
        id: 'p',
        skills: ['x'],
        shifts: [
          { fromMin: 0, toMin: 60 },
          { fromMin: 1000, toMin: 1100 },
        ],
      },
    ],
    benches: [],
    units: [{ id: 'u', dueMin: 60, ops: [{ id: 'w', kind: 'work', minutes: 60, skill: 'x', spread: 0.5 }] }],
    chances: [0.25, 0.5, 0.75],
    samples: 5000,
    ...more,
  });
  const promiseOf = (asked: object): readonly (number | null)[] => planned(asked).units[0]?.promiseMin ?? [];

  test('of certain work are the plan’s', () => {
    const asked = { ...shopOf(randomFrom(9), { units: 5, ops: 3, people: 2, days: 4 }), chances: [0.5, 0.95], samples: 20 };
    const s = planned(asked);
    for (const u of s.units)
      if (u.finishMin !== null) expect(u.promiseMin?.every((p) => Math.abs((p ?? 0) - (u.finishMin ?? 0)) < EPS)).toBe(true);
  });

  test('of one work: its quantiles, and what the shift did not hold goes on with the next', () => {
    const [quarter, , threeQuarters] = promiseOf(one()) as readonly number[];
    // 60·exp(0.5·z) at z = −0.6745 and 0.6745: 42.8, and 84.1, of which 24.1 are left for the next morning.
    expect([quarter, threeQuarters]).toEqual([expect.closeTo(42.82, -0.4), expect.closeTo(1024.07, -0.4)]);
  });

  test('are not given where they lean on what never ends', () => {
    const [person] = one().people;
    const alone = one({ people: [{ ...person, shifts: [{ fromMin: 0, toMin: 60 }] }] });
    expect(promiseOf(alone)[2]).toBeNull();
    expect(promiseOf(alone)[0]).toBeCloseTo(42.82, -0.4);
  });

  test('of two on one bench: the second begins no sooner than the first was begun, and when it is free', () => {
    const work = (id: string, spread: number) => ({
      id,
      dueMin: 100,
      ops: [{ id: 'w', kind: 'work', minutes: 30, skill: id, bench: 'rig', spread }],
    });
    const shifts = [{ fromMin: 0, toMin: 500 }];
    const s = planned({
      people: [
        { id: 'a', skills: ['a'], shifts },
        { id: 'b', skills: ['b'], shifts },
      ],
      benches: [{ id: 'rig', places: 1 }],
      units: [work('a', 1), work('b', 0)],
      chances: [0.1, 0.9],
      samples: 5000,
    });
    const [a, b] = s.units.map((u) => u.promiseMin ?? []);
    for (const i of [0, 1]) expect((b?.[i] ?? 0) - (a?.[i] ?? 0)).toBeCloseTo(30, 6);
    // 30·exp(1.2816) = 108.1.
    expect(a?.[1]).toBeCloseTo(108.1, -1);
  });
});

describe('bad requests are refused at their place', () => {
  const good = {
    people: [
      { id: 'p', skills: ['x'], shifts: [{ fromMin: 0, toMin: 60 }] },
      { id: 'q', skills: ['y'], shifts: [] },
    ],
    benches: [{ id: 'rig', places: 1 }],
    units: [{ id: 'u', dueMin: 1, ops: [{ id: 'w', kind: 'work', minutes: 5, skill: 'x' }] }],
  };
  const ops = (...all: object[]) => ({ units: [{ id: 'u', dueMin: 1, ops: all }] });
  const work = { id: 'w', kind: 'work', minutes: 5, skill: 'x' };
  const startedBy = (id: string, personId: string) => ({ id, dueMin: 1, ops: [{ ...work, startedMin: -1, personId }] });
  test.each<[string, object, readonly string[]]>([
    [
      'a shift that ends as it begins',
      { people: [{ id: 'p', skills: ['x'], shifts: [{ fromMin: 5, toMin: 5 }] }] },
      ['people[0].shifts[0].toMin'],
    ],
    [
      'shifts that overlap',
      {
        people: [
          {
            id: 'p',
            skills: ['x'],
            shifts: [
              { fromMin: 0, toMin: 60 },
              { fromMin: 50, toMin: 90 },
            ],
          },
        ],
      },
      ['people[0].shifts[1].fromMin'],
    ],
    ['a skill that nobody has', ops({ ...work, skill: 'z' }), ['units[0].ops[0].skill']],
    ['a work without a skill', ops({ id: 'w', kind: 'work', minutes: 5 }), ['units[0].ops[0].skill']],
    [
      'a wait with a person and a skill',
      ops({ id: 'w', kind: 'wait', minutes: 5, skill: 'x', personId: 'p' }),
      ['units[0].ops[0].personId', 'units[0].ops[0].skill'],
    ],
    ['somebody without the skill', ops({ ...work, personId: 'q' }), ['units[0].ops[0].personId']],
    ['somebody who is not there', ops({ ...work, personId: 'nobody' }), ['units[0].ops[0].personId']],
    ['a bench that is not there', ops({ ...work, bench: 'lathe' }), ['units[0].ops[0].bench']],
    ['ids that repeat', ops(work, work), ['units[0].ops[1].id']],
    ['started by nobody', ops({ ...work, startedMin: -1 }), ['units[0].ops[0].personId']],
    ['started, and not the first', ops(work, { ...work, id: 'v', startedMin: -1, personId: 'p' }), ['units[0].ops[1].startedMin']],
    ['two started by one', { units: [startedBy('u', 'p'), startedBy('v', 'p')] }, ['units[1].ops[0].startedMin']],
    [
      'too much effort',
      { effort: 100_000, units: Array.from({ length: 21 }, (_, i) => ({ id: `u${i}`, dueMin: 1, ops: [work] })) },
      ['effort'],
    ],
    ['a bench of no place', { benches: [{ id: 'rig', places: 0 }] }, ['benches[0].places']],
    ['chances at the ends', { chances: [0, 0.5, 1] }, ['chances[0]', 'chances[2]']],
  ])('%s', async (_, change, paths) => {
    const result = await CALCULATIONS.get('schedule')?.run({ ...good, ...change }, STANDARD_RULES);
    expect(result?.ok === false ? result.error.map((p) => p.path).sort() : []).toEqual(paths);
  });

  test('benches that are overfull by what was started are told at the later, however soon it ends', async () => {
    const wait = (id: string) => ({ id, dueMin: 1, ops: [{ id: 's', kind: 'wait', minutes: 1, bench: 'rig', startedMin: -50 }] });
    const result = await CALCULATIONS.get('schedule')?.run({ ...good, units: [wait('a'), wait('b')] }, STANDARD_RULES);
    expect(result?.ok === false ? result.error.map((p) => p.path) : []).toEqual(['units[1].ops[0].startedMin']);
  });
});
