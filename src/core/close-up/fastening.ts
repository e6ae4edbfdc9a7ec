import type { Fastened, TrayPart } from '../strip/tray-schema';

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
