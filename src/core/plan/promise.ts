import { fitIn } from '../day/keep';
import type { ScheduledOp } from '../day/schedule';
import type { ScheduleRequest } from '../day/schedule-schema';
import { type DayFacts, dayRequest, type UsualUnit } from './day-facts';
import type { Shift } from './shifts';
import { newUnit } from './what-if';

/** Chances that a date is promised by. */
export const PROMISE_CHANCES = [0.5, 0.9, 0.95] as const;
/** Quantiles that each way is drawn at; between them it is straight. */
const GRID = [0.01, 0.05, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.75, 0.8, 0.85, 0.9, 0.93, 0.95, 0.97, 0.98, 0.99];
const MINUTE_MS = 60_000;
const NEW = 'to promise';
/** Far behind all others: what is promised already goes first. */
const BEHIND_MS = 40 * 24 * 60 * MINUTE_MS;

/** One of the ways a new unit may go, its chance and its work. */
export type WayAhead = { readonly chance: number; readonly usual: UsualUnit };
/** When a new unit is ready, ms since 1970, by the chances asked; null: no date within the plan holds so surely. */
export type Promised = { readonly readyAt: readonly (number | null)[] };

/**
 * The date that holds: the new unit is fitted into the plan that people go by, without moving anybody; each way that it may go is timed with
 * drawn minutes, and the ways are mixed by their chances.
 * @param ways chances that sum to 1
 * @source chapter 12, `chances`; a mixture of distributions
 */
export const promised = (facts: DayFacts, before: readonly ScheduledOp[], ways: readonly WayAhead[]): Promised => {
  const known = ways.filter((w) => w.chance > 0).map((w) => ({ chance: w.chance, finishes: finishesOf(facts, before, w.usual) }));
  const moments = [...new Set(known.flatMap((w) => w.finishes.filter((f) => f !== null)))].sort((a, b) => a - b);
  const chance = (at: number, including: 'it' | 'not it'): number =>
    known.reduce((sum, w) => sum + w.chance * chanceOf(w.finishes, at, including), 0);
  return {
    readyAt: PROMISE_CHANCES.map((asked) => {
      const i = moments.findIndex((m) => chance(m, 'it') >= asked - 1e-9);
      const [high, low] = [moments[i], moments[i - 1]];
      if (high === undefined) return null;
      // Between two moments it rises straight, and may jump at the second: what has no spread is ready at once.
      const [under, over] = [low === undefined ? 0 : chance(low, 'it'), chance(high, 'not it')];
      const at = low === undefined || over < asked || over <= under ? high : low + ((asked - under) / (over - under)) * (high - low);
      return facts.now + at * MINUTE_MS;
    }),
  };
};

const finishesOf = (facts: DayFacts, before: readonly ScheduledOp[], usual: UsualUnit): readonly (number | null)[] => {
  const unit = newUnit(usual, NEW, facts.now, facts.now + BEHIND_MS);
  const { request } = dayRequest({ ...facts, units: [...facts.units, unit] });
  const asked: ScheduleRequest = { ...request, chances: [...GRID] };
  const found = fitIn(asked, before).units.find((u) => u.unitId === NEW);
  return found?.promiseMin ?? GRID.map(() => null);
};

/** The chance that something is ready by a moment, or before it, from its quantiles; what never is counts as never. */
const chanceOf = (finishes: readonly (number | null)[], at: number, including: 'it' | 'not it'): number => {
  const next = finishes.findIndex((f) => f === null || (including === 'it' ? f > at : f >= at));
  if (next === -1) return 1;
  const [low, high] = [finishes[next - 1], finishes[next]];
  const under = next === 0 ? 0 : (GRID[next - 1] as number);
  if (low == null || high == null || high <= low) return under;
  return under + ((at - low) / (high - low)) * ((GRID[next] as number) - under);
};

const HALF_HOUR_MS = 30 * MINUTE_MS;
/** The first half hour in which the shop is open, at a moment or after; undefined where it does not open again. @param open when somebody is there, min from `now` on */
export const openFrom = (at: number, open: readonly Shift[], now: number): number | undefined => {
  const whole = Math.ceil(at / HALF_HOUR_MS) * HALF_HOUR_MS;
  const shift = open.find((s) => now + s.toMin * MINUTE_MS >= whole);
  return shift === undefined ? undefined : Math.max(whole, Math.ceil((now + shift.fromMin * MINUTE_MS) / HALF_HOUR_MS) * HALF_HOUR_MS);
};
