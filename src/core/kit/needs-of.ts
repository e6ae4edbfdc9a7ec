import type { Family } from '../family/family';
import { PART_KINDS } from '../family/part-kind';
import type { TrayPart } from '../strip/tray-door';
import type { Dims, Need } from './need';

/**
 * What a unit needs from the store, from its tray: every part whose fate is `replaced` or that was absent from a slot that must be filled.
 * Cups carry the nominal bore; other dimensions are those measured at strip.
 */
export const needsOf = (family: Family, tray: readonly TrayPart[], nominalMm: number): readonly Need[] =>
  tray.flatMap((part): readonly Need[] => {
    const slot = family.slots.find((s) => s.id === part.slotId);
    const wanted = part.fate === 'replaced' || (part.found === 'absent' && slot?.optional === false);
    if (!wanted) return [];
    const dims: Dims = part.kind === 'cup' ? { ...part.dims, boreMm: nominalMm } : part.dims;
    return [
      { id: part.slotId, kind: part.kind, qty: part.qty, dims, policy: PART_KINDS[part.kind].policy === 'ok' ? 'prefer' : 'replace' },
    ];
  });
