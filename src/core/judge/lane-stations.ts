import { type Lane, movingLanes, touches } from '../family/lane';
import type { Station } from '../gauge/station';

/** The depths that lie where a seal moves; all of them where none does. */
export const stationsInLanes = (stations: readonly Station[], lanes: readonly Lane[]): readonly Station[] => {
  const inLanes = stations.filter((s) => movingLanes(lanes).some((l) => touches(s.xMm, s.xMm, l.x0Mm, l.x1Mm)));
  return inLanes.length > 0 ? inLanes : stations;
};
