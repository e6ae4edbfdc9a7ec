import { z } from 'zod';
import { UNIT_KINDS } from '../family/family-name';
import { MATERIALS } from '../family/material';
import { BORE_OUTCOMES } from '../judge/outcome';
import { text } from '../schema/text';
import { EXITS, STATIONS } from '../station';

/** Up to the year 2100. */
const Ms = z.number().min(0).max(4_102_444_800_000).describe('ms since 1970 UTC');
const Words = text().max(2000);
const Mm = z.number().min(-10_000).max(10_000);
const Whole = z.number().int().min(0).max(1_000_000_000);
/** Rows of one kind that one unit has at the most. */
const MOST_ROWS = 5000;
const many = <S extends z.ZodType>(of: S) => z.array(of).max(MOST_ROWS);

/** A unit as it is read elsewhere: what it is, where it stands, and nothing of whom to call. */
export const ReadUnit = z.object({
  id: Words,
  tag: Words,
  family: z.enum(UNIT_KINDS),
  material: z.enum(MATERIALS),
  machine: Words,
  position: Words,
  customerId: Words,
  nominalMm: Mm.nullable(),
  station: z.enum(STATIONS),
  outcome: z.enum(BORE_OUTCOMES).nullable(),
  targetDiaMm: Mm.nullable(),
  bookedInAt: Ms,
  dueAt: Ms,
  changedAt: Ms,
  exit: z.enum(EXITS).nullable(),
  exitAt: Ms.nullable(),
  comesBackFrom: Words.nullable().describe('the id of the unit that it was when it was here before'),
  branch: Words.nullable(),
  version: Whole,
});
export type ReadUnit = z.output<typeof ReadUnit>;

/** Something that was done to a unit. `number` rises by one order for all units; `after` asks for what came later. */
export const ReadEvent = z.object({
  number: Whole,
  id: Words,
  unitId: Words,
  tag: Words,
  version: Whole,
  at: Ms,
  by: Words,
  kind: Words,
  note: Words,
});
export type ReadEvent = z.output<typeof ReadEvent>;

/** Rows of one answer. */
const READ_MOST = 500;
const Page = { next: Words.nullable().describe('give it back as `after` for what follows; null: nothing does now') };
export const ReadUnits = z.object({ units: z.array(ReadUnit).max(READ_MOST), inAll: Whole, ...Page });
export const ReadEvents = z.object({ events: z.array(ReadEvent).max(READ_MOST), ...Page });

const Limit = z.coerce.number().int().min(1).max(READ_MOST).default(100);
/** A row’s number, as `next` gave it. */
const After = z.coerce.number().int().min(0).max(1_000_000_000).default(0);
export const UnitsAsked = z.object({ after: After, limit: Limit, in: z.enum(['all', 'shop', 'left']).default('all') });
export type UnitsAsked = z.output<typeof UnitsAsked>;
export const EventsAsked = z.object({ after: After, limit: Limit });
export type EventsAsked = z.output<typeof EventsAsked>;

/** A unit with its record, as `GET /api/v1/units/{tag}` gives it. */
export const ReadRecord = ReadUnit.extend({
  complaints: many(Words),
  parts: many(
    z.object({
      slotId: Words,
      kind: Words,
      name: Words,
      found: Words.nullable(),
      condition: Words.nullable(),
      fate: Words.nullable(),
    }),
  ),
  gaugings: many(z.object({ at: Ms, pot: Whole, readings: many(z.object({ xMm: Mm, clockDeg: Mm, diaMm: Mm })) })),
  verdicts: many(
    z.object({
      at: Ms,
      pot: Whole,
      outcome: z.enum(BORE_OUTCOMES),
      limitDiaMm: Mm,
      targetDiaMm: Mm.nullable(),
      marginMm: Mm.nullable(),
      confidence: Mm.nullable(),
    }),
  ),
  steps: many(z.object({ station: z.enum(STATIONS), at: Ms, override: Words.nullable() })),
  runs: many(z.object({ id: Words, at: Ms, stepId: Words, state: Words, outcome: Words.nullable(), sentence: Words })),
});
export type ReadRecord = z.output<typeof ReadRecord>;
