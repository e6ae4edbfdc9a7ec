import { z } from 'zod';
import { UNIT_KINDS } from '../family/family-name';
import { saySpan, sayWhen } from '../quantity/say-time';
import { Id } from '../schema/target';
import { text } from '../schema/text';
import { PLACE_KIND_WORDS, PLACE_KINDS } from '../shop/settings';
import type { DayFacts, RackUnit, UsualUnit } from './day-facts';
import type { Shift } from './shifts';

const Moment = z.number().min(0).max(4.1e12);
const Minutes = z.number().int().min(1).max(720);
const Tag = text().min(1).max(20);

/** Something that is supposed of the shop, and of which nothing is true yet. */
export const Supposed = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('away'), personId: Id, fromAt: Moment, untilAt: Moment }),
  z.object({ kind: z.literal('bench-down'), bench: z.enum(PLACE_KINDS), untilAt: Moment }),
  z.object({ kind: z.literal('more-places'), bench: z.enum(PLACE_KINDS), places: z.number().int().min(1).max(50) }),
  z.object({
    kind: z.literal('more-units'),
    family: z.enum(UNIT_KINDS),
    units: z.number().int().min(1).max(100),
    fromAt: Moment,
    dueAt: Moment,
  }),
  z.object({ kind: z.literal('more-hours'), personId: Id, minutes: Minutes }),
  z.object({ kind: z.literal('courier'), tag: Tag, opId: Id, hours: z.number().min(1).max(1000) }),
  z.object({ kind: z.literal('first'), tag: Tag }),
]);
export type Supposed = z.output<typeof Supposed>;
export const NewDraft = z.object({
  name: text().trim().min(2, 'what is it called?').max(80),
  supposed: z.array(Supposed).min(1, 'suppose something first').max(30),
});
export type NewDraft = z.output<typeof NewDraft>;
/** A supposition that somebody kept. */
export type Draft = NewDraft & { readonly id: string; readonly by: string; readonly at: number };

const MINUTE_MS = 60_000;

/** The shop as it would be. */
export const supposing = (facts: DayFacts, all: readonly Supposed[]): DayFacts => all.reduce(withOne, facts);

const withOne = (facts: DayFacts, s: Supposed, i: number): DayFacts => {
  const inMin = (at: number): number => (at - facts.now) / MINUTE_MS;
  switch (s.kind) {
    case 'away':
      return onPerson(facts, s.personId, (shifts) => without(shifts, inMin(s.fromAt), inMin(s.untilAt)));
    case 'more-hours':
      return onPerson(facts, s.personId, (shifts) => longer(shifts, s.minutes));
    case 'bench-down':
      return onBench(facts, s.bench, (b) => ({ ...b, downMin: Math.max(b.downMin, inMin(s.untilAt)) }));
    case 'more-places':
      return onBench(facts, s.bench, (b) => ({ ...b, places: b.places + s.places }));
    case 'more-units': {
      const usual = facts.usual.find((u) => u.family === s.family);
      return usual === undefined
        ? facts
        : {
            ...facts,
            units: [
              ...facts.units,
              ...Array.from({ length: s.units }, (_, n) => newUnit(usual, `new-${i + 1}.${n + 1}`, s.fromAt, s.dueAt)),
            ],
          };
    }
    case 'courier':
      return onUnit(facts, s.tag, (u) => ({
        ...u,
        ops: u.ops.map((op) => {
          if (op.id !== s.opId || op.kind !== 'wait') return op;
          const gone = -(op.startedMin ?? 0);
          return { ...op, minutes: Math.min(op.minutes, gone + s.hours * 60) };
        }),
      }));
    case 'first':
      return onUnit(
        facts,
        s.tag,
        (u) => u,
        (u) => [...facts.pins, { id: `supposed-${i}`, kind: 'first', unitId: u.id, by: '', madeAt: facts.now, why: '' }],
      );
  }
};

const onPerson = (facts: DayFacts, id: string, change: (shifts: readonly Shift[]) => readonly Shift[]): DayFacts => ({
  ...facts,
  people: facts.people.map((p) => (p.id === id ? { ...p, shifts: change(p.shifts) } : p)),
});
const onBench = (facts: DayFacts, id: string, change: (bench: DayFacts['benches'][number]) => DayFacts['benches'][number]): DayFacts => ({
  ...facts,
  benches: facts.benches.map((b) => (b.id === id ? change(b) : b)),
});
const onUnit = (
  facts: DayFacts,
  tag: string,
  change: (unit: RackUnit) => RackUnit,
  pins: (unit: RackUnit) => DayFacts['pins'] = () => facts.pins,
): DayFacts => {
  const unit = facts.units.find((u) => u.tag === tag);
  return unit === undefined ? facts : { ...facts, pins: pins(unit), units: facts.units.map((u) => (u === unit ? change(u) : u)) };
};

const without = (shifts: readonly Shift[], from: number, to: number): readonly Shift[] =>
  shifts.flatMap((s) =>
    [
      { fromMin: s.fromMin, toMin: Math.min(s.toMin, from) },
      { fromMin: Math.max(s.fromMin, to), toMin: s.toMin },
    ].filter((part) => part.toMin > part.fromMin),
  );

const DAY_MIN = 24 * 60;
/** The last shift of the first day on which somebody is there, made longer; not into the next one. */
const longer = (shifts: readonly Shift[], minutes: number): readonly Shift[] => {
  const first = shifts[0];
  if (first === undefined) return shifts;
  const last = shifts.findLastIndex((s) => s.fromMin < first.fromMin + DAY_MIN / 2);
  const next = shifts[last + 1]?.fromMin ?? Number.POSITIVE_INFINITY;
  return shifts.map((s, i) => (i === last ? { ...s, toMin: Math.min(next, s.toMin + minutes) } : s));
};

/** A unit that is not there yet, as the plan sees it. */
export const newUnit = (usual: UsualUnit, tag: string, fromAt: number, dueAt: number): RackUnit => ({
  id: tag,
  tag,
  label: usual.label,
  dueAt,
  way: 'reuse',
  wayBy: 'likely',
  wayChance: 1,
  ops: usual.ops,
  readyAt: fromAt,
});

/** What is supposed, in words. @param nameOf a person by id @param labelOf a family */
export const saySupposed = (s: Supposed, now: number, nameOf: (id: string) => string, labelOf: (family: string) => string): string => {
  switch (s.kind) {
    case 'away':
      return `${nameOf(s.personId)} away, ${sayWhen(s.fromAt, now)} to ${sayWhen(s.untilAt, now)}`;
    case 'bench-down':
      return `${PLACE_KIND_WORDS[s.bench]} out of use until ${sayWhen(s.untilAt, now)}`;
    case 'more-places':
      return `${s.places} more ${PLACE_KIND_WORDS[s.bench]}`;
    case 'more-units':
      return s.units === 1
        ? `one ${labelOf(s.family)} more ${sayWhen(s.fromAt, now)}, promised ${sayWhen(s.dueAt, now)}`
        : `${s.units} × ${labelOf(s.family)} more ${sayWhen(s.fromAt, now)}, promised ${sayWhen(s.dueAt, now)}`;
    case 'more-hours':
      return `${nameOf(s.personId)} ${saySpan(s.minutes * MINUTE_MS)} longer`;
    case 'courier':
      return `what ${s.tag} waits for, by courier in ${s.hours} h`;
    case 'first':
      return `${s.tag} before all others`;
  }
};
