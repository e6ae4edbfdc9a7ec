import type { Family, Slot } from './family';
import { roleOf } from './family-name';
import type { Geometry } from './geometry';
import { isRadial } from './part-kind';

/** Most pots of a caliper half. @source design, domain, "Families and their anatomy" */
export const MOST_POTS = 3;

/** May a unit of this family have more than one bore? */
export const hasPots = (family: Pick<Family, 'name'>): boolean => roleOf(family) === 'caliper';

/**
 * A half with so many pots, as its tray lists it: what each pot has of its own once a pot, like beside like, since all pistons come out
 * together; what sits in the wall (bleed screw, seals between the halves) once. The drawing is that of one pot.
 * @param family one pot's
 * @param pots 1 to MOST_POTS
 */
export const withPots = (family: Family, pots: number): Family =>
  pots === 1
    ? family
    : {
        ...family,
        slots: family.slots.flatMap((s) => (isRadial(s.kind) ? [s] : Array.from({ length: pots }, (_, i) => ofPot(s, i + 1)))),
      };

const ofPot = (s: Slot, no: number): Slot => ({
  ...s,
  id: no === 1 ? s.id : `${s.id}-pot${no}`,
  name: `${s.name} ${no}`,
  pot: { no, place: s.id },
});

/** The half as one of its pots sees it: its own places, by the names that they have in a half with one pot, and what the half has once. */
export const onePot = (family: Family, no: number): Family => ({
  ...family,
  slots: family.slots.flatMap((s) => (s.pot === undefined ? [s] : s.pot.no === no ? [{ ...s, id: s.pot.place }] : [])),
});

/** Bores as they hang on a unit: its first, and those beside it. */
export type Bored = { readonly geometry: Geometry | null; readonly morePots: readonly { readonly geometry: Geometry }[] };

/** Nominal diameters of all bores, mm. */
export const boreSizesMm = ({ geometry, morePots }: Bored): readonly number[] =>
  geometry === null ? [] : [geometry, ...morePots.map((p) => p.geometry)].map((g) => g.nominalMm);

type OfUnit = { readonly unit: Bored; readonly family: Pick<Family, 'slots'> };

/** Nominal diameter of the bore that a place lies in, mm; null where there is none. */
export const boreMmAt = (r: OfUnit, slotId: string): number | null => seatOf(r, slotId).geometry?.nominalMm ?? null;

/** The bore that a place lies in, and what the place is called there. */
export const seatOf = ({ unit, family }: OfUnit, slotId: string): { readonly geometry: Geometry | null; readonly place: string } => {
  const pot = family.slots.find((s) => s.id === slotId)?.pot;
  return { geometry: unit.morePots[(pot?.no ?? 1) - 2]?.geometry ?? unit.geometry, place: pot?.place ?? slotId };
};

/** How an address asks for what is of one bore; nothing for the first. */
export const potAsked = (pot: number): string => (pot === 1 ? '' : `?pot=${pot}`);
