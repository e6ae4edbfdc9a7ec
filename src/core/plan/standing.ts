import type { Family } from '../family/family';
import { fixed } from '../quantity/figure';
import { isAnswerWait } from '../quote/answer-wait';
import { routeOf } from '../route/route';
import { signaturesFor } from '../route/why-not';
import { STATION_WORDS, STATIONS, type Station } from '../station';
import { askedAt, factsOf } from '../unit/facts-of';
import type { UnitRecord } from '../unit/unit-record';
import { usualMinutes, usualWait } from '../unit/usual-waits';
import type { BoreWay, Way } from '../way';

const MINUTE_MS = 60_000;

/** A wait that runs: how long it has and had, min. */
export type Running = { readonly id: string; readonly label: string; readonly since: number; readonly minutes: number };

/** What decides the work that a unit has ahead of it. */
export type Standing = {
  /** Stations ahead, the one that it is at first. */
  readonly ahead: readonly Station[];
  /** What is done at each, as a bench says it. */
  readonly words: (station: Station) => string;
  readonly running: readonly Running[];
  /** What the customer still has to be asked, or to answer; how long that usually takes yet, min. */
  readonly answer: { readonly kind: 'none' } | { readonly kind: 'to-ask' } | { readonly kind: 'asked'; readonly leftMin: number };
  /** The body is with whoever sleeves it; how long yet, min. */
  readonly away: { readonly kind: 'here' } | { readonly kind: 'away'; readonly leftMin: number };
  readonly bath: 'to-come' | 'had';
  /** How long it stands on paper after it was proved, h; null where its programme does not ask for it. */
  readonly weepHours: number | null;
  /** Who has signed for its release, by id, and how many have to. */
  readonly signedBy: readonly string[];
  readonly signatures: number;
};

/** How a unit is judged, where all of its bores are; one that is scrap is enough. */
export const judgedWay = (r: UnitRecord): BoreWay | undefined => {
  const { unjudged, verdicts } = factsOf(r);
  const found = WORST_FIRST.find((way) => verdicts.some((v) => v.outcome === way));
  return found === 'scrap' || (unjudged.length === 0 && !verdicts.some((v) => v.outcome === 'undecided')) ? found : undefined;
};
const WORST_FIRST: readonly BoreWay[] = ['scrap', 'sleeve', 'hone', 'polish', 'reuse'];

/** How a unit on the rack stands. @param way that it takes: as judged, else the likeliest */
export const standingOf = (r: UnitRecord, way: Way, now: number): Standing => {
  const facts = factsOf(r);
  const supposed =
    way === 'no-bore' || judgedWay(r) !== undefined ? facts : { ...facts, verdicts: [{ outcome: way, toDo: [] }], unjudged: [] };
  const ahead = routeOf(supposed).flatMap((s) => (s.state === 'now' || s.state === 'ahead' ? [s.station] : []));
  const asked = askedAt(r);
  const sent = r.sleevings.filter((s) => s.backAt === null).at(-1);
  const weep = r.programme.steps.find((s) => s.kind === 'weep' && s.need === 'must');
  return {
    ahead,
    words: (station) =>
      station === 'hone' && r.unit.targetDiaMm !== null ? `Hone to ${fixed(r.unit.targetDiaMm, 3)}` : STATION_WORDS[station],
    running: r.timers
      .filter((t) => t.doneAt === null && t.endsAt > now && !isAnswerWait(t.id))
      .map((t) => ({ id: `wait-${t.id}`, label: t.label, since: t.startedAt, minutes: (t.endsAt - t.startedAt) / MINUTE_MS })),
    answer:
      facts.approval === 'to-ask'
        ? { kind: 'to-ask' }
        : facts.approval === 'waiting' && asked !== undefined
          ? { kind: 'asked', leftMin: Math.max(1, usualMinutes('approval') - (now - asked) / MINUTE_MS) }
          : { kind: 'none' },
    away: sent === undefined ? { kind: 'here' } : { kind: 'away', leftMin: Math.max(1, (sent.promisedAt - now) / MINUTE_MS) },
    bath: r.treatments.some((t) => t.method === 'ultrasonic') ? 'had' : 'to-come',
    weepHours: weep?.kind === 'weep' ? weep.hours : null,
    signedBy: facts.signedBy,
    signatures: signaturesFor(r.family),
  };
};

/** How a unit of a family stands on the day it comes in. */
export const standingOfNew = (family: Pick<Family, 'bore' | 'brake' | 'hasGap' | 'proof'>, way: Way): Standing => ({
  ahead: STATIONS.filter((s) => {
    switch (s) {
      case 'book-in':
        return false;
      case 'gauge':
      case 'judge':
        return way !== 'no-bore';
      case 'hone':
        return way === 'hone' || way === 'polish';
      case 'sleeve':
        return way === 'sleeve';
      case 'set':
        return family.hasGap;
      case 'prove':
        return family.proof !== 'none';
      default:
        return true;
    }
  }),
  words: (station) => STATION_WORDS[station],
  running: [],
  // A sleeve changes price and promise: the customer is always asked.
  answer: way === 'sleeve' ? { kind: 'to-ask' } : { kind: 'none' },
  away: { kind: 'here' },
  bath: 'to-come',
  weepHours: null,
  signedBy: [],
  signatures: signaturesFor(family),
});

/** The station whose work begins only when a wait is over; what is not usual holds the next one. */
export const heldBy = (label: string, ahead: readonly Station[]): Station | undefined => {
  const holds = usualWait(label)?.holds;
  const from = holds === undefined ? -1 : STATIONS.indexOf(holds);
  return ahead.find((s) => STATIONS.indexOf(s) >= from) ?? ahead.at(-1);
};
