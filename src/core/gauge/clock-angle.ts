/** Two readings closer than this on the clock count as one angle. */
const SAME_ANGLE_DEG = 5;

/** A diameter is the same seen from either side: the clock folds to [0, 180). */
export const foldClock = (deg: number): number => ((deg % 180) + 180) % 180;

/** Distance of two folded angles round the 180° circle, 0 to 90. */
export const angleBetween = (a: number, b: number): number => {
  const d = Math.abs(a - b) % 180;
  return Math.min(d, 180 - d);
};

/**
 * Distinct angles among folded ones: walking upward, one counts when it is more than 5° above the last counted and, round the wrap, more than 5° from the first.
 * @source design, chapter 1
 */
export const distinctAngles = (folded: readonly number[]): readonly number[] => {
  const counted: number[] = [];
  for (const a of [...folded].sort((p, q) => p - q)) {
    const first = counted[0];
    const last = counted.at(-1);
    if (first === undefined || last === undefined) counted.push(a);
    else if (a - last > SAME_ANGLE_DEG + 1e-9 && first + 180 - a > SAME_ANGLE_DEG + 1e-9) counted.push(a);
  }
  return counted;
};

/** Largest gap between neighbours round the 180° circle. @param angles distinct, upward, at least one */
export const largestGap = (angles: readonly number[]): number =>
  Math.max(...angles.map((a, i) => (angles[i + 1] ?? (angles[0] as number) + 180) - a));
