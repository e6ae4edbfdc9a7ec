import { z } from 'zod';
import { UNIT_KINDS, type UnitKind } from '../family/family-name';
import { BENCH_HOURS, STATIONS, type Station } from '../station';
import { median } from '../statistics/summary';
import { WAYS, type Way } from '../way';
import type { Taught } from './taught';

/** How long a station takes: half of the units less than `minutes`; `spread` is the standard deviation of the logarithm. */
export type StationTime = {
  readonly minutes: number;
  readonly spread: number;
  /** How many units of this family and way taught it. */
  readonly units: number;
  /** Somebody said so, and it goes before what was learned. */
  readonly said: 'said' | 'learned';
};
/** What the shop says of a station's time, of a family and way; null: as it is learned. */
export const NewTime = z.object({
  family: z.enum(UNIT_KINDS),
  way: z.enum(WAYS),
  station: z.enum(STATIONS),
  minutes: z.number().min(0.5, 'is too short').max(600, 'no station takes ten hours').nullable(),
});
export type NewTime = z.output<typeof NewTime>;
export type SaidTime = NewTime & { readonly minutes: number };

/** The standing figures count as five units at their quantiles 0.1, 0.3, 0.5, 0.7 and 0.9. */
const PRIOR_Z = [-1.2816, -0.5244, 0, 0.5244, 1.2816];
const STANDING_SPREAD = 0.4;
/** Less than this is nobody's bench time: it was signed off in passing. */
export const LEAST_MIN = 1;

/**
 * The time of a station by family and way: median and spread of the units that have left, with the standing figures as five units more.
 * @param standing min, where it is not the shop's usual bench time
 * @source lognormal work times; design, chapter 12 (`spread`) and issue “Day”, point 3
 */
export const stationTime = (
  key: { readonly family: UnitKind; readonly way: Way; readonly station: Station },
  taught: readonly Taught[],
  said: readonly SaidTime[],
): StationTime => {
  const own = taught.flatMap((t) => {
    const minutes = t.family === key.family && t.way === key.way ? t.minutes[key.station] : undefined;
    return minutes === undefined || minutes < LEAST_MIN ? [] : [Math.log(minutes)];
  });
  const standing = Math.log(BENCH_HOURS[key.station] * 60);
  const all = [...own, ...PRIOR_Z.map((z) => standing + STANDING_SPREAD * z)];
  const mean = all.reduce((a, b) => a + b, 0) / all.length;
  const spread = Math.sqrt(all.reduce((a, b) => a + (b - mean) ** 2, 0) / (all.length - 1));
  const told = said.find((s) => s.family === key.family && s.way === key.way && s.station === key.station);
  return {
    minutes: told?.minutes ?? Math.exp(median(all)),
    spread,
    units: own.length,
    said: told === undefined ? 'learned' : 'said',
  };
};
