import type { Geometry } from '../family/geometry';
import { laneOf, movingLanes } from '../family/lane';
import type { Rules } from '../rules/rule-set';
import { above, atMost } from '../statistics/compare';
import { angleBetween, foldClock } from './clock-angle';
import { openLanes, reaches } from './coverage';
import type { Station } from './station';

/** Depths are suggested to this, mm. */
const STEP_MM = 0.5;
/** From the mouth or the bottom, mm. */
const FROM_END_MM = 2;
/** An end or the middle of the bore this near a suggested depth needs none of its own, mm; in a long bore a seventh of it. */
const NEAR_MM = 7;
/** Beside an edge of a port or groove, where a gauge does not stand, mm. */
const BESIDE_EDGE_MM = 1;
/** Neighbours nearer than this are not parted further, mm. */
const CLOSE_MM = 6;
/** No bore is gauged at more. */
const MOST_DEPTHS = 60;

type Bore = Pick<Geometry, 'seals' | 'ports' | 'grooves' | 'lengthMm'>;
type SuggestRules = Pick<Rules, 'laneMarginMm' | 'laneGapMaxMm'>;

/**
 * Depths worth gauging on a bore that has not been: what every lane needs (`openLanes`), each static seat, both ends and the middle.
 * @returns mm to 0.5, rising, clear of ports and grooves where a lane can be answered so
 */
export const suggestDepths = (bore: Bore, rules: SuggestRules): readonly number[] => {
  const seats = bore.seals.filter((s) => s.role === 'static').map((s) => halves(Math.min(bore.lengthMm - 1, Math.max(1, s.restXMm))));
  const kept = [...new Set([...covered(bore, [], rules), ...seats])];
  const nearMm = Math.min(bore.lengthMm / 4, Math.max(NEAR_MM, bore.lengthMm / 7));
  const places = [
    { mm: 0, from: FROM_END_MM, way: 1 },
    { mm: bore.lengthMm / 2, from: bore.lengthMm / 2, way: 1 },
    { mm: bore.lengthMm, from: bore.lengthMm - FROM_END_MM, way: -1 },
  ] as const;
  for (const { mm, from, way } of places) if (kept.every((k) => Math.abs(k - mm) >= nearMm)) kept.push(clearFrom(bore, from, way));
  return kept.sort((a, b) => a - b);
};

/**
 * Depths still to be gauged on one that has been: what its lanes lack, and between neighbours in a lane that differ by more than the form tolerance.
 * @param form its stations by depth, and the difference below which there is no form, mm
 */
export const furtherDepths = (
  bore: Bore,
  form: { readonly stations: readonly Station[]; readonly formToleranceMm: number },
  rules: SuggestRules,
): readonly number[] => {
  const lanes = movingLanes(bore.seals.map((s) => laneOf(s, rules.laneMarginMm)));
  const steep = form.stations.slice(1).flatMap((s, i) => {
    const before = form.stations[i] as Station;
    const inLane = lanes.some((l) => reaches(before.xMm, l.x0Mm, l.x1Mm) && reaches(s.xMm, l.x0Mm, l.x1Mm));
    const apart = above(s.xMm - before.xMm, CLOSE_MM) && above(Math.abs(s.highMm - before.highMm), form.formToleranceMm);
    return inLane && apart ? [clearFrom(bore, (before.xMm + s.xMm) / 2, 1)] : [];
  });
  return [...new Set([...covered(bore, form.stations, rules), ...steep])].sort((a, b) => a - b);
};

/** What makes every lane covered, beside what is gauged already: each depth asked for, moved to the nearest step that a gauge can stand on and that answers it. */
const covered = (bore: Bore, gauged: readonly Pick<Station, 'xMm' | 'method'>[], rules: SuggestRules): readonly number[] => {
  const lanes = bore.seals.map((s) => laneOf(s, rules.laneMarginMm));
  const askedWith = (placed: readonly number[]): readonly number[] => {
    const stations = [...gauged, ...placed.map((xMm) => ({ xMm, method: 'harmonic' as const }))].sort((a, b) => a.xMm - b.xMm);
    return openLanes({ ...bore, lanes, stations, rules }).flatMap((l) => l.xMm);
  };
  const offRest = (x: number): number => Math.min(...bore.seals.map((s) => Math.abs(s.restXMm - x)));
  const placed: number[] = [];
  // What no place answers is left to the judge's words.
  const unanswered: number[] = [];
  while (placed.length < MOST_DEPTHS) {
    // Where a seal rests first: a depth that only stands near would answer for it.
    const wanted = [...askedWith(placed)].sort((a, b) => offRest(a) - offRest(b)).find((x) => !unanswered.includes(x));
    if (wanted === undefined) break;
    const stillAsked = (x: number): boolean => askedWith([...placed, x]).some((again) => Math.abs(again - wanted) < STEP_MM);
    const answer = standsNear(bore, wanted).find((x) => !placed.includes(x) && !stillAsked(x));
    if (answer === undefined) unanswered.push(wanted);
    else placed.push(answer);
  }
  return placed;
};

/** Where a gauge can stand for a depth, the likeliest first: to the step on either side, clear of what is cut into the bore; then the depth itself, at last beside a port. */
const standsNear = (bore: Bore, wanted: number): readonly number[] => [
  ...[wanted - STEP_MM / 2, wanted + STEP_MM / 2]
    .flatMap((x) => [clearFrom(bore, x, -1), clearFrom(bore, x, 1)])
    .sort((x, y) => Math.abs(x - wanted) - Math.abs(y - wanted)),
  ...(isClear(bore, wanted) ? [wanted] : []),
  // Beside a port on the clock: two readings and more can be taken there yet.
  ...(isClear({ ...bore, ports: [] }, wanted) ? [halves(wanted), wanted] : []),
];

/** Does a gauge turned to this clock stand in a port? @param at depth, mm, and clock, degrees */
export const standsInPort = (
  { ports, nominalMm }: Pick<Geometry, 'ports' | 'nominalMm'>,
  at: { readonly xMm: number; readonly clockDeg: number },
): boolean =>
  ports.some((p) => {
    const reachMm = p.diaMm / 2 + BESIDE_EDGE_MM;
    const offDeg = (Math.asin(Math.min(1, (2 * reachMm) / nominalMm)) * 180) / Math.PI;
    // Top and bottom are one diameter.
    return p.side !== 'end' && Math.abs(at.xMm - p.xMm) < reachMm && angleBetween(foldClock(at.clockDeg), 0) < offDeg;
  });

const halves = (x: number): number => Math.round(x / STEP_MM) * STEP_MM;

/** The first depth from a place on that no port or groove takes. */
const clearFrom = (bore: Bore, from: number, way: 1 | -1): number => {
  let x = halves(from);
  while (!isClear(bore, x) && x > 1 && x < bore.lengthMm - 1) x += way * STEP_MM;
  return x;
};

const isClear = ({ ports, grooves }: Bore, x: number): boolean =>
  [
    ...ports.filter((p) => p.side !== 'end').map((p) => [p.xMm, p.diaMm] as const),
    ...grooves.map((g) => [g.xMm, g.widthMm] as const),
  ].every(([at, width]) => atMost(width / 2 + BESIDE_EDGE_MM, Math.abs(x - at)));

/** Clock positions of a gauge grid: enough to see ovality and its axis. */
export const GRID_CLOCKS: readonly number[] = [0, 45, 90, 135];
