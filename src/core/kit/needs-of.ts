import type { Dims } from '../family/dims';
import type { Family } from '../family/family';
import { isBoreSeal, PART_KINDS } from '../family/part-kind';
import type { TrayPart } from '../strip/tray-schema';
import type { Need } from './need';

/**
 * What a unit needs from the store, from its tray: every part whose fate is `replaced` or that was absent from a slot that must be filled.
 * Seals of the bore carry its nominal size; other dimensions are those measured at strip.
 * @param boreMmAt nominal diameter of the bore that a place lies in, mm
 */
export const needsOf = (family: Family, tray: readonly TrayPart[], boreMmAt: (slotId: string) => number | null): readonly Need[] =>
  tray.flatMap((part): readonly Need[] => {
    const slot = family.slots.find((s) => s.id === part.slotId);
    const wanted = part.fate === 'replaced' || (part.found === 'absent' && slot?.optional === false);
    if (!wanted) return [];
    const boreMm = isBoreSeal(part.kind) ? boreMmAt(part.slotId) : null;
    const dims: Dims = boreMm === null ? part.dims : { ...part.dims, boreMm };
    return [
      { id: part.slotId, kind: part.kind, qty: part.qty, dims, policy: PART_KINDS[part.kind].policy === 'ok' ? 'prefer' : 'replace' },
    ];
  });

/** Needs in the order in which pieces are given to them: a part that is in with a new piece has it. */
export const inFirst = (needs: readonly Need[], tray: readonly TrayPart[]): readonly Need[] => {
  const isIn = ({ id }: Need): boolean => tray.find((p) => p.slotId === id)?.goesIn?.piece === 'new';
  return [...needs.filter(isIn), ...needs.filter((n) => !isIn(n))];
};
