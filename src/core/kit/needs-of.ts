import type { Dims } from '../family/dims';
import type { Family } from '../family/family';
import { isBoreSeal, PART_KINDS } from '../family/part-kind';
import type { TrayPart } from '../strip/tray-door';
import type { Need } from './need';

/**
 * What a unit needs from the store, from its tray: every part whose fate is `replaced` or that was absent from a slot that must be filled.
 * Seals of the bore carry its nominal size; other dimensions are those measured at strip.
 */
export const needsOf = (family: Family, tray: readonly TrayPart[], nominalMm: number | null): readonly Need[] =>
  tray.flatMap((part): readonly Need[] => {
    const slot = family.slots.find((s) => s.id === part.slotId);
    const wanted = part.fate === 'replaced' || (part.found === 'absent' && slot?.optional === false);
    if (!wanted) return [];
    const dims: Dims = isBoreSeal(part.kind) && nominalMm !== null ? { ...part.dims, boreMm: nominalMm } : part.dims;
    return [
      { id: part.slotId, kind: part.kind, qty: part.qty, dims, policy: PART_KINDS[part.kind].policy === 'ok' ? 'prefer' : 'replace' },
    ];
  });

/** Needs in the order in which pieces are given to them: a part that is in with a new piece has it. */
export const inFirst = (needs: readonly Need[], tray: readonly TrayPart[]): readonly Need[] => {
  const isIn = ({ id }: Need): boolean => tray.find((p) => p.slotId === id)?.goesIn?.piece === 'new';
  return [...needs.filter(isIn), ...needs.filter((n) => !isIn(n))];
};
