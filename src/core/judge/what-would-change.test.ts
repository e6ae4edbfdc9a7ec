import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { METRIC } from '../quantity/units';
import { STANDARD_RULES } from '../rules/rule-set';
import { type JudgeInput, judgeBore } from './judge';
import type { Mark } from './mark';
import { sayFlip } from './say-flip';
import { type Flip, whatWouldChange } from './what-would-change';

const example = JSON.parse(readFileSync(new URL('../../../docs/contracts/judge.example.json', import.meta.url), 'utf8'))
  .request as JudgeInput;
const pit = (more: Partial<Mark> = {}): Mark => ({
  id: 'm1',
  kind: 'pit',
  x0Mm: 38,
  x1Mm: 39,
  clock0Deg: 0,
  clock1Deg: 5,
  cleaned: true,
  depthUm: 9,
  depthUncertaintyUm: 0,
  ...more,
});
const ask = (mark: Mark | undefined, more: Partial<JudgeInput> = {}) => {
  const input = { ...example, marks: mark === undefined ? [] : [mark], ...more };
  const answer = judgeBore(input, STANDARD_RULES);
  return { input, answer, flips: whatWouldChange(input, STANDARD_RULES, answer, mark) };
};
const of = <W extends Flip['what']>(flips: readonly Flip[], what: W) => flips.find((f): f is Extract<Flip, { what: W }> => f.what === what);

describe('what would change a judgement', () => {
  test('a pit in the way: shallower it would be polished; out of the lane it would stay', () => {
    const { answer, flips } = ask(pit());
    expect(answer.outcome).toBe('hone');
    // 5 µm may stay where a seal sweeps.
    expect(of(flips, 'depth')).toMatchObject({ outcome: 'polish', toUm: expect.closeTo(5, 6), byUm: expect.closeTo(-4, 6) });
    expect(of(flips, 'limit')?.byMm).toBeLessThan(0);
  });

  test('each is the least step that flips: made, the outcome is what it says; a step less leaves it as it is', () => {
    const places = fc.record({ x: fc.integer({ min: 0, max: 54 }), depth: fc.integer({ min: 0, max: 60 }) });
    fc.assert(
      fc.property(places, ({ x, depth }) => {
        const mark = pit({ x0Mm: x, x1Mm: x + 0.5, depthUm: depth });
        const { input, answer, flips } = ask(mark);
        const outcome = (m: Mark) => judgeBore({ ...input, marks: [m] }, STANDARD_RULES).outcome;
        const deep = of(flips, 'depth');
        if (deep !== undefined) {
          expect(outcome({ ...mark, depthUm: deep.toUm })).toBe(deep.outcome);
          expect(outcome({ ...mark, depthUm: deep.toUm - Math.sign(deep.byUm) * 0.1 })).toBe(answer.outcome);
        }
        const place = of(flips, 'place');
        if (place !== undefined) {
          expect(outcome({ ...mark, x0Mm: mark.x0Mm + place.byMm, x1Mm: mark.x1Mm + place.byMm })).toBe(place.outcome);
          expect(place.outcome).not.toBe(answer.outcome);
        }
        const limit = of(flips, 'limit');
        const { clearanceMaxMm, oversizeMaxMm } = answer.rulesUsed;
        const under = (by: number) =>
          judgeBore(input, { ...STANDARD_RULES, clearanceMaxMm: (clearanceMaxMm ?? 0) + by, oversizeMaxMm: (oversizeMaxMm ?? 0) + by });
        if (limit !== undefined) {
          expect(under(limit.byMm)).toMatchObject({ outcome: limit.outcome, limitDiaMm: expect.closeTo(limit.toMm, 9) });
          expect(under(limit.byMm - Math.sign(limit.byMm) * 0.001).outcome).toBe(answer.outcome);
        }
      }),
      { numRuns: 40 },
    );
  });

  test('a mark without a depth is asked for its place only; a bore without marks for its limit only', () => {
    expect(of(ask(pit({ depthUm: null })).flips, 'depth')).toBeUndefined();
    expect(ask(undefined).flips.map((f) => f.what)).toEqual(['limit']);
  });

  test('a crack is scrap wherever it lies and whatever the limit', () => {
    expect(ask(pit({ kind: 'crack' })).flips).toEqual([]);
  });

  test('the sentences say the numbers', () => {
    const say = ask(pit()).flips.map((f) => sayFlip(f, METRIC));
    expect(say[0]).toBe('Were m1 4 µm less deep, at 5 µm, a polish would do.');
    const limit = of(ask(pit()).flips, 'limit') as Extract<Flip, { what: 'limit' }>;
    expect(say.at(-1)).toContain(`${Math.abs(limit.byMm).toFixed(3)} mm tighter, at ${limit.toMm.toFixed(3)},`);
  });
});
