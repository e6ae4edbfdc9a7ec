import { type BoreSeal, type Lane, movingLanes, touches } from '../family/lane';
import type { Rules } from '../rules/rule-set';
import { above, atMost } from '../statistics/compare';
import type { Station } from './station';

/** A station this far from a lane still tells about it, mm. */
const REACH_MM = 3;
/** No rule asks for depths closer than this, mm. */
const LEAST_GAP_MM = 1;

/** The depths, rising, at which a seal's lane is still to be gauged. */
export type OpenLane = { readonly sealId: string; readonly role: Lane['role']; readonly xMm: readonly number[] };

type Asked = {
  readonly lanes: readonly Lane[];
  readonly seals: readonly BoreSeal[];
  readonly stations: readonly Pick<Station, 'xMm' | 'method'>[];
  readonly lengthMm: number;
  readonly rules: Pick<Rules, 'laneGapMaxMm'>;
};

/**
 * Where each moving seal's lane has not been gauged as closely as it must be: at rest, at the far end of the travel, in stretches between, and
 * for a pressure seal across three clocks somewhere. What is asked for one lane counts for the lanes after it.
 * @param asked one lane a seal, in the same order; lengths in mm from the open end
 * @returns one entry for each lane with something to ask
 * @source design, chapter 2, coverage
 */
export const openLanes = ({ lanes, seals, stations, lengthMm, rules }: Asked): readonly OpenLane[] => {
  const gapMm = Math.max(LEAST_GAP_MM, rules.laneGapMaxMm);
  const crossed = stations.filter((s) => s.method !== 'single');
  const askedBefore: number[] = [];
  return movingLanes(lanes).flatMap((whole) => {
    const lane = cutTo(whole, lengthMm);
    const travelMm = seals.find((s) => s.id === lane.sealId)?.travelMm ?? 0;
    const asks: number[] = [];
    const ask = (xMm: number): void => {
      asks.push(xMm);
      askedBefore.push(xMm);
    };
    const known = (): readonly number[] =>
      [...crossed.map((s) => s.xMm), ...askedBefore].filter((x) => reaches(x, lane.x0Mm, lane.x1Mm)).sort((a, b) => a - b);
    const restMm = (lane.parked0Mm + lane.parked1Mm) / 2;
    if (!known().some((x) => reaches(x, lane.parked0Mm, lane.parked1Mm))) ask(restMm);
    const farMm = travelMm < 0 ? lane.x0Mm : lane.x1Mm;
    if (above(Math.abs(travelMm), REACH_MM) && !known().some((x) => reaches(x, farMm, farMm)))
      ask(travelMm < 0 ? farMm + REACH_MM : farMm - REACH_MM);
    const inside = known().filter((x) => above(x, lane.x0Mm) && above(lane.x1Mm, x));
    for (const x of splits([lane.x0Mm, ...inside, lane.x1Mm], gapMm)) ask(x);
    const turned = crossed.some((s) => s.method === 'harmonic' && reaches(s.xMm, lane.x0Mm, lane.x1Mm));
    if (lane.role === 'pressure' && !turned) {
      const nearest = known().reduce<number | undefined>(
        (best, x) => (best === undefined || above(Math.abs(best - restMm), Math.abs(x - restMm)) ? x : best),
        undefined,
      );
      if (nearest !== undefined && !askedBefore.includes(nearest)) ask(nearest);
    }
    return asks.length === 0 ? [] : [{ sealId: lane.sealId, role: lane.role, xMm: asks.sort((a, b) => a - b) }];
  });
};

/** From one depth to another, mm. */
export type Stretch = { readonly x0Mm: number; readonly x1Mm: number };

/** Where seals move and no depth gauged across two clocks lies within half of the longest stretch that the rule leaves: what was never looked at. */
export const ungauged = ({ lanes, stations, lengthMm, rules }: Omit<Asked, 'seals'>): readonly Stretch[] => {
  const nearMm = Math.max(LEAST_GAP_MM, rules.laneGapMaxMm) / 2;
  const crossed = stations.filter((s) => s.method !== 'single').map((s) => s.xMm);
  return movingLanes(lanes).flatMap((whole) => {
    const { x0Mm, x1Mm } = cutTo(whole, lengthMm);
    let left: readonly Stretch[] = [{ x0Mm, x1Mm }];
    for (const x of crossed)
      left = left.flatMap((s) =>
        [
          { x0Mm: s.x0Mm, x1Mm: Math.min(s.x1Mm, x - nearMm) },
          { x0Mm: Math.max(s.x0Mm, x + nearMm), x1Mm: s.x1Mm },
        ].filter((piece) => above(piece.x1Mm, piece.x0Mm)),
      );
    return left;
  });
};

/** Depths that part each stretch longer than `gapMm` evenly into the fewest pieces that are not. */
const splits = (edges: readonly number[], gapMm: number): readonly number[] =>
  edges.slice(1).flatMap((to, i) => {
    const from = edges[i] as number;
    if (atMost(to - from, gapMm)) return [];
    const pieces = Math.ceil((to - from) / gapMm - 1e-9);
    return Array.from({ length: pieces - 1 }, (_, k) => from + ((to - from) * (k + 1)) / pieces);
  });

/** Is a depth in a stretch, or close enough to tell about it? */
export const reaches = (xMm: number, x0Mm: number, x1Mm: number): boolean => touches(xMm, xMm, x0Mm - REACH_MM, x1Mm + REACH_MM);

/** A seal's reach ends where the bore does. */
const cutTo = (l: Lane, lengthMm: number): Lane => {
  const inBore = (xMm: number): number => Math.min(lengthMm, Math.max(0, xMm));
  return { ...l, x0Mm: inBore(l.x0Mm), x1Mm: inBore(l.x1Mm), parked0Mm: inBore(l.parked0Mm), parked1Mm: inBore(l.parked1Mm) };
};
