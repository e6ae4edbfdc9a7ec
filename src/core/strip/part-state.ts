import type { Family } from '../family/family';
import type { TrayPart } from './tray-schema';

/** Where a part is: in the unit, on the tray, or nowhere because the unit had none. */
export type PartState = 'in' | 'out' | 'absent';

/** Which way the tray is being worked: parts come out until stripping is done, and go in after. */
export type TrayWay = 'out' | 'in';

export const partState = (part: Pick<TrayPart, 'found' | 'goesIn'>, way: TrayWay): PartState => {
  if (part.found === 'absent' && part.goesIn === null) return 'absent';
  if (way === 'in') return part.goesIn === null ? 'out' : 'in';
  return part.found === null ? 'in' : 'out';
};

/** A part that came out though its family knows none such. */
export const isForeign = (family: Family, part: Pick<TrayPart, 'slotId'>): boolean => !family.slots.some((s) => s.id === part.slotId);
