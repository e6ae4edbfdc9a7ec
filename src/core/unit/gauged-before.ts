import { gaugeBore } from '../gauge/gauge';
import type { Gauging } from '../gauge/gauging';
import type { Station } from '../gauge/station';
import type { Rules } from '../rules/rule-set';
import type { UnitRecord } from './unit-record';

/** One time that a bore was gauged, as its form at each depth. */
export type GaugedSet = { readonly at: number; readonly stations: readonly Station[] };

/** The bore's form as each gauging found it, the oldest first. @param but left out */
export const gaugedSets = (r: Pick<UnitRecord, 'unit' | 'gaugings'>, rules: Rules, but?: Gauging): readonly GaugedSet[] =>
  r.gaugings
    .filter((g) => g.readings.length > 0 && g.id !== but?.id)
    .map(({ at, readings, bodyTempC, gaugeTempC }) => ({
      at,
      stations: gaugeBore({ readings, material: r.unit.material, bodyTempC, gaugeTempC }, rules).stations,
    }));

/** The last gauging, while it still speaks of the bore: nothing was cut and no sleeve put in since. */
export const gaugingToGoOn = (r: Pick<UnitRecord, 'gaugings' | 'passes' | 'sleevings'>): Gauging | undefined => {
  const last = r.gaugings.findLast((g) => g.readings.length > 0);
  const changed = [...r.passes.map((p) => p.at), ...r.sleevings.flatMap((s) => s.backAt ?? [])];
  return last === undefined || changed.some((at) => at > last.at) ? undefined : last;
};
