import { fixed } from '../quantity/figure';
import { sayForce, sayLength, sayNominal, sayPressure } from '../quantity/say';
import type { Units } from '../quantity/units';
import type { CircuitState } from '../set/circuits';
import type { HydraulicsInput, HydraulicsRow } from '../set/hydraulics';

const BAR_PER_MPA = 10;
export const sayMPa = (mpa: number, units: Units): string => sayPressure(mpa * BAR_PER_MPA, units);
const percent = (now: number, before: number): string => {
  const change = Math.round((100 * (now - before)) / before);
  return `${change >= 0 ? '+' : '−'}${Math.abs(change)} %`;
};

/** What one other bore does against the one fitted, in a sentence. */
export const sayOption = (row: HydraulicsRow, base: HydraulicsRow, units: Units): string =>
  `${sayNominal(row.masterDiaMm)} instead of ${sayNominal(base.masterDiaMm)}: pressure ${percent(row.pressureMPa, base.pressureMPa)}, pedal travel ${percent(row.pedalTravelMm, base.pedalTravelMm)} (${sayLength(row.pedalTravelMm, units)} ${units.length}), ${row.reservePct < 0 ? 'the pedal is on the floor first' : `${fixed(row.reservePct, 0)} % of the stroke left`}.`;

/** A circuit lost, in a sentence. */
export const sayCircuit = (s: CircuitState, units: Units): string =>
  s.lost === null
    ? `Both circuits: pedal ${sayLength(s.pedalTravelMm, units)} ${units.length}, ${fixed(s.reservePct, 0)} % of the stroke left.`
    : `The ${s.lost} circuit lost: pedal ${sayLength(s.pedalTravelMm, units)} ${units.length}, ${fixed(s.forceLeftPct, 0)} % of the force left, ${s.reservePct < 0 ? 'and the other piston is at its end before it builds pressure' : `${fixed(s.reservePct, 0)} % of the other chamber’s stroke left`}.`;

/** The whole sheet as text, to be copied. */
export const hydraulicsAsText = (
  input: HydraulicsInput,
  rows: readonly HydraulicsRow[],
  circuits: readonly CircuitState[],
  units: Units,
): string => {
  const [base] = rows;
  return [
    `Hydraulics: ${sayForce(input.pedalForceN, units, 3)} at the pedal, ratio ${input.pedalRatio}${input.boostFactor == null ? '' : `, boost ${input.boostFactor}`}`,
    ...rows.map(
      (r) =>
        `⌀ ${sayNominal(r.masterDiaMm)}: ${sayMPa(r.pressureMPa, units)}, ${fixed(r.volumeMl, 2)} ml, stroke ${sayLength(r.strokeUsedMm, units)} ${units.length}, reserve ${fixed(r.reservePct, 0)} %, pedal ${sayLength(r.pedalTravelMm, units)} ${units.length}, ${r.cylinders.map((c) => `${c.id} ${sayForce(c.forceN, units, 3)}`).join(', ')}`,
    ),
    ...(base === undefined ? [] : rows.slice(1).map((r) => sayOption(r, base, units))),
    ...circuits.map((c) => sayCircuit(c, units)),
  ].join('\n');
};
