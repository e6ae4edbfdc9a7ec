import { type FinishBody, openingsOf, softInBody } from '../finish/finish';
import { toRinse } from '../strip/treatment';
import { trayWayOf } from './facts-of';
import type { UnitRecord } from './unit-record';

/** The body as a finish meets it now. */
export const finishBody = (r: UnitRecord): FinishBody => ({
  soft: softInBody(r.tray, trayWayOf(r)),
  unrinsed: toRinse(r.treatments),
  openings: openingsOf(r.family, r.unit.geometry).length,
});
