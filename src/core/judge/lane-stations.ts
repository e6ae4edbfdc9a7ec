import { type Lane, movingLanes, touches } from '../family/lane';
import type { Station } from '../gauge/station';
import type { LaneLimit } from './limits';

/** The depths that lie where a seal moves; all of them where none does. */
export const stationsInLanes = (stations: readonly Station[], lanes: readonly Lane[]): readonly Station[] => {
  const inLanes = stations.filter((s) => movingLanes(lanes).some((l) => touches(s.xMm, s.xMm, l.x0Mm, l.x1Mm)));
  return inLanes.length > 0 ? inLanes : stations;
};

/** What the bore measures where one seal runs, and the limit of the piston that runs there; mm. */
export type LaneWear = LaneLimit & { readonly highMm: number; readonly lowMm: number };

/** Each lane that was gauged against its own limit. Where no depth lies in any, every depth counts for each. */
export const laneWear = (stations: readonly Station[], lanes: readonly Lane[], limits: readonly LaneLimit[]): readonly LaneWear[] => {
  const counted = stationsInLanes(stations, lanes);
  const inLane = ({ x0Mm, x1Mm }: Lane): readonly Station[] => counted.filter((s) => touches(s.xMm, s.xMm, x0Mm, x1Mm));
  const anyInside = movingLanes(lanes).some((l) => inLane(l).length > 0);
  return limits.flatMap((limit) => {
    const own = anyInside ? lanes.filter((l) => l.sealId === limit.sealId).flatMap(inLane) : counted;
    return own.length === 0
      ? []
      : [{ ...limit, highMm: Math.max(...own.map((s) => s.highMm)), lowMm: Math.min(...own.map((s) => s.lowMm)) }];
  });
};
