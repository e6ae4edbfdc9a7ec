import { assemblyOrder } from '../close-up/order';
import type { Family } from '../family/family';
import type { StackPart } from '../family/section';
import { type PartState, partState } from '../strip/part-state';
import { trayWayOf } from './facts-of';
import type { UnitRecord } from './unit-record';

/** A part on a drawing: as its tray row, with where it is. */
export type DrawnPart = StackPart & { readonly state: PartState | 'next' };

/** A unit's tray as its drawing shows it now; while it is closed up, with the part whose turn it is. */
export const drawnParts = (r: UnitRecord, closing = false): readonly DrawnPart[] => {
  const way = trayWayOf(r);
  const next = closing ? assemblyOrder(r.family, r.tray).find((p) => p.goesIn === null) : undefined;
  return r.tray.map((p) => ({ id: p.slotId, name: p.name, kind: p.kind, state: p === next ? 'next' : partState(p, way) }));
};

/** A family with everything in its place. */
export const wholeParts = (family: Pick<Family, 'slots'>): readonly DrawnPart[] =>
  family.slots.map(({ id, name, kind }) => ({ id, name, kind, state: 'in' }));
