import type { Geometry } from '../family/geometry';

/** Places of two suggested depths are at least this far apart, mm. */
const APART_MM = 2;
/** From the mouth or the bottom, mm. */
const FROM_END_MM = 2;
/** Beside an edge of a port or groove, where a gauge does not stand, mm. */
const BESIDE_EDGE_MM = 1;

/** Depths worth gauging: where each seal rests and the far end of its way, both ends of the bore and its middle; mm, to 0.5, clear of ports and grooves. */
export const suggestDepths = (g: Pick<Geometry, 'seals' | 'ports' | 'grooves' | 'lengthMm'>): readonly number[] => {
  const seals = g.seals.flatMap((s) => (s.role === 'static' ? [s.restXMm] : [s.restXMm, s.restXMm + s.travelMm]));
  const sealDepths = seals.map((x) => Math.min(g.lengthMm - 1, Math.max(1, half(x))));
  const ends = [clearFrom(g, FROM_END_MM, 1), clearFrom(g, g.lengthMm / 2, 1), clearFrom(g, g.lengthMm - FROM_END_MM, -1)];
  const kept: number[] = [];
  // What the seals ask for goes before the ends and the middle.
  for (const x of [...sealDepths, ...ends]) if (kept.every((k) => Math.abs(k - x) >= APART_MM)) kept.push(x);
  return kept.sort((a, b) => a - b);
};

const half = (x: number): number => Math.round(x * 2) / 2;

/** The first depth from a place on that no port or groove takes. */
const clearFrom = (g: Pick<Geometry, 'ports' | 'grooves' | 'lengthMm'>, from: number, way: 1 | -1): number => {
  const taken = [
    ...g.ports.filter((p) => p.side !== 'end').map((p) => [p.xMm, p.diaMm / 2] as const),
    ...g.grooves.map((v) => [v.xMm, v.widthMm / 2] as const),
  ];
  const isClear = (x: number): boolean => taken.every(([at, reach]) => Math.abs(x - at) >= reach + BESIDE_EDGE_MM);
  let x = half(from);
  while (!isClear(x) && x > 1 && x < g.lengthMm - 1) x += way * 0.5;
  return x;
};

/** Clock positions of a gauge grid: enough to see ovality and its axis. */
export const GRID_CLOCKS: readonly number[] = [0, 45, 90, 135];
