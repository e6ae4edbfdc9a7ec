/** Noise allowed when two computed numbers are compared, in the unit at hand (design, chapter 3, conventions). */
export const NOISE = 1e-9;

/** a ≤ b, allowing for computing noise; NaN fails. */
export const atMost = (a: number, b: number): boolean => a <= b + NOISE;
/** a > b by more than computing noise; NaN fails. */
export const above = (a: number, b: number): boolean => a > b + NOISE;

/** The next multiple of `step` at or above x; a value within noise of a multiple stays on it. */
export const roundUpTo = (x: number, step: number): number => {
  const perUnit = Math.round(1 / step);
  return Math.ceil((x - NOISE) * perUnit) / perUnit;
};
