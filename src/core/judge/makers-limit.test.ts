import { readFileSync } from 'node:fs';
import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import { STANDARD_RULES } from '../rules/rule-set';
import { type JudgeInput, judgeBore } from './judge';
import { JudgeRequest } from './judge-schema';
import { whatWouldChange } from './what-would-change';

const example = JSON.parse(readFileSync(new URL('../../../docs/contracts/judge.example.json', import.meta.url), 'utf8'))
  .request as JudgeInput;
const judged = (maxDiaMm: number, more: Partial<JudgeInput> = {}) =>
  judgeBore({ ...example, makersLimit: { maxDiaMm, source: 'Manual, page 12' }, ...more }, STANDARD_RULES);

describe('a maker’s limit', () => {
  test('prevails over piston and nominal, and is named with its number', () => {
    const shop = judgeBore(example, STANDARD_RULES);
    const answer = judged(shop.limitDiaMm - 0.02);
    expect(answer.limitDiaMm).toBeCloseTo(shop.limitDiaMm - 0.02, 12);
    const sentence = answer.reasons.find((r) => r.includes('the maker'));
    expect(sentence).toMatch(/^The limit of \d+\.\d{3} mm is the maker's: Manual, page 12\.$/);
    expect(Number(/of ([\d.]+) mm/.exec(sentence ?? '')?.[1])).toBeCloseTo(answer.limitDiaMm, 3);
    expect(shop.reasons.some((r) => r.includes('the maker'))).toBe(false);
  });

  property.prop([fc.double({ min: 20.6, max: 21, noNaN: true }), fc.double({ min: 0, max: 0.1, noNaN: true })])(
    'that is wider never makes it worse',
    (limit, wider) => {
      const rank = { scrap: 0, sleeve: 1, undecided: 2, hone: 3, polish: 4, reuse: 5 } as const;
      expect(rank[judged(limit + wider).outcome]).toBeGreaterThanOrEqual(rank[judged(limit).outcome]);
    },
  );

  test('is what “what would change this” moves, and no rule of the shop', () => {
    const pit = { id: 'm', kind: 'pit', x0Mm: 38, x1Mm: 39, clock0Deg: 0, clock1Deg: 5, depthUm: 14, cleaned: true } as const;
    const wide = judgeBore({ ...example, marks: [pit] }, STANDARD_RULES);
    expect(wide.targetDiaMm).not.toBeNull();
    const input = { ...example, marks: [pit], makersLimit: { maxDiaMm: (wide.targetDiaMm ?? 0) + 0.03, source: 'Manual' } };
    const answer = judgeBore(input, STANDARD_RULES);
    const flip = whatWouldChange(input, STANDARD_RULES, answer, undefined).find((f) => f.what === 'limit');
    expect(flip).toMatchObject({ outcome: 'sleeve' });
    const toMm = flip?.what === 'limit' ? flip.toMm : 0;
    const at = (maxDiaMm: number) => judgeBore({ ...input, makersLimit: { maxDiaMm, source: 'Manual' } }, STANDARD_RULES).outcome;
    expect([at(toMm), at(toMm + 0.001)]).toEqual(['sleeve', 'hone']);
  });

  test('is taken by the calculation on the wire, and refused without its source', () => {
    const request = { ...example, makersLimit: { maxDiaMm: 20.8, source: 'Manual' } };
    expect(JudgeRequest.safeParse(request).success).toBe(true);
    const wrong = JudgeRequest.safeParse({ ...request, makersLimit: { maxDiaMm: -1, source: '' } });
    expect(wrong.error?.issues.map((i) => i.path.join('.'))).toEqual(['makersLimit.maxDiaMm', 'makersLimit.source']);
  });
});
