import type { Family } from '../family/family';
import { isFastener } from '../family/part-kind';
import { FINISHES } from '../finish/finish';
import type { Station } from '../station';
import type { UnitRecord } from '../unit/unit-record';
import type { UsualWait } from '../unit/usual-waits';
import type { Way } from '../way';
import type { Known } from './ahead';
import type { Taught } from './taught';
import { type SaidTime, type StationTime, stationTime } from './times';

/** What is known before counts as so many units. */
const PRIOR_UNITS = 5;

/** What a unit waited for that others of its kind may wait for too: its waits, what was put on it, its bath. */
export const waitedFor = (r: Pick<UnitRecord, 'timers' | 'bench' | 'treatments'>): readonly string[] => [
  ...new Set([
    ...r.timers.map((t) => t.label),
    ...r.bench.flatMap((b) => (b.kind === 'finish' ? [FINISHES[b.finish].label] : [])),
    ...(r.treatments.some((t) => t.method === 'ultrasonic') ? ['ultrasonic bath'] : []),
  ]),
];

/** How often a family waits for something where nothing was learned yet. */
const standing = (label: UsualWait, family: Family): number => {
  switch (label) {
    case 'seal soak':
    case 'ultrasonic bath':
      return 1;
    case 'thread locker':
      return family.slots.some((s) => isFastener(s.kind)) ? 1 : 0;
    default:
      return 0;
  }
};

/** What the shop knows of a family's times and waits: by the units that have left, its own word, and the standing figures. */
export const knownOf = (family: Family, taught: readonly Taught[], said: readonly SaidTime[]): Known => {
  const own = taught.filter((t) => t.family === family.name);
  const times = new Map<string, StationTime>();
  return {
    timeOf: (station: Station, way: Way): StationTime => {
      const key = `${station} ${way}`;
      const known = times.get(key) ?? stationTime({ family: family.name, way, station }, own, said);
      times.set(key, known);
      return known;
    },
    waitsFor: (label, way) => {
      // Nobody notes a soak of ten minutes: it is always reckoned with.
      if (label === 'seal soak') return true;
      const units = own.filter((t) => t.way === way);
      const waited = units.filter((t) => t.waits.includes(label)).length;
      return (PRIOR_UNITS * standing(label, family) + waited) / (PRIOR_UNITS + units.length) >= 0.5;
    },
  };
};
