import type { PLACE_KINDS } from '../shop/settings';
import type { Station } from '../station';

type Wait = {
  readonly label: string;
  /** How long it usually takes. */
  readonly minutes: number;
  /** Whose work begins only once it is over. */
  readonly holds: Station;
  /** The bench that it takes a place of. */
  readonly bench?: (typeof PLACE_KINDS)[number];
};

/** What a unit waits for. @source design, domain, "Waits" */
export const USUAL_WAITS = [
  { label: 'penetrant soak', minutes: 1440, holds: 'strip', bench: 'bath' },
  { label: 'seal soak', minutes: 10, holds: 'close-up', bench: 'bath' },
  { label: 'ultrasonic bath', minutes: 15, holds: 'gauge', bench: 'bath' },
  { label: 'paint, air cure', minutes: 4320, holds: 'close-up' },
  { label: 'paint, low bake', minutes: 60, holds: 'close-up' },
  { label: 'thread locker', minutes: 30, holds: 'prove' },
  { label: 'casting resin', minutes: 1440, holds: 'hone' },
  { label: 'parts on order', minutes: 2880, holds: 'kit' },
  { label: 'approval', minutes: 1440, holds: 'hone' },
  { label: 'away for sleeving', minutes: 10080, holds: 'sleeve' },
  { label: 'test hold', minutes: 60, holds: 'prove' },
  { label: 'overnight weep check', minutes: 840, holds: 'release' },
] as const satisfies readonly Wait[];
export type UsualWait = (typeof USUAL_WAITS)[number]['label'];

export const usualMinutes = (label: UsualWait): number => usualWait(label)?.minutes ?? 0;
/** By its label; undefined for one of a shop's own words. */
export const usualWait = (label: string): Wait | undefined => USUAL_WAITS.find((w) => w.label === label);
