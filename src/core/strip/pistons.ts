import { isPiston } from '../family/carrier';
import type { TrayPart } from './tray-schema';

/** A part's outer diameter as measured, mm. */
export const diaOf = (part: Pick<TrayPart, 'dims'> | undefined): number | undefined =>
  typeof part?.dims.diaMm === 'number' ? part.dims.diaMm : undefined;

/** Pistons that came out and whose diameter nobody has measured: the limit of the bore rests on each. */
export const unmeasuredPistons = (tray: readonly TrayPart[]): readonly TrayPart[] =>
  tray.filter((p) => isPiston(p) && p.found === 'present' && diaOf(p) === undefined);

/** The thinnest piston, mm: what counts for a seal whose own piston was not there; null before any is measured. */
export const thinnestPiston = (tray: readonly TrayPart[]): number | null => {
  const all = tray.filter(isPiston).flatMap((p) => diaOf(p) ?? []);
  return all.length === 0 ? null : Math.min(...all);
};
