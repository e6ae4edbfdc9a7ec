import type { PLACE_KINDS } from '../shop/settings';
import type { Station } from '../station';
import { type UsualWait, usualMinutes, usualWait } from '../unit/usual-waits';
import type { Way } from '../way';
import type { Skill } from './skills';
import { heldBy, type Running, type Standing } from './standing';
import type { StationTime } from './times';

export type PlaceKind = (typeof PLACE_KINDS)[number];

/** An operation that a unit has ahead of it, as chapter 12 asks for it, and what it is called. */
export type AheadOp = {
  readonly id: string;
  readonly words: string;
  /** Where it is opened, and whose skill it takes where it says no other. */
  readonly station: Station;
  readonly minutes: number;
  readonly bench?: PlaceKind;
  readonly startedMin?: number;
  /** Nobody saw it begin: the plan said so, and nothing says otherwise. */
  readonly presumed?: 'presumed';
} & (
  | {
      readonly kind: 'work';
      readonly spread: number;
      readonly personId?: string;
      readonly skill?: Skill;
      readonly notBy?: readonly string[];
    }
  | { readonly kind: 'wait' }
);

/** Whose skill a work takes. */
export const skillOf = (op: AheadOp): Skill => (op.kind === 'work' ? (op.skill ?? op.station) : op.station);

/** What the shop knows of how long things take, and of what they wait for. */
export type Known = {
  readonly timeOf: (station: Station, way: Way) => StationTime;
  /** Does a unit that goes this way usually wait for that? */
  readonly waitsFor: (label: UsualWait, way: Way) => boolean;
};
/** What is happening to a unit. */
export type Happening = {
  readonly now: number;
  /** Bench time that the station it stands at has had already, min. */
  readonly workedMin: number;
  /** Who is at it, and since when (ms since 1970). */
  readonly atIt: { readonly personId: string; readonly since: number } | undefined;
};

const MINUTE_MS = 60_000;
const BENCHES: { readonly [S in Station]?: PlaceKind } = { hone: 'hone', prove: 'rig' };
/** However much has been done to something, so much of it is left until it is signed off. */
const LEAST_LEFT_MIN = 3;
/** Asking a customer on the telephone, min. */
const ASK_MIN = 5;
/** A bore that is cut is gauged and judged twice; each takes half of what both did. */
const CUT: readonly Way[] = ['hone', 'polish', 'sleeve'];

/** Everything that a unit has ahead of it, in order; what runs or is being done is started. */
export const aheadOf = (s: Standing, way: Way, known: Known, happening: Happening): readonly AheadOp[] => {
  const toCut = CUT.includes(way) && s.ahead.some((station) => station === 'hone' || station === 'sleeve');
  const twice = CUT.includes(way) ? 0.5 : 1;
  const work = (station: Station, id: string, share: number): AheadOp => {
    const { minutes, spread } = known.timeOf(station, way);
    const [first, bench] = [station === s.ahead[0] && id === station, BENCHES[station]];
    const atIt = first ? happening.atIt : undefined;
    return {
      id,
      kind: 'work',
      words: s.words(station),
      station,
      spread,
      minutes: first && atIt === undefined ? Math.max(LEAST_LEFT_MIN, minutes * share - happening.workedMin) : minutes * share,
      ...(bench === undefined ? {} : { bench }),
      ...(atIt === undefined ? {} : { personId: atIt.personId, startedMin: Math.min(0, (atIt.since - happening.now) / MINUTE_MS) }),
    };
  };
  const again = toCut ? (['gauge', 'judge'] as const).map((station) => work(station, `${station}-again`, twice)) : [];
  const waitsAt = (station: Station): readonly Running[] => s.running.filter((r) => heldBy(r.label, s.ahead) === station);
  const comes = (label: UsualWait, station: Station): readonly AheadOp[] =>
    s.running.some((r) => r.label === label) || !known.waitsFor(label, way) ? [] : [usualWaitOp(label, station)];
  const answer = (station: Station): readonly AheadOp[] => {
    if (s.answer.kind === 'none' || waitsAt(station).length > 0) return [];
    const wait = (minutes: number): AheadOp => ({ id: 'answer', kind: 'wait', words: 'the customer’s answer', station, minutes });
    if (s.answer.kind === 'asked') return [wait(s.answer.leftMin)];
    return [
      { id: 'ask', kind: 'work', words: 'Ask the customer', station: 'book-in', minutes: ASK_MIN, spread: 0.5 },
      wait(usualMinutes('approval')),
    ];
  };
  const opsAt = (station: Station): readonly AheadOp[] => {
    switch (station) {
      case 'clean':
        return [work(station, station, 1), ...(s.bath === 'had' ? [] : comes('ultrasonic bath', station))];
      case 'gauge':
      case 'judge':
        return [work(station, station, twice)];
      case 'hone':
        return [...answer(station), work(station, station, 1), ...again];
      case 'sleeve':
        return s.away.kind === 'away'
          ? [...(waitsAt(station).length > 0 ? [] : [awayOp(s.away.leftMin)]), work(station, station, 1), ...again]
          : [...answer(station), work(station, station, 1), awayOp(usualMinutes(AWAY)), ...again];
      case 'close-up':
        return [
          ...comes('paint, air cure', station),
          ...comes('seal soak', station),
          work(station, station, 1),
          ...comes('thread locker', station),
        ];
      case 'release':
        return [
          ...(s.signedBy.length > 0 && s.signedBy.length < s.signatures ? [] : [signedFirst(work(station, station, 1), s)]),
          ...(s.signatures > 1 && s.signedBy.length < s.signatures ? [{ ...SECOND, notBy: s.signedBy }] : []),
        ];
      case 'prove':
        return [work(station, station, 1), ...(s.weepHours === null ? [] : [{ ...usualWaitOp(WEEP, station), minutes: s.weepHours * 60 }])];
      default:
        return [work(station, station, 1)];
    }
  };
  // What somebody is at goes on while a wait of a later station runs: only the first operation of a unit may be started.
  const ops: AheadOp[] = [];
  for (const station of s.ahead) {
    for (const wait of waitsAt(station)) ops.push(runningOp(wait, station, ops, happening));
    ops.push(...opsAt(station));
  }
  return ops.map((op, i) => (i === 0 ? op : notBegun(op)));
};

/** A brake is signed by two people, the first of whom leaves the second signature to another. */
const signedFirst = (op: AheadOp, s: Standing): AheadOp =>
  op.kind === 'work' && s.signatures > 1 && s.signedBy.length === 0 ? { ...op, skill: 'first-signature' } : op;

const SECOND = {
  id: 'second',
  kind: 'work',
  words: 'Sign second',
  station: 'release',
  skill: 'second-signature',
  minutes: 3,
  spread: 0.4,
} as const;
const AWAY = 'away for sleeving';
const WEEP = 'overnight weep check';
const awayOp = (minutes: number): AheadOp => ({ id: 'away', kind: 'wait', words: AWAY, station: 'sleeve', minutes });
const usualWaitOp = (label: UsualWait, station: Station): AheadOp => {
  const bench = usualWait(label)?.bench;
  return {
    id: label.replaceAll(/\W+/g, '-'),
    kind: 'wait',
    words: label,
    station,
    minutes: usualMinutes(label),
    ...(bench === undefined ? {} : { bench }),
  };
};

/** A wait that runs. Where other work comes before it, what that work leaves of it; it may be over by then. */
const runningOp = ({ id, label, since, minutes }: Running, station: Station, before: readonly AheadOp[], { now }: Happening): AheadOp => {
  const bench = usualWait(label)?.bench;
  const op = { id, kind: 'wait', words: label, station, ...(bench === undefined ? {} : { bench }) } as const;
  const startedMin = Math.min(0, (since - now) / MINUTE_MS);
  if (before.length === 0) return { ...op, minutes, startedMin };
  const meanwhile = before.reduce((sum, b) => sum + b.minutes + Math.min(0, b.startedMin ?? 0), 0);
  return { ...op, minutes: Math.max(1, startedMin + minutes - meanwhile) };
};

/** The same operation, not begun. */
export const notBegun = (op: AheadOp): AheadOp => {
  if (op.kind === 'wait') {
    const { startedMin: _, presumed: __, ...rest } = op;
    return rest;
  }
  const { startedMin: _, presumed: __, personId: ___, ...rest } = op;
  return rest;
};
