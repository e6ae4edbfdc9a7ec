import type { Family } from '../../family/family';
import type { Geometry } from '../../family/geometry';

/** What a bench fill takes of a bore: what is in it, what a stroke moves, and so how many strokes. */
export type BenchFill = { readonly volumeMl: number; readonly strokeMl: number; readonly strokes: number };

/** Fluid in the loop lines of a bench, ml a line. */
const LOOP_ML = 6;
/** Bubbles cling: what is inside is moved out this many times before none comes. */
const TIMES_OVER = 3;

/**
 * How many full strokes a bench fill takes: the chambers and loop lines, three times over, by what a stroke moves.
 * @param family with working chambers between its seals
 * @returns undefined where no seal of a working chamber travels
 * @source design, chapter 8 (volume = area × travel); three times over is bench practice
 */
export const benchFill = (family: Family, geometry: Geometry): BenchFill | undefined => {
  const areaMm2 = (Math.PI / 4) * geometry.nominalMm ** 2;
  const working = family.chambers.filter((c) => c.pressure === 'working');
  const moved = working.map((c) => {
    const seals = geometry.seals.filter((s) => family.slots.find((slot) => slot.id === s.id)?.between?.includes(c.id));
    const xs = seals.map((s) => s.restXMm);
    const [from, to] = [Math.min(...xs), seals.length > 1 ? Math.max(...xs) : geometry.lengthMm];
    return { lengthMm: Math.max(0, to - from), travelMm: Math.max(0, ...seals.map((s) => Math.abs(s.travelMm))) };
  });
  const travelMm = Math.max(0, ...moved.map((m) => m.travelMm));
  if (!(travelMm > 0)) return undefined;
  const volumeMl = (areaMm2 * moved.reduce((sum, m) => sum + m.lengthMm, 0)) / 1000 + LOOP_ML * working.length;
  const strokeMl = (areaMm2 * travelMm) / 1000;
  return { volumeMl, strokeMl, strokes: Math.ceil((TIMES_OVER * volumeMl) / strokeMl) };
};
