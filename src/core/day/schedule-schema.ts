import { z } from 'zod';
import { RuleOverridesSchema } from '../rules/rule-schema';
import { crossCheck, entriesOf, fieldOf } from '../schema/cross-check';
import { text } from '../schema/text';
import { uniqueIds } from '../schema/unique';

/** Minutes from now; ten thousand days are more than anybody plans. */
const Moment = z.number().min(-1.44e7).max(1.44e7);
const Name = text().min(1).max(100);
/** Tries times operations that one request may ask for. */
const MOST_WORK = 2_000_000;
export const USUAL_EFFORT = 400;

const Op = z.strictObject({
  id: Name,
  kind: z.enum(['work', 'wait']),
  minutes: z.number().positive().max(1e6),
  skill: Name.nullish(),
  bench: Name.nullish(),
  startedMin: Moment.max(0).nullish(),
  personId: Name.nullish(),
  spread: z.number().min(0).max(2).nullish(),
});

const Fields = z.object({
  people: uniqueIds(
    z
      .array(
        z.strictObject({
          id: Name,
          skills: z.array(Name).max(200),
          shifts: z.array(z.strictObject({ fromMin: Moment.min(0), toMin: Moment })).max(2000),
        }),
      )
      .max(200),
  ),
  benches: uniqueIds(z.array(z.strictObject({ id: Name, places: z.number().int().min(1).max(10_000) })).max(200)),
  units: uniqueIds(
    z
      .array(
        z.strictObject({
          id: Name,
          dueMin: Moment,
          weight: z.number().positive().max(1e6).nullish(),
          readyMin: Moment.nullish(),
          ops: uniqueIds(z.array(Op).min(1).max(100)),
        }),
      )
      .max(3000),
  ),
  effort: z.number().int().min(0).max(100_000).nullish(),
  seed: z.number().int().min(-2_147_483_648).max(4_294_967_295).nullish(),
  chances: z.array(z.number().gt(0).lt(1)).min(1).max(50).nullish(),
  samples: z.number().int().min(1).max(5000).nullish(),
  rules: RuleOverridesSchema,
});

/** What chapter 12 is asked. Times in minutes from now. */
export const ScheduleRequest = crossCheck(Fields, (value, report) => {
  const people = entriesOf(fieldOf(value, 'people'));
  const benches = entriesOf(fieldOf(value, 'benches'));
  const placesOf = new Map(benches.map((b) => [b.id, b.places]));
  const skillsOf = new Map(people.map((p) => [p.id, new Set(Array.isArray(p.skills) ? p.skills : [])]));
  const anybodys = new Set([...skillsOf.values()].flatMap((skills) => [...skills]));
  for (const [i, person] of people.entries()) {
    let last = Number.NEGATIVE_INFINITY;
    for (const [j, { fromMin, toMin }] of entriesOf(person.shifts).entries()) {
      if (typeof fromMin !== 'number' || typeof toMin !== 'number') continue;
      if (toMin <= fromMin) report(['people', i, 'shifts', j, 'toMin'], 'must be after its beginning');
      if (fromMin < last) report(['people', i, 'shifts', j, 'fromMin'], 'begins before the shift before it has ended');
      last = Math.max(last, toMin);
    }
  }
  const [busy, taken] = [new Set<unknown>(), new Map<unknown, number>()];
  let all = 0;
  for (const [i, unit] of entriesOf(fieldOf(value, 'units')).entries())
    for (const [j, op] of entriesOf(unit.ops).entries()) {
      all += 1;
      const told = (field: string, message: string): void => report(['units', i, 'ops', j, field], message);
      const places = placesOf.get(op.bench);
      if (typeof op.bench === 'string' && !placesOf.has(op.bench)) told('bench', 'there is no such bench');
      if (op.kind === 'wait') {
        for (const field of ['skill', 'personId']) if (op[field] != null) told(field, 'a wait needs no person');
      } else if (op.kind === 'work') {
        if (op.skill == null) told('skill', 'is missing');
        else if (typeof op.skill === 'string' && !anybodys.has(op.skill)) told('skill', 'nobody has it');
        const skills = skillsOf.get(op.personId);
        if (typeof op.personId === 'string' && skills === undefined) told('personId', 'there is no such person');
        else if (skills !== undefined && typeof op.skill === 'string' && !skills.has(op.skill)) told('personId', 'has not that skill');
        if (op.startedMin != null && op.personId == null) told('personId', 'who is at it?');
      }
      if (typeof op.startedMin !== 'number') continue;
      if (j > 0) told('startedMin', 'only the first of a unit may have been started');
      const twice = op.kind === 'work' && typeof op.personId === 'string' && busy.has(op.personId);
      if (op.kind === 'work' && typeof op.personId === 'string') busy.add(op.personId);
      const there = (taken.get(op.bench) ?? 0) + 1;
      if (typeof op.bench === 'string') taken.set(op.bench, there);
      const full = typeof places === 'number' && there > places;
      if (twice) told('startedMin', 'that person is at something else already');
      else if (full) told('startedMin', 'more is started on that bench than it has places');
    }
  const effort = fieldOf(value, 'effort') ?? USUAL_EFFORT;
  if (typeof effort === 'number' && effort * all > MOST_WORK)
    report(['effort'], `times ${all} operations is more than ${MOST_WORK}: ask for less`);
}).meta({ id: 'ScheduleRequest' });
export type ScheduleRequest = z.output<typeof ScheduleRequest>;
