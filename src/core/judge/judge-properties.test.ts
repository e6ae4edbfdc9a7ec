import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { parseLength } from '../quantity/parse';
import { MM_PER_INCH } from '../quantity/units';
import { STANDARD_RULES } from '../rules/rule-set';
import { type JudgeInput, type Judgement, judgeBore } from './judge';
import { MARK_KINDS, type Mark } from './mark';
import type { BoreOutcome } from './outcome';

// What every verdict must keep to, whatever the bore.

const example = JSON.parse(readFileSync(new URL('../../../docs/contracts/judge.example.json', import.meta.url), 'utf8'))
  .request as JudgeInput;
const judge = (more: Partial<JudgeInput>, rules = STANDARD_RULES): Judgement => judgeBore({ ...example, marks: [], ...more }, rules);

/** The worse, the higher. An undecided bore is neither: it is not compared. */
const RANK: { readonly [O in Exclude<BoreOutcome, 'undecided'>]: number } = { reuse: 0, polish: 1, hone: 2, sleeve: 3, scrap: 4 };
const notBetter = (a: BoreOutcome, b: BoreOutcome): boolean => a === 'undecided' || b === 'undecided' || RANK[a] >= RANK[b];

const mark: fc.Arbitrary<Mark> = fc
  .record({
    kind: fc.constantFrom(...MARK_KINDS.filter((k) => k !== 'crack')),
    x: fc.double({ min: 0, max: 62, noNaN: true }),
    long: fc.double({ min: 0, max: 4, noNaN: true }),
    clock: fc.integer({ min: 0, max: 359 }),
    wide: fc.integer({ min: 0, max: 90 }),
    depthUm: fc.double({ min: 0, max: 60, noNaN: true }),
    depthUncertaintyUm: fc.double({ min: 0, max: 6, noNaN: true }),
  })
  .map(({ kind, x, long, clock, wide, ...depth }) => ({
    id: 'm',
    kind,
    x0Mm: x,
    x1Mm: x + long,
    clock0Deg: clock,
    clock1Deg: clock + wide,
    cleaned: true,
    ...depth,
  }));
const marks = fc.array(mark, { minLength: 1, maxLength: 6 }).map((all) => all.map((m, i) => ({ ...m, id: `m${i}` })));
const check = <T>(arbitrary: fc.Arbitrary<T>, holds: (value: T) => void): void =>
  fc.assert(fc.property(arbitrary, holds), { numRuns: 150 });

describe('a verdict', () => {
  test('is never worse for a pit that lies out of all lanes than for the same pit where it lay', () => {
    const free = judge({}).lanes;
    // Past the last lane, where nothing is pushed over it either.
    const away = Math.max(...free.map((l) => l.x1Mm)) + 0.5;
    check(marks, (all) => {
      const pits = all.map((m) => ({ ...m, kind: 'pit' as const }));
      const moved = pits.map((m, i) => (i === 0 ? { ...m, x0Mm: away, x1Mm: away + (m.x1Mm - m.x0Mm) } : m));
      expect(notBetter(judge({ marks: pits }).outcome, judge({ marks: moved }).outcome)).toBe(true);
    });
  });

  test('is never better for a deeper mark', () => {
    check(fc.tuple(marks, fc.double({ min: 0, max: 40, noNaN: true })), ([all, more]) => {
      const deeper = all.map((m, i) => (i === 0 ? { ...m, depthUm: (m.depthUm ?? 0) + more } : m));
      const [before, after] = [judge({ marks: all }), judge({ marks: deeper })];
      expect(notBetter(after.outcome, before.outcome)).toBe(true);
      if (before.outcome === 'hone' && after.outcome === 'hone') expect(after.targetDiaMm).toBeGreaterThanOrEqual(before.targetDiaMm ?? 0);
    });
  });

  test('is never worse under a wider limit', () => {
    check(
      fc.tuple(marks, fc.double({ min: 0.02, max: 0.2, noNaN: true }), fc.double({ min: 0, max: 0.1, noNaN: true })),
      ([all, limit, more]) => {
        const under = (mm: number) => judge({ marks: all }, { ...STANDARD_RULES, clearanceMaxMm: mm, oversizeMaxMm: mm });
        expect(notBetter(under(limit).outcome, under(limit + more).outcome)).toBe(true);
      },
    );
  });

  test('is never better for a gauge that repeats worse', () => {
    check(
      fc.tuple(marks, fc.double({ min: 0, max: 0.01, noNaN: true }), fc.double({ min: 0, max: 0.02, noNaN: true })),
      ([all, noise, more]) => {
        const by = (gaugeRepeatabilityMm: number) => judge({ marks: all, gaugeRepeatabilityMm });
        const [fine, coarse] = [by(noise), by(noise + more)];
        expect(notBetter(coarse.outcome, fine.outcome)).toBe(true);
        if (fine.marginMm !== null && coarse.marginMm !== null) expect(coarse.marginMm).toBeLessThanOrEqual(fine.marginMm + 1e-12);
        if (fine.confidence !== null && coarse.confidence !== null && (fine.marginMm ?? -1) >= 0)
          expect(coarse.confidence).toBeLessThanOrEqual(fine.confidence + 1e-12);
      },
    );
  });

  test('agrees with that of the bore seen in a mirror', () => {
    const flip = (deg: number): number => 360 - deg;
    check(marks, (all) => {
      const mirrored = judge({
        marks: all.map((m) => ({ ...m, clock0Deg: flip(m.clock1Deg), clock1Deg: flip(m.clock0Deg) })),
        readings: (example.readings ?? []).map((r) => ({ ...r, clockDeg: flip(r.clockDeg) })),
      });
      const plain = judge({ marks: all });
      expect([mirrored.outcome, mirrored.targetDiaMm]).toEqual([plain.outcome, plain.targetDiaMm]);
      expect(mirrored.marks.map((m) => [m.zone, m.outcome])).toEqual(plain.marks.map((m) => [m.zone, m.outcome]));
    });
  });

  test('agrees whether its lengths were typed in millimetres or in inches', () => {
    const typed = (mm: number, unit: 'mm' | 'in'): number => {
      const read = parseLength(unit === 'mm' ? mm.toFixed(6) : (mm / MM_PER_INCH).toFixed(9), unit);
      return read.ok ? read.value : Number.NaN;
    };
    check(marks, (all) => {
      const as = (unit: 'mm' | 'in') =>
        judge({
          marks: all.map((m) => ({ ...m, x0Mm: typed(m.x0Mm, unit), x1Mm: typed(m.x1Mm, unit) })),
          readings: (example.readings ?? []).map((r) => ({ ...r, xMm: typed(r.xMm, unit), diaMm: typed(r.diaMm, unit) })),
        });
      const [metric, imperial] = [as('mm'), as('in')];
      expect(imperial.outcome).toBe(metric.outcome);
      expect(imperial.targetDiaMm).toEqual(metric.targetDiaMm);
    });
  });

  test('leaves no number of a sentence untrue: the target, the limit and the margin that it says are those that it gives', () => {
    check(marks, (all) => {
      const answer = judge({ marks: all });
      if (answer.outcome !== 'hone') return;
      const said = answer.reasons.join(' ').match(/\d+\.\d{3}(?= mm)/g) ?? [];
      expect(said).toEqual(expect.arrayContaining([(answer.targetDiaMm ?? 0).toFixed(3), answer.limitDiaMm.toFixed(3)]));
      expect(said).toContain((answer.marginMm ?? 0).toFixed(3));
    });
  });
});
