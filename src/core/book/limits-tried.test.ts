import { expect, test } from 'vitest';
import type { JudgeInput } from '../judge/judge';
import { STANDARD_RULES } from '../rules/rule-set';
import { type JudgedLife, limitsTried, TRIED_BY, TRIED_RULES, valueNow } from './limits-tried';

/** A bore worn so far all over, gauged across four clocks. */
const input = (wornMm: number): JudgeInput => ({
  family: 'wheel-double',
  material: 'cast-iron',
  bore: { lengthMm: 60, nominalMm: 22.225, wallMm: 5 },
  pistonDiaMm: 22.18,
  seals: [
    { id: 'left', role: 'pressure', restXMm: 24, contactMm: 3, travelMm: -8 },
    { id: 'right', role: 'pressure', restXMm: 36, contactMm: 3, travelMm: 8 },
  ],
  readings: [15, 20, 25, 30, 35, 40, 45].flatMap((xMm) => [0, 45, 90, 135].map((clockDeg) => ({ xMm, clockDeg, diaMm: 22.225 + wornMm }))),
});
const life = (tagNo: number, wornMm: number, came: JudgedLife['came']): JudgedLife => ({ tagNo, input: input(wornMm), came });

test('a tighter clearance catches the wide one that came back, and costs the wide one that held; a wider one spares what is refused now', () => {
  // The piston’s table gives 0.13 mm: a bore 0.045 over has 0.09 of clearance, one 0.02 over 0.065, one 0.1 over 0.145, and 0.0045 for the gauge.
  const lives = [
    life(1, 0.045, 'came-back'),
    life(2, 0.02, 'came-back'),
    life(3, 0.045, 'held'),
    life(4, 0.02, 'held'),
    life(5, 0.1, 'held'),
  ];
  const tried = limitsTried(lives, STANDARD_RULES, {}).filter((t) => t.rule === 'clearanceMaxMm');
  expect(tried.map((t) => t.value)).toEqual(TRIED_BY.map((by) => Number((0.13 * by).toPrecision(3))));
  const [half, less, , more] = tried;
  expect([half?.caught, half?.refused]).toEqual([
    [1, 2],
    [3, 4],
  ]);
  expect([less?.caught, less?.refused]).toEqual([[], []]);
  expect([more?.caught, more?.spared]).toEqual([[], [5]]);
});

test('every limit is tried at every share of what it is now, within its range, and says nothing of no bores', () => {
  const all = limitsTried([], STANDARD_RULES, {});
  expect(all).toHaveLength(TRIED_RULES.length * TRIED_BY.length);
  expect(all.every((t) => t.caught.length + t.refused.length + t.spared.length === 0)).toBe(true);
  expect(valueNow({ ...STANDARD_RULES, oversizeMaxMm: 0.2 }, 'oversizeMaxMm')).toBe(0.2);
});
