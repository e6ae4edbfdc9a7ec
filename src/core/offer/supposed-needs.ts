import { PART_KINDS } from '../family/part-kind';
import type { TrayPart } from '../strip/tray-schema';
import { type NamedNeed, namedNeeds } from '../unit/ranked-kits';
import type { UnitRecord } from '../unit/unit-record';

/** What a unit needs as far as is known, and for how many of its parts that is only supposed: of what nobody has decided, what wears is taken to be renewed. */
export const supposedNeeds = (r: UnitRecord): { readonly needs: readonly NamedNeed[]; readonly supposed: number } => {
  return {
    needs: namedNeeds({ ...r, tray: r.tray.map((p) => (isOpen(p) ? { ...p, fate: 'replaced' as const } : p)) }),
    supposed: r.tray.filter(isOpen).length,
  };
};

const isOpen = (p: TrayPart): boolean =>
  p.fate === null && p.found !== 'absent' && (PART_KINDS[p.kind].policy === 'never' || PART_KINDS[p.kind].policy === 'last-resort');
