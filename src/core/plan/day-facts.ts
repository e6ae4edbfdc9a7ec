import type { ScheduleRequest } from '../day/schedule-schema';
import type { UnitKind } from '../family/family-name';
import type { Station } from '../station';
import type { Way } from '../way';
import { type AheadOp, notBegun, type PlaceKind, skillOf } from './ahead';
import type { Pin } from './pin';
import type { Shift } from './shifts';
import type { Skill } from './skills';

export type Worker = { readonly id: string; readonly name: string; readonly skills: readonly Skill[]; readonly shifts: readonly Shift[] };
export type Bench = {
  readonly id: PlaceKind;
  readonly places: number;
  /** Out of use from now for so long, min; 0 where it works. */
  readonly downMin: number;
};
/** A unit on the rack with the work ahead of it. */
export type RackUnit = {
  readonly id: string;
  readonly tag: string;
  readonly label: string;
  readonly dueAt: number;
  readonly way: Way;
  /** Judged, or planned by the likeliest way, which has this chance. */
  readonly wayBy: 'judged' | 'likely';
  readonly wayChance: number;
  readonly ops: readonly AheadOp[];
  /** Not before, ms since 1970. */
  readonly readyAt: number | null;
};
/** The usual work at a kind of unit that comes in, by its likeliest way. */
export type UsualUnit = { readonly family: UnitKind; readonly label: string; readonly ops: readonly AheadOp[] };

/** All that a plan is made of. Times in ms since 1970 where they end in `At`. */
export type DayFacts = {
  readonly now: number;
  readonly people: readonly Worker[];
  readonly benches: readonly Bench[];
  readonly units: readonly RackUnit[];
  readonly pins: readonly Pin[];
  readonly usual: readonly UsualUnit[];
};

/** A unit that cannot be planned, because nobody here does what it needs. */
export type LeftOut = { readonly tag: string; readonly station: Station };

const MINUTE_MS = 60_000;
/** What is pinned to be first weighs as much as so many others. */
const FIRST_WEIGHT = 1000;
/** Tries of a plan that a page waits for, and of one that is made beside it; one of the first tries is as long on a short list as on a long one. */
const TRIES = { waited: 8, beside: 60 } as const;
/** Operations times tries, at the most: a few tenths of a second. */
const QUICK_WORK = 15_000;
/** Bigger shops are shown the plain list at once, and looked at further while the page is there. */
const PLAIN_FROM = 800;

/** What is planned and for how long it is looked: bigger shops get fewer tries at once. @param made while a page waits for it, or beside it */
export const dayRequest = (
  facts: DayFacts,
  made: keyof typeof TRIES = 'beside',
): { readonly request: ScheduleRequest; readonly leftOut: readonly LeftOut[] } => {
  const able = new Set(facts.people.filter((p) => p.shifts.length > 0).flatMap((p) => p.skills));
  const started = new Map<string, number>();
  const leftOut: LeftOut[] = [];
  const units = facts.units.flatMap((u): ScheduleRequest['units'] => {
    const nobody = u.ops.find((op) => op.kind === 'work' && !able.has(skillOf(op)));
    if (nobody !== undefined) leftOut.push({ tag: u.tag, station: nobody.station });
    if (nobody !== undefined || u.ops.length === 0) return [];
    const pins = facts.pins.filter((p) => p.unitId === u.id);
    const first = pins.some((p) => p.kind === 'first');
    const who = pins.flatMap((p) => (p.kind === 'person' ? [p.personId] : [])).at(-1);
    const from = Math.max(u.readyAt ?? facts.now, ...pins.map((p) => (p.kind === 'not-before' ? p.at : facts.now)));
    return [
      {
        id: u.tag,
        dueMin: first ? 0 : (u.dueAt - facts.now) / MINUTE_MS,
        weight: first ? FIRST_WEIGHT : 1,
        readyMin: Math.max(0, (from - facts.now) / MINUTE_MS),
        ops: u.ops.map((op) => requestOp(isPutOff(op, from > facts.now, who) ? notBegun(op) : op, facts, who, started)),
      },
    ];
  });
  const down = facts.benches.flatMap((b) => downUnits(b, started));
  const ops = units.reduce((n, u) => n + u.ops.length, 0);
  return {
    request: {
      people: facts.people.map(({ id, skills, shifts }) => ({ id, skills: [...skills], shifts: [...shifts] })),
      benches: facts.benches.map(({ id, places }) => ({ id, places })),
      units: [...units, ...down],
      effort: ops > PLAIN_FROM ? 0 : Math.min(TRIES[made], Math.floor(QUICK_WORK / Math.max(1, ops))),
    },
    leftOut,
  };
};

/** What somebody is at is left there where it is pinned to later, or to somebody else. */
const isPutOff = (op: AheadOp, later: boolean, who: string | undefined): boolean =>
  op.kind === 'work' && op.startedMin !== undefined && (later || (who !== undefined && who !== op.personId));

/** What of the work ahead of a unit somebody may do: who has signed for it leaves the next signature to another. */
export const doneBy = (person: Worker, ops: readonly AheadOp[]): readonly AheadOp[] => ops.filter((op) => mayDo(person, op));
const mayDo = (person: Worker, op: AheadOp): boolean =>
  op.kind === 'work' && person.skills.includes(skillOf(op)) && !(op.notBy ?? []).includes(person.id);

/** Who signs after those who have: of several the one who is there first; where no other may, whoever else releases: somebody from elsewhere comes. */
const nextSigner = (op: Extract<AheadOp, { readonly kind: 'work' }>, people: readonly Worker[]): Pick<RequestOp, 'skill' | 'personId'> => {
  const { notBy = [] } = op;
  if (notBy.length === 0) return {};
  const others = people.filter((p) => !notBy.includes(p.id)).toSorted((a, b) => firstThere(a) - firstThere(b));
  for (const skill of [skillOf(op), 'release'] as const) {
    const other = others.find((p) => p.skills.includes(skill));
    if (other !== undefined) return { skill, personId: other.id };
  }
  return {};
};
const firstThere = (p: Worker): number => p.shifts[0]?.fromMin ?? Number.MAX_VALUE;

type RequestOp = ScheduleRequest['units'][number]['ops'][number];
const requestOp = (op: AheadOp, { people, benches }: DayFacts, who: string | undefined, started: Map<string, number>): RequestOp => {
  const places = benches.find((b) => b.id === op.bench)?.places ?? 0;
  const stands = op.startedMin !== undefined && op.bench !== undefined ? (started.get(op.bench) ?? 0) + 1 : 0;
  // A shop that has no such bench on its list does it without; more at once than there are places stand elsewhere.
  const onBench = op.bench !== undefined && places > 0 && stands <= places;
  if (onBench && op.bench !== undefined && stands > 0) started.set(op.bench, stands);
  const base = { id: op.id, minutes: op.minutes, ...(onBench ? { bench: op.bench } : {}) };
  if (op.kind === 'wait') return { ...base, kind: 'wait', ...(op.startedMin === undefined ? {} : { startedMin: op.startedMin }) };
  const doer = people.find((p) => p.id === op.personId && mayDo(p, op) && !started.has(`at ${p.id}`));
  if (doer !== undefined && op.startedMin !== undefined) started.set(`at ${doer.id}`, 1);
  const pinned = people.find((p) => p.id === who && mayDo(p, op));
  return {
    ...base,
    kind: 'work',
    skill: skillOf(op),
    spread: op.spread,
    ...nextSigner(op, people),
    ...(doer !== undefined && op.startedMin !== undefined
      ? { startedMin: op.startedMin, personId: doer.id }
      : pinned === undefined
        ? {}
        : { personId: pinned.id }),
  };
};

const DOWN = 'out of use';
/** A bench that is out of use is held by something that stands on each place of it that nobody works at now. */
const downUnits = ({ id, places, downMin }: Bench, started: ReadonlyMap<string, number>): ScheduleRequest['units'] =>
  downMin <= 0
    ? []
    : Array.from({ length: places - (started.get(id) ?? 0) }, (_x, i) => ({
        id: `${DOWN} ${id} ${i + 1}`,
        dueMin: downMin,
        ops: [{ id: DOWN, kind: 'wait' as const, minutes: downMin, startedMin: 0, bench: id }],
      }));
export const isDown = (unitId: string): boolean => unitId.startsWith(DOWN);
