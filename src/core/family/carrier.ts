import type { Drawing, Family, Slot } from './family';
import { gapBetween } from './lane';
import { PART_KINDS } from './part-kind';

/** A part that runs in the bore and is measured against it. */
export const isPiston = (part: Pick<Slot, 'kind'>): boolean => PART_KINDS[part.kind].carries === 'piston';

/**
 * The piston that carries a seal of the bore, or that runs in it where the seal stands still: the one whose place lies nearest to the seal's.
 * @returns its slot's id; undefined where the family draws no piston
 */
export const carrierOf = (family: Pick<Family, 'slots'>, g: Pick<Drawing, 'seals' | 'spans'>, sealId: string): string | undefined => {
  const rest = g.seals.find((s) => s.id === sealId)?.restXMm ?? 0;
  const seal = g.spans[sealId] ?? { x0Mm: rest, x1Mm: rest };
  const pistons = family.slots.flatMap((s) => {
    const span = g.spans[s.id];
    return isPiston(s) && span !== undefined ? [{ id: s.id, awayMm: gapBetween(seal.x0Mm, seal.x1Mm, span.x0Mm, span.x1Mm) }] : [];
  });
  return pistons.sort((a, b) => a.awayMm - b.awayMm)[0]?.id;
};
