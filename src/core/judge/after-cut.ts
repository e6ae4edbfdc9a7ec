import { localHighMm } from '../gauge/local-diameter';
import type { Station } from '../gauge/station';
import type { Mark } from './mark';

/**
 * What should be left of a mark's depth once the bore was opened, µm: half of what the diameter grew at its place is gone from the wall.
 * @returns null where the depth, or the bore before or after, is not known
 */
export const leftOfDepth = (
  { depthUm, x0Mm, x1Mm }: Pick<Mark, 'depthUm' | 'x0Mm' | 'x1Mm'>,
  before: readonly Station[],
  after: readonly Station[],
): number | null => {
  if (depthUm == null || before.length === 0 || after.length === 0) return null;
  const grewMm = localHighMm(after, x0Mm, x1Mm) - localHighMm(before, x0Mm, x1Mm);
  return Math.max(0, depthUm - (1000 * grewMm) / 2);
};
