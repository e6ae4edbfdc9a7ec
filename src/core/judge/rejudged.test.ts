import { expect, test } from 'vitest';
import { STANDARD_RULES } from '../rules/rule-set';
import { withSchool } from '../rules/schools';
import { type JudgeInput, judgeBore } from './judge';
import { rejudged } from './rejudged';

const input: JudgeInput = {
  family: 'wheel-double',
  material: 'cast-iron',
  bore: { lengthMm: 60, nominalMm: 22.225 },
  pistonDiaMm: 22.17,
  seals: [{ id: 'left', role: 'pressure', restXMm: 20, contactMm: 3, travelMm: -8 }],
  marks: [
    { id: 'm1', kind: 'pit', x0Mm: 14, x1Mm: 15, clock0Deg: 170, clock1Deg: 175, depthUm: 20, cleaned: true },
    { id: 'm2', kind: 'stain', x0Mm: 40, x1Mm: 41, clock0Deg: 0, clock1Deg: 5, cleaned: true },
  ],
  readings: [12, 16, 20].flatMap((xMm) => [0, 45, 90].map((clockDeg) => ({ xMm, clockDeg, diaMm: 22.23 }))),
};
const saved = judgeBore(input, STANDARD_RULES);

test('the same again differs in nothing', () => {
  expect(rejudged(saved, judgeBore(input, STANDARD_RULES))).toEqual([]);
});

test('what differs is told: outcome, target, limit, marks that changed, came or went, and the rules behind it', () => {
  expect(saved.outcome).toBe('hone');
  const [m1] = input.marks ?? [];
  const deeper = judgeBore(
    { ...input, marks: m1 === undefined ? [] : [{ ...m1, depthUm: 90 }] },
    { ...STANDARD_RULES, clearanceMaxMm: 0.1 },
  );
  expect(rejudged(saved, deeper)).toEqual([
    { what: 'outcome', from: 'hone', to: 'sleeve' },
    { what: 'target', fromMm: saved.targetDiaMm, toMm: null },
    { what: 'limit', fromMm: saved.limitDiaMm, toMm: deeper.limitDiaMm },
    { what: 'mark', id: 'm1', from: 'hone', to: 'sleeve' },
    { what: 'mark', id: 'm2', from: 'reuse', to: null },
    { what: 'rule', name: 'clearanceMaxMm', from: 0.13, to: 0.1 },
  ]);
});

test('the shop’s school for a material decides unless a person chose another', () => {
  const schools = { 'cast-iron': 'sleeve-first' } as const;
  expect(judgeBore(withSchool(input, schools), STANDARD_RULES).outcome).toBe('sleeve');
  expect(judgeBore(withSchool({ ...input, school: 'hone-to-limit' }, schools), STANDARD_RULES).outcome).toBe('hone');
  expect(judgeBore(withSchool({ ...input, material: 'alloy' }, schools), STANDARD_RULES).outcome).toBe('hone');
});
