import type { Gauging } from '../gauge/gauging';
import type { Station } from '../gauge/station';
import type { BorePass } from '../hone/bore-pass';
import type { Rules } from '../rules/rule-set';
import { currentGauging } from './facts-of';
import { gaugedSets } from './gauged-before';
import type { UnitRecord } from './unit-record';

/** A cut that was made and gauged: the bore before it, its passes, and the bore after. */
export type LastCut = { readonly before: readonly Station[]; readonly passes: readonly BorePass[]; readonly after: readonly Station[] };

/** The stones' last work on a bore that was gauged again since; undefined when it was not cut, or is not gauged yet. */
export const lastCut = (r: UnitRecord, rules: Rules): LastCut | undefined => {
  const after = currentGauging(r);
  const before = r.gaugings.filter((g) => after !== undefined && g.at < after.at).at(-1);
  if (after === undefined || before === undefined || before.readings.length === 0) return undefined;
  const passes = r.passes.filter((p) => p.tool === 'stone' && p.at >= before.at && p.at < after.at);
  const stations = (g: Gauging) => gaugedSets({ unit: r.unit, gaugings: [g] }, rules)[0]?.stations ?? [];
  return passes.length === 0 ? undefined : { before: stations(before), passes, after: stations(after) };
};
