import type { Family } from '../family/family';
import type { StackPart } from '../family/section';
import { type PartState, partState } from '../strip/part-state';
import { trayWayOf } from './facts-of';
import type { UnitRecord } from './unit-record';

/** A part on a drawing: as its tray row, with its number there and where it is; `marked`: the one that the page is about. */
export type DrawnPart = StackPart & { readonly no: number; readonly state: PartState | 'marked' };

/** A unit's tray as its drawing shows it now. @param marked slots that the page is about: whose turn it is, or where to look */
export const drawnParts = (r: Pick<UnitRecord, 'tray' | 'steps'>, marked: readonly string[] = []): readonly DrawnPart[] => {
  const way = trayWayOf(r);
  return r.tray.map((p, i) => ({
    no: i + 1,
    id: p.slotId,
    name: p.name,
    kind: p.kind,
    state: marked.includes(p.slotId) && partState(p, way) !== 'absent' ? 'marked' : partState(p, way),
  }));
};

/** A family with everything in its place. */
export const wholeParts = (family: Pick<Family, 'slots'>): readonly DrawnPart[] =>
  family.slots.map(({ id, name, kind }, i) => ({ no: i + 1, id, name, kind, state: 'in' }));
