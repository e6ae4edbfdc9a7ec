import type { Station } from './station';

/**
 * Largest diameter over a stretch of the bore: station highs, linear between stations, flat beyond the end ones.
 * The high, not the mean, so that a pit on the long axis of an oval bore is really cleared.
 * @param stations by depth, at least one
 * @source design, chapter 2
 */
export const localHighMm = (stations: readonly Station[], x0Mm: number, x1Mm: number): number =>
  Math.max(highAt(stations, x0Mm), highAt(stations, x1Mm), ...stations.filter((s) => s.xMm > x0Mm && s.xMm < x1Mm).map((s) => s.highMm));

const highAt = (stations: readonly Station[], xMm: number): number => {
  const after = stations.findIndex((s) => s.xMm >= xMm);
  const [a, b] = [stations[after - 1], stations[after]];
  if (b === undefined) return (stations.at(-1) as Station).highMm;
  if (a === undefined) return b.highMm;
  return a.highMm + ((b.highMm - a.highMm) * (xMm - a.xMm)) / (b.xMm - a.xMm);
};
