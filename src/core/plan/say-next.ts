import { capital } from '../capital';
import { saySpan, sayWhen } from '../quantity/say-time';
import { STATION_WORDS } from '../station';
import { WAY_WORDS } from '../way';
import { doneBy, type LeftOut, type RackUnit, type Worker } from './day-facts';
import type { PlannedUnit, Stretch } from './day-plan';
import type { Pin } from './pin';

const MINUTE_MS = 60_000;

/** Why it is this unit's turn: who pinned it, or what is left to its promise. */
export const sayTurn = ({ unit, ops, finishAt, lateMin }: PlannedUnit, pins: readonly Pin[], now: number): string => {
  const first = pins.find((p) => p.unitId === unit.id && p.kind === 'first');
  const left = ops.map((o) => ({ o, ms: o.endAt - Math.max(now, o.startAt) }));
  const work = left.reduce((sum, { o, ms }) => sum + (o.op.kind === 'work' ? ms : 0), 0);
  const wait = left.filter(({ o }) => o.op.kind === 'wait').toSorted((a, b) => b.ms - a.ms)[0];
  const rest = `${saySpan(work)} of work${wait === undefined || wait.ms < 20 * MINUTE_MS ? '' : ` and ${saySpan(wait.ms)} of ${wait.o.op.words}`} left`;
  const promised = `promised ${sayWhen(unit.dueAt, now)}, ${rest}`;
  const hand =
    finishAt === null
      ? 'not all of it has room'
      : lateMin >= 1
        ? `${saySpan(lateMin * MINUTE_MS)} late by this plan`
        : `${saySpan(unit.dueAt - finishAt)} in hand`;
  const guess =
    unit.wayBy === 'likely' && unit.way !== 'no-bore'
      ? ` Not judged yet; likeliest: ${WAY_WORDS[unit.way]}, ${Math.round(unit.wayChance * 100)} %.`
      : '';
  return `${first === undefined ? '' : `First, says ${first.by}: ${first.why}. `}${capital(promised)}; ${hand}.${guess}`;
};

/** A pin of a unit in words; what of its work a person does not do is said, since it stays with others. */
export const sayPin = (pin: Pin, unit: Pick<RackUnit, 'ops'>, now: number, people: readonly Worker[]): string => {
  switch (pin.kind) {
    case 'first':
      return 'before all others';
    case 'person':
      return `by ${sayDoer(
        people.find((p) => p.id === pin.personId),
        unit,
      )}`;
    case 'not-before':
      return `not before ${sayWhen(pin.at, now)}`;
  }
};

const sayDoer = (person: Worker | undefined, { ops }: Pick<RackUnit, 'ops'>): string => {
  if (person === undefined) return 'somebody who is not here';
  const [own, all] = [doneBy(person, ops), ops.filter((op) => op.kind === 'work')];
  if (own.length === 0) return `${person.name}, who does none of its work`;
  return own.length === all.length ? person.name : `${person.name}: ${own.map((op) => op.words).join(', ')}; the rest by others`;
};

/** One block of the plan, as it is read out and stands over it. */
export const sayBlock = (o: Stretch, now: number, nameOf: (id: string) => string): string =>
  `${o.tag} ${o.words}, ${sayWhen(o.startAt, now)} to ${sayWhen(o.endAt, now)}${o.personId === null ? '' : `, ${nameOf(o.personId)}`}${o.stands === 'planned' ? '' : o.ops[0].op.presumed === undefined ? ', begun' : ', begun by the plan'}`;

/** Units that nobody here can bring on, in words. */
export const sayLeftOut = (all: readonly LeftOut[]): string => {
  const by = new Map<string, string[]>();
  for (const { tag, station } of all) by.set(STATION_WORDS[station], [...(by.get(STATION_WORDS[station]) ?? []), tag]);
  return [...by].map(([station, tags]) => `Nobody here does ${station}: ${tags.join(', ')}.`).join(' ');
};
