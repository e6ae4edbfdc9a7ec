import { describe, expect, test } from 'vitest';
import { bleedPlan } from '../bleed/bleed-plan';
import { questionOf } from '../bleed/system-question';
import { FAMILIES } from '../family/families';
import { FAMILY_NAMES } from '../family/family-name';
import { STANDARD_RULES } from '../rules/rule-set';
import { randomFrom } from '../statistics/random';
import { between, oneOf, shuffled } from './draw';
import { type Answer, type Exercise, isRight, LEVELS, type Level, whyNot } from './exercise';
import { exerciseOf, kindsOf, PRACTICE_KIND_NAMES, type PracticeKind } from './kinds';
import { DOWN_AFTER, familyPaths, KNOWN_AFTER, levelAfter, nextKind, nextOf, type Sits, UP_AFTER } from './path';

/** An answer of the form, by chance. */
const guess = (e: Exercise, seed: number): Answer => {
  const random = randomFrom(seed);
  switch (e.form.kind) {
    case 'choose':
      return random.below(e.form.options.length);
    case 'number':
      return between(random, -50, 50, 0.001);
    case 'order':
      return shuffled(
        random,
        e.form.items.map((_, i) => i),
      );
    case 'match': {
      const { options } = e.form;
      return e.form.items.map(() => random.below(options.length));
    }
    case 'pick':
      return e.form.items.flatMap((_, i) => (random.below(2) === 0 ? [i] : []));
  }
};

/** Whether the words of a form are told apart, and the right answer is one of its form. */
const faults = (e: Exercise): readonly string[] => {
  const twice = (all: readonly string[]): readonly string[] => (new Set(all).size === all.length ? [] : ['two read alike']);
  const { form, right } = e;
  const said = [e.asks === '' ? ['asks nothing'] : [], e.because.length === 0 ? ['says no why'] : []].flat();
  switch (form.kind) {
    case 'choose':
      return [
        ...said,
        ...twice(form.options),
        ...(typeof right === 'number' && right >= 0 && right < form.options.length ? [] : ['right is none of them']),
      ];
    case 'number':
      return [...said, ...(typeof right === 'number' && Number.isFinite(right) && form.within > 0 ? [] : ['no figure'])];
    case 'order':
      return [
        ...said,
        ...twice(form.items),
        ...(Array.isArray(right) && [...right].sort((a, b) => a - b).join() === form.items.map((_, i) => i).join() ? [] : ['no order']),
      ];
    case 'match':
      return [
        ...said,
        ...twice(form.items),
        ...twice(form.options),
        ...(Array.isArray(right) && right.length === form.items.length && right.every((r) => r >= 0 && r < form.options.length)
          ? []
          : ['no match']),
        ...(e.because.length === form.items.length ? [] : ['a why for each is missing']),
      ];
    case 'pick':
      return [
        ...said,
        ...twice(form.items),
        ...(Array.isArray(right) && right.every((r) => r >= 0 && r < form.items.length) ? [] : ['no such items']),
      ];
  }
};

/** Of each level, a thousand of a kind. */
const SEEDS = 334;

describe.each(PRACTICE_KIND_NAMES)('%s', (kind) => {
  test.each(LEVELS)('level %d: each seed has one right answer, agreed by its grader; a wrong one is never right', (level) => {
    const said = new Set<string>();
    for (let seed = 1; seed <= SEEDS; seed++) {
      const e = exerciseOf(kind, level, seed);
      const at = [kind, level, seed];
      expect([...at, faults(e)]).toEqual([...at, []]);
      expect([...at, isRight(e, e.right)]).toEqual([...at, true]);
      const tried = guess(e, seed);
      const same =
        e.form.kind === 'number'
          ? Math.abs((tried as number) - (e.right as number)) <= e.form.within
          : JSON.stringify(tried) === JSON.stringify(e.right);
      expect([...at, isRight(e, tried)]).toEqual([...at, same]);
      if (!same) expect([...at, whyNot(e, tried).length > 0]).toEqual([...at, true]);
      said.add(JSON.stringify(e.right));
    }
    expect(said.size).toBeGreaterThan(1);
    // The same seed, the same exercise.
    expect(exerciseOf(kind, level, 77)).toEqual(exerciseOf(kind, level, 77));
  });
});

describe.each(FAMILY_NAMES)('of %s alone', (family) => {
  test.each(kindsOf(family))('%s has one right answer at each level, and is of no other family', (kind) => {
    for (const level of LEVELS)
      for (let seed = 1; seed <= 40; seed++) {
        const e = exerciseOf(kind, level, seed, family);
        expect([level, seed, faults(e)]).toEqual([level, seed, []]);
        expect(e.facts[0]).toContain(FAMILIES[family].label);
      }
  });
});

test('a beginner’s path goes family by family, what has fewest parts first; a kind is known after right ones without a hint', () => {
  const order = familyPaths([]).map((p) => p.family);
  expect(order[0]).toBe('wheel-single');
  expect(order.at(-1)).toBe('master-tandem');
  expect([...order].sort()).toEqual([...FAMILY_NAMES].sort());
  const one = { kind: 'label', family: 'slave', right: true, hints: 0 };
  const slave = (tries: Parameters<typeof familyPaths>[0]) => familyPaths(tries).find((p) => p.family === 'slave');
  expect(slave(Array(KNOWN_AFTER - 1).fill(one))?.known).toEqual([]);
  const paths = familyPaths(Array(KNOWN_AFTER).fill(one));
  expect(slave(Array(KNOWN_AFTER).fill(one))?.known).toEqual(['label']);
  // A later wrong one, or one with a hint, takes it back; another family’s does not count.
  expect(slave([{ ...one, right: false }, one, one])?.known).toEqual([]);
  expect(slave([{ ...one, hints: 1 }, one, one])?.known).toEqual([]);
  expect(slave(Array(KNOWN_AFTER).fill({ ...one, family: 'wheel-single' }))?.known).toEqual([]);
  expect(nextOf({ sits: [], paths }, 'slave', 0)).toEqual({ kind: 'order', level: 1, family: 'slave' });
  expect(nextOf({ sits: [], paths }, null, 0)).toEqual({ kind: 'label', level: 1, family: null });
});

describe('what is right, by other means', () => {
  const all = (kind: PracticeKind, level: Level): readonly Exercise[] =>
    Array.from({ length: 200 }, (_, i) => exerciseOf(kind, level, i + 1));

  test('cups face as the trade says: of a wheel cylinder the middle, of a master’s primary the blind end, of a floating piston back to back', () => {
    for (const level of LEVELS)
      for (const e of all('facing', level)) {
        if (e.picture?.kind !== 'section' || e.form.kind !== 'match' || typeof e.right === 'number') continue;
        const [right, names] = [e.right, e.form.items];
        const faces = (name: string): string | undefined => {
          const at = names.findIndex((n) => n.includes(`, ${name}: its lip`));
          return at === -1 ? undefined : right[at] === 0 ? 'open' : 'blind';
        };
        switch (e.picture.family) {
          case 'wheel-double':
            expect([faces('left cup'), faces('right cup')]).toEqual(['blind', 'open']);
            break;
          case 'master-single':
            expect([faces('primary cup'), faces('secondary cup')]).toEqual(['blind', 'blind']);
            break;
          default:
            expect(right.length).toBeGreaterThan(0);
        }
      }
  });

  test('a vernier’s figure is where its lines meet: the one that lies on a main line', () => {
    for (const level of LEVELS)
      for (const e of all('vernier', level)) {
        if (e.picture?.kind !== 'vernier') throw new Error('a vernier shows a scale');
        const { scale, reads, zeroError } = e.picture;
        const each = (scale.division * (scale.parts - 1)) / scale.parts;
        const off = (k: number): number => {
          const over = (reads + k * each) / scale.division;
          return Math.abs(over - Math.round(over));
        };
        const meets = Array.from({ length: scale.parts }, (_, k) => k).reduce((best, k) => (off(k) < off(best) ? k : best), 0);
        const main = Math.floor(reads / scale.division + 1e-6) * scale.division;
        expect(main + (meets * scale.division) / scale.parts - zeroError).toBeCloseTo(e.right as number, 6);
      }
  });

  test('a gap is what its four depths leave', () => {
    for (const e of all('gap', 1)) {
      if (e.picture?.kind !== 'gap') throw new Error('a gap shows its sheet');
      const { standOff = 0, socket = 0, edge = 0, reading = 0, spacer = 0 } = e.picture.sheet;
      expect(socket - standOff + spacer + reading - edge).toBeCloseTo(e.right as number, 6);
    }
  });

  test('an order of ends falls by the lengths added up by hand', () => {
    for (const e of all('bleed', 2)) {
      if (e.picture?.kind !== 'system' || e.form.kind !== 'order' || typeof e.right === 'number') throw new Error('ends are ordered');
      const { system } = e.picture;
      const lengthTo = (node: string): number => {
        const line = system.lines.find((l) => l.to === node);
        return line === undefined ? 0 : line.lengthMm + lengthTo(line.from);
      };
      const items = e.form.items;
      const lengths = e.right.map((i) => lengthTo(system.ends.find((x) => x.id === items[i])?.at ?? ''));
      expect(lengths).toEqual([...lengths].sort((a, b) => b - a));
      expect(bleedPlan({ ...questionOf(system), rules: null }, STANDARD_RULES).order.length).toBe(items.length);
    }
  });

  test('parts of a tray in order lie from the open end inward on the drawing', () => {
    for (const e of all('order', 3)) {
      if (e.form.kind !== 'order' || typeof e.right === 'number') throw new Error('parts are ordered');
      const items = e.form.items;
      const family = Object.values(FAMILIES).find((f) => e.facts[0]?.startsWith(`${f.label}.`));
      const xs = e.right.map((i) => family?.drawing?.spans[family.slots.find((s) => s.name === items[i])?.id ?? '']?.x0Mm ?? Number.NaN);
      expect(xs).toEqual([...xs].sort((a, b) => a - b));
    }
  });
});

describe('what comes next', () => {
  const sits = (kind: PracticeKind, dueAt: number, level: Level = 1): Sits => ({ kind, level, dueAt, tried: 1, right: 1 });

  test('what is due first, then the first that was never met, then the soonest', () => {
    expect(nextKind([], 0)).toBe(PRACTICE_KIND_NAMES[0]);
    expect(nextKind([sits('label', 50), sits('gap', 20)], 100)).toBe('gap');
    expect(nextKind([sits('label', 500)], 100)).toBe(PRACTICE_KIND_NAMES[1]);
    expect(
      nextKind(
        PRACTICE_KIND_NAMES.map((k, i) => sits(k, 900 - i)),
        100,
      ),
    ).toBe(PRACTICE_KIND_NAMES.at(-1));
  });

  test('up after some right ones in a row without a hint, down after some wrong ones, no further than there are levels', () => {
    const run = (of: boolean, n: number): readonly boolean[] => Array.from({ length: n }, () => of);
    expect(levelAfter(1, run(true, UP_AFTER))).toBe(2);
    expect(levelAfter(1, run(true, UP_AFTER - 1))).toBe(1);
    expect(levelAfter(2, [true, true, false])).toBe(2);
    expect(levelAfter(2, run(false, DOWN_AFTER))).toBe(1);
    expect([levelAfter(1, run(false, 9)), levelAfter(3, run(true, 9))]).toEqual([1, 3]);
  });
});

test('what is drawn by chance: all of them once, and evenly', () => {
  const random = randomFrom(5);
  expect([...shuffled(random, [1, 2, 3, 4])].sort()).toEqual([1, 2, 3, 4]);
  const counts = new Map<number, number>();
  for (let i = 0; i < 4000; i++) {
    const x = oneOf(random, [1, 2, 3, 4]);
    counts.set(x, (counts.get(x) ?? 0) + 1);
  }
  for (const n of counts.values()) expect(Math.abs(n - 1000)).toBeLessThan(150);
  const steps = new Set(Array.from({ length: 200 }, () => between(random, 1, 2, 0.25)));
  expect([...steps].sort()).toEqual([1, 1.25, 1.5, 1.75, 2]);
});
