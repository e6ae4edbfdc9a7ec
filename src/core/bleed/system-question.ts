import type { BleedQuestion } from './bleed-schema';
import type { System } from './system';

/** What the arithmetic is asked of a system. */
export const questionOf = ({
  master: { kind: _, ...master },
  lines,
  ends,
  order,
  given,
  renewReservoir,
  fluidIn,
  fluidFresh,
}: System): BleedQuestion => ({
  master,
  lines,
  ends: ends.map(({ id, at, volumeMl, dropMm, screwOnTop }) => ({ id, at, volumeMl, dropMm, screwOnTop })),
  order,
  given: order === 'given' ? given : null,
  renewReservoir,
  fluidIn,
  fluidFresh,
});
