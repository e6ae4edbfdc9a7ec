import type { Family } from './family';
import type { Geometry, Span } from './geometry';

/** Where a chamber lies in the bore, between the seals that part it; to the blind end where nothing else does. Undefined where no seal that is drawn parts it. */
export const chamberSpan = (family: Pick<Family, 'slots'>, g: Pick<Geometry, 'spans' | 'lengthMm'>, chamber: string): Span | undefined => {
  const [open, blind] = [1, 0].map((side) => family.slots.find((s) => s.between?.[side] === chamber));
  const from = open === undefined ? undefined : g.spans[open.id];
  const to = blind === undefined ? undefined : g.spans[blind.id];
  if (from === undefined) return undefined;
  return { x0Mm: from.x1Mm, x1Mm: to === undefined ? g.lengthMm : to.x0Mm };
};
