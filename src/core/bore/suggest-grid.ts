import type { BoreSeal } from './lane';

/** Depths worth gauging: where each seal rests, the middle and the far end of its way; mm, rounded to 0.5 and at least 2 apart. */
export const suggestDepths = (seals: readonly BoreSeal[], lengthMm: number): readonly number[] => {
  const wanted = seals.flatMap((s) =>
    s.role === 'static' ? [s.restXMm] : [s.restXMm, s.restXMm + s.travelMm / 2, s.restXMm + s.travelMm],
  );
  const rounded = wanted.map((x) => Math.min(lengthMm - 1, Math.max(1, Math.round(x * 2) / 2))).sort((a, b) => a - b);
  return rounded.filter((x, i) => i === 0 || x - (rounded[i - 1] as number) >= 2);
};

/** Clock positions of a gauge grid: enough to see ovality and its axis. */
export const GRID_CLOCKS: readonly number[] = [0, 45, 90, 135];
