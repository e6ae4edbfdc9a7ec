import { assemblyOrder } from '../close-up/order';
import { suspectsOf } from '../prove/programme/suspects';
import { stationNow } from '../route/route';
import type { Station } from '../station';
import { routeOfUnit } from './facts-of';
import { failedNow, nextStep, provingOf } from './proving';
import type { UnitRecord } from './unit-record';

/** What a section shows beside the parts: slots that the page is about, and the chamber that is pressed alone; null: none is. */
export type StationPicture = { readonly marked: readonly string[]; readonly pressed: string | null };
const NOTHING: StationPicture = { marked: [], pressed: null };

/** At Close up the part whose turn it is; at Prove where a failed step says to look, else the chamber that is held alone. @param stepId the step that is looked at; else it is the one whose turn it is */
export const stationPicture = (r: UnitRecord, station: Station, stepId?: unknown): StationPicture => {
  const { family, tray } = r;
  if (station === 'close-up' && stationNow(routeOfUnit(r)) === 'close-up') {
    const next = assemblyOrder(family, tray).find((p) => p.goesIn === null);
    return next === undefined ? NOTHING : { marked: [next.slotId], pressed: null };
  }
  if (station !== 'prove' || family.proof !== 'rig') return NOTHING;
  const stands = provingOf(r);
  const asked = stands.find((s) => s.step.id === stepId);
  const failed = asked === undefined || asked.stands === 'fail' ? (asked ?? failedNow(r)) : undefined;
  if (failed !== undefined) return { marked: suspectsOf(family, failed.step, failed.wet).flatMap((s) => s.slots), pressed: null };
  return { marked: [], pressed: (asked ?? nextStep(stands))?.step.chamber ?? null };
};
