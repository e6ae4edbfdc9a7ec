import { sayDia, sayLength } from '../quantity/say';
import type { Units } from '../quantity/units';
import type { Instrument } from './instrument';

/** No bore that can be saved lies so far from the one listed, as a part of it; a slip of a figure does. */
const FAR = 0.1;

/** Why a diameter cannot be what this gauge read in this bore; undefined where it can. @param nominalMm as booked in */
export const whyUnlikely = (
  diaMm: number,
  nominalMm: number,
  gauge: Pick<Instrument, 'name' | 'range'> | undefined,
  units: Units,
): string | undefined => {
  const read = `${sayDia(diaMm, units)} ${units.length}`;
  if (Math.abs(diaMm - nominalMm) > FAR * nominalMm)
    return `${read} is far from the listed bore of ${sayDia(nominalMm, units)}: read it again; if the list is wrong, it is corrected at Book in.`;
  const range = gauge?.range ?? null;
  return range !== null && (diaMm < range.fromMm || diaMm > range.toMm)
    ? `${read} is outside what ${gauge?.name} measures, ${sayRange(range, units)}: take another gauge.`
    : undefined;
};

export const sayRange = ({ fromMm, toMm }: NonNullable<Instrument['range']>, units: Units): string =>
  `${sayLength(fromMm, units)} to ${sayLength(toMm, units)} ${units.length}`;

/** Can a gauge measure a bore at all? One of which no range is known is taken at its word. */
export const covers = ({ range }: Pick<Instrument, 'range'>, diaMm: number): boolean =>
  range === null || (diaMm >= range.fromMm && diaMm <= range.toMm);
