import { z } from 'zod';
import { UNIT_KINDS } from '../family/family-name';
import { MATERIALS } from '../family/material';
import { BORE_OUTCOMES } from '../judge/outcome';
import { EXITS, STATIONS } from '../station';

const Ms = z.number().describe('ms since 1970 UTC');

/** A unit as it is read elsewhere: what it is, where it stands, and nothing of whom to call. */
export const ReadUnit = z.object({
  id: z.string(),
  tag: z.string(),
  family: z.enum(UNIT_KINDS),
  material: z.enum(MATERIALS),
  machine: z.string(),
  position: z.string(),
  customerId: z.string(),
  nominalMm: z.number().nullable(),
  station: z.enum(STATIONS),
  outcome: z.enum(BORE_OUTCOMES).nullable(),
  targetDiaMm: z.number().nullable(),
  bookedInAt: Ms,
  dueAt: Ms,
  changedAt: Ms,
  exit: z.enum(EXITS).nullable(),
  exitAt: Ms.nullable(),
  comesBackFrom: z.string().nullable().describe('the id of the unit that it was when it was here before'),
  branch: z.string().nullable(),
  version: z.number().int(),
});
export type ReadUnit = z.output<typeof ReadUnit>;

/** Something that was done to a unit. `number` rises by one order for all units; `after` asks for what came later. */
export const ReadEvent = z.object({
  number: z.number().int(),
  id: z.string(),
  unitId: z.string(),
  tag: z.string(),
  version: z.number().int(),
  at: Ms,
  by: z.string(),
  kind: z.string(),
  note: z.string(),
});
export type ReadEvent = z.output<typeof ReadEvent>;

/** Rows of one answer. */
const READ_MOST = 500;
const Page = { next: z.string().nullable().describe('give it back as `after` for what follows; null: nothing does now') };
export const ReadUnits = z.object({ units: z.array(ReadUnit), inAll: z.number().int(), ...Page });
export const ReadEvents = z.object({ events: z.array(ReadEvent), ...Page });

const Limit = z.coerce.number().int().min(1).max(READ_MOST).default(100);
/** A row’s number, as `next` gave it. */
const After = z.coerce.number().int().min(0).max(Number.MAX_SAFE_INTEGER).default(0);
export const UnitsAsked = z.object({ after: After, limit: Limit, in: z.enum(['all', 'shop', 'left']).default('all') });
export type UnitsAsked = z.output<typeof UnitsAsked>;
export const EventsAsked = z.object({ after: After, limit: Limit });
export type EventsAsked = z.output<typeof EventsAsked>;

/** A unit with its record, as `GET /api/v1/units/{tag}` gives it. */
export const ReadRecord = ReadUnit.extend({
  complaints: z.array(z.string()),
  parts: z.array(
    z.object({
      slotId: z.string(),
      kind: z.string(),
      name: z.string(),
      found: z.string().nullable(),
      condition: z.string().nullable(),
      fate: z.string().nullable(),
    }),
  ),
  gaugings: z.array(
    z.object({ at: Ms, pot: z.number().int(), readings: z.array(z.object({ xMm: z.number(), clockDeg: z.number(), diaMm: z.number() })) }),
  ),
  verdicts: z.array(
    z.object({
      at: Ms,
      pot: z.number().int(),
      outcome: z.enum(BORE_OUTCOMES),
      limitDiaMm: z.number(),
      targetDiaMm: z.number().nullable(),
      marginMm: z.number().nullable(),
      confidence: z.number().nullable(),
    }),
  ),
  steps: z.array(z.object({ station: z.enum(STATIONS), at: Ms, override: z.string().nullable() })),
  runs: z.array(
    z.object({ id: z.string(), at: Ms, stepId: z.string(), state: z.string(), outcome: z.string().nullable(), sentence: z.string() }),
  ),
});
export type ReadRecord = z.output<typeof ReadRecord>;
