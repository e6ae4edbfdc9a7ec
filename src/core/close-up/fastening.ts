import type { PartKind } from '../family/part-kind';
import type { Fastened, TrayPart } from '../strip/tray-door';

/** What is tightened, and to how much the manual asks. @source design, domain, "fasteners": torque from a manual, or by feel and recorded as such */
export const FASTENERS: readonly PartKind[] = ['set-screw', 'end-plug', 'bleed-screw', 'banjo-bolt', 'union-nut', 'switch'];
export const isFastener = (kind: PartKind): boolean => FASTENERS.includes(kind);

/** What a manual gives for one fastener of a fitment. */
export type Torque = {
  readonly slotId: string;
  readonly nm: number;
  /** Tightens anticlockwise. */
  readonly hand: 'right' | 'left';
  readonly source: string;
};

/** What was done to tighten a part, with its number. */
export const sayFastened = (p: Pick<TrayPart, 'name'>, f: Fastened): string => {
  const how = f.how === 'torque' ? `tightened to ${f.nm} Nm${f.source === '' ? '' : ` (${f.source})`}` : `tightened by feel: ${f.reason}`;
  return `${p.name}: ${how}${f.hand === 'left' ? ', left-hand thread' : ''}`;
};
