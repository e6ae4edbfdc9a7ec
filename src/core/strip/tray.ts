import { type Family, partFacing, type Slot } from '../family/family';
import { neverReused, PART_KINDS } from '../family/part-kind';
import type { Condition } from './condition';
import type { TrayPart } from './tray-schema';

/** An empty tray: one row a slot, from the open end. @param newId gives a fresh id for each row */
export const emptyTray = (family: Family, newId: (slot: Slot) => string): readonly TrayPart[] =>
  family.slots.map((s, seq) => bareRow({ id: newId(s), slotId: s.id, kind: s.kind, name: s.name, qty: s.qty }, seq));

/** A row of which nothing has been said yet. @param seq its place from the open end */
export const bareRow = (part: Pick<TrayPart, 'id' | 'slotId' | 'kind' | 'name' | 'qty'>, seq: number): TrayPart => ({
  ...part,
  seq,
  found: null,
  condition: null,
  faces: null,
  dims: {},
  checks: {},
  note: '',
  fate: null,
  allowed: null,
  goesIn: null,
});

export type StripFault =
  | { readonly code: 'not-looked' | 'no-condition' | 'no-fate'; readonly part: string }
  | { readonly code: 'rubber-reused'; readonly part: string };

/** What still stands open on the tray after stripping; empty when all is recorded. */
export const stripFaults = (tray: readonly TrayPart[]): readonly StripFault[] =>
  tray.flatMap((p): readonly StripFault[] => {
    if (p.found === null) return [{ code: 'not-looked', part: p.name }];
    if (p.found === 'absent') return [];
    const faults: StripFault[] = [];
    if (p.condition === null) faults.push({ code: 'no-condition', part: p.name });
    if (p.fate === null) faults.push({ code: 'no-fate', part: p.name });
    if (p.fate === 'refitted' && neverReused(p.kind)) faults.push({ code: 'rubber-reused', part: p.name });
    return faults;
  });

/** Parts of which only their condition is still to be said; one that some units do not have, and nobody has seen yet, is not among them. */
export const toBeLookedAt = (family: Pick<Family, 'slots'>, tray: readonly TrayPart[]): readonly TrayPart[] =>
  tray.filter(
    (p) =>
      p.condition === null && (p.found === 'present' || (p.found === null && family.slots.some((s) => s.id === p.slotId && !s.optional))),
  );

/** A part that came out as one expects: rubber of the fluid path worn, all else good, a lip the way it must be. */
export const cameOutAsUsual = (family: Family, part: TrayPart): TrayPart => {
  const condition = neverReused(part.kind) ? 'worn' : 'good';
  return {
    ...part,
    found: 'present',
    condition,
    faces: part.faces ?? partFacing(family, part) ?? null,
    fate: part.fate ?? usualFate(part.kind, condition),
  };
};

/** Parts that some units do not have, and that nobody has seen on this one. */
export const perhapsNone = (family: Pick<Family, 'slots'>, tray: readonly TrayPart[]): readonly TrayPart[] =>
  tray.filter((p) => p.found === null && family.slots.some((s) => s.id === p.slotId && s.optional));

/** A part that the unit came without. */
export const cameWithout = (part: TrayPart): TrayPart => ({ ...part, found: 'absent', condition: null, faces: null, fate: null });

/** The fate that the reuse policy gives a part in a condition; a person may choose otherwise where the policy lets them. */
export const usualFate = (kind: TrayPart['kind'], condition: Condition): NonNullable<TrayPart['fate']> => {
  const { policy } = PART_KINDS[kind];
  if (policy === 'never' || policy === 'last-resort') return 'replaced';
  return condition === 'good' ? 'refitted' : 'replaced';
};
