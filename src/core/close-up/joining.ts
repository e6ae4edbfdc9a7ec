import type { BenchOf } from '../bench/bench-record';
import type { Family } from '../family/family';
import { roleOf } from '../family/family-name';
import type { TrayPart } from '../strip/tray-schema';
import { sayFastened } from './fastening';
import { goesBack } from './order';

/** Name under which the torque of the screws between two halves is kept for a fitment: they are on no tray. */
export const HALVES_SCREWS = 'halves-screws';

/** Is this a half that is joined to another with a seal between them? One body, or halves that were never parted, has none. */
export const isHalf = (family: Family, tray: readonly TrayPart[]): boolean =>
  roleOf(family) === 'caliper' && tray.some((p) => p.kind === 'cross-over-seal' && goesBack(family, p));

/** How two halves were joined, in words. */
export const sayJoined = (j: BenchOf<'joined'>): string => {
  const other = j.otherTag === '' ? 'its other half' : j.otherTag;
  return `Joined with ${other}, ${sayFastened({ name: `${j.screws} ${j.screwsAre} screws` }, j.fastened)}.`;
};
