import { expect, test } from 'vitest';
import { rateDrifts, type TimedPass } from './learned';

const pass = (at: number, cutUm: number, more: Partial<TimedPass> = {}): TimedPass => ({
  at,
  material: 'cast-iron',
  grit: 220,
  strokes: 60,
  strokesPerMin: 60,
  rpm: 400,
  beforeMm: 22.24,
  afterMm: 22.24 + cutUm / 1000,
  ...more,
});

test('a stone that cuts less than it did shows in its halves; of what was cut little nothing is said', () => {
  // 60 strokes at 400 turns and 60 strokes a minute are 400 turns: 32 µm are 8 in 100, 24 are 6.
  const passes = [pass(4, 24), pass(1, 32), pass(3, 24), pass(2, 32), pass(9, 10, { material: 'alloy', strokes: 6 })];
  const [alloy, iron] = rateDrifts(passes);
  expect(iron).toMatchObject({ grit: 220, material: 'cast-iron', passes: 4, table: 7.5 });
  expect([iron?.earlier?.toFixed(6), iron?.later?.toFixed(6)]).toEqual(['8.000000', '6.000000']);
  expect(alloy).toMatchObject({ material: 'alloy', passes: 1, earlier: null, later: null });
  // A pass that read smaller after took nothing off.
  expect(rateDrifts([pass(1, -5), pass(2, -5)])[0]).toMatchObject({ earlier: 0, later: 0 });
  expect(rateDrifts([])).toEqual([]);
});
