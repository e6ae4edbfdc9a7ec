import type { BoreOutcome } from '../judge/outcome';
import { STATION_WORDS, STATIONS, type Station } from '../station';
import type { RouteFacts } from './facts';
import { sayWhyNot, type WhyNot, whyNotDone } from './why-not';

/** Where a unit stands with one station. `why` says what is missing or why it is passed over. */
export type Stop =
  | { readonly station: Station; readonly state: 'done' }
  | { readonly station: Station; readonly state: 'now'; readonly why: readonly WhyNot[] }
  | { readonly station: Station; readonly state: 'ahead'; readonly why: readonly WhyNot[] }
  | { readonly station: Station; readonly state: 'skipped'; readonly because: SkipReason };
export const STOP_WORDS: { readonly [S in Stop['state']]: string } = { done: 'done', now: 'now', ahead: 'ahead', skipped: 'skipped' };

export type SkipReason = 'no-bore' | 'not-held' | 'no-gap' | 'not-cut' | 'not-sleeved' | 'not-yet-judged';

/**
 * The route of a unit: which stations it visits, which are done, where it is, and what holds it.
 * @returns every station in order; exactly one is `now` until all are done
 * @source design, product, "The route of a unit"
 */
export const routeOf = (f: RouteFacts): readonly Stop[] => {
  let now: Station | undefined;
  return STATIONS.map((station): Stop => {
    if (f.done.includes(station)) return { station, state: 'done' };
    const because = skipReason(station, f);
    if (because !== undefined) return { station, state: 'skipped', because };
    if (now !== undefined) return { station, state: 'ahead', why: [{ code: 'before', station: now }] };
    now = station;
    return { station, state: 'now', why: whyNotDone(station, f) };
  });
};

/** The station at which the unit is; undefined once all are done. */
export const stationNow = (route: readonly Stop[]): Station | undefined => route.find((stop) => stop.state === 'now')?.station;

/** Why a station's work is not to be done now, in words; empty when it is its turn. A bore is gauged on until it is judged: the verdict may ask for it. */
export const whyNotNow = (station: Station, route: readonly Stop[]): readonly string[] => {
  if (station === 'gauge' && stationNow(route) === 'judge') return [];
  const stop = route.find((s) => s.station === station);
  switch (stop?.state) {
    case 'now':
      return [];
    case 'ahead':
      return stop.why.map(sayWhyNot);
    case 'skipped':
      return [saySkip(stop.because)];
    case 'done':
    case undefined:
      return [`${STATION_WORDS[station]} is signed off; a lead can reopen it.`];
  }
};

const skipReason = (station: Station, f: RouteFacts): SkipReason | undefined => {
  const judged = f.unjudged.length === 0 && !f.verdicts.some((v) => v.outcome === 'undecided');
  const asksFor = (...outcomes: readonly BoreOutcome[]): boolean => f.verdicts.some((v) => outcomes.includes(v.outcome));
  switch (station) {
    case 'gauge':
    case 'judge':
      return f.family.bore === 'none' ? 'no-bore' : undefined;
    case 'prove':
      return f.family.proof === 'none' ? 'not-held' : undefined;
    case 'set':
      return f.family.hasGap ? undefined : 'no-gap';
    case 'hone':
      if (f.family.bore === 'none') return 'no-bore';
      if (!judged) return 'not-yet-judged';
      return asksFor('hone', 'polish') ? undefined : 'not-cut';
    case 'sleeve':
      if (f.family.bore === 'none') return 'no-bore';
      if (!judged) return 'not-yet-judged';
      return asksFor('sleeve') ? undefined : 'not-sleeved';
    default:
      return undefined;
  }
};

export const saySkip = (because: SkipReason): string => {
  switch (because) {
    case 'no-bore':
      return 'It has no bore.';
    case 'not-held':
      return 'It holds no pressure: there is nothing to prove.';
    case 'no-gap':
      return 'This family has no pushrod gap to set.';
    case 'not-cut':
      return 'The verdict asks for no cutting.';
    case 'not-sleeved':
      return 'The verdict asks for no sleeve.';
    case 'not-yet-judged':
      return 'Only if the verdict asks for it.';
  }
};

/** Stations whose sign-off falls when the work of one is done over: itself and all after it; cutting metal calls for gauging and judging again. */
export const reopenedBy = (station: Station): readonly Station[] => {
  if (station === 'hone' || station === 'sleeve') return ['gauge', 'judge'];
  return STATIONS.slice(STATIONS.indexOf(station));
};
