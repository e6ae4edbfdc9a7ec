import { z } from 'zod';
import { FinishDoor } from '../finish/finish-door';
import { TouchDoor } from '../fluid/touch-door';
import { PEDAL_ANSWERS } from '../pedal-end/booster';
import { REMEDY_NAMES } from '../pedal-end/hole';
import { WET_NAMES } from '../prove/programme/seen';
import { text } from '../schema/text';
import { GapRecordDoor } from '../set/gap-door';

const Mm = z.number().gt(0, 'must be above 0 mm').max(1000);
const StepId = text().min(1).max(60);
const Hole = z.strictObject({ longMm: Mm, shortMm: Mm, pinMm: Mm });

export const VacuumSamples = z
  .array(z.strictObject({ tS: z.number().min(0).max(86_400), kPa: z.number().min(0).max(105) }))
  .min(2, 'two readings at least')
  .max(5000);

/** What a person notes of a unit by hand. */
export const NotedDoor = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('touch'), ...TouchDoor.shape }),
  z.strictObject({ kind: z.literal('stroked'), returns: z.enum(['by-itself', 'sticks']) }),
  z.strictObject({ kind: z.literal('check-valve'), holds: z.enum(['holds', 'leaks']), passes: z.enum(['passes', 'blocked']) }),
  z.strictObject({ kind: z.literal('rod-tip'), oldMm: Mm, newMm: Mm }),
  z.strictObject({ kind: z.literal('pedal'), answer: z.enum(PEDAL_ANSWERS) }),
  z.strictObject({
    kind: z.literal('hole'),
    partId: text().min(1).max(80),
    before: Hole,
    pedalRatio: z.number().positive().max(50).nullable(),
    remedy: z.enum(REMEDY_NAMES),
    after: Hole.nullable(),
    note: text().max(500),
  }),
]);
export type Noted = z.output<typeof NotedDoor>;

/** What is kept of a unit at a bench beside its tray and its bore, by kind; the newest of a kind counts. */
export const BenchDataDoor = z.discriminatedUnion('kind', [
  ...NotedDoor.options,
  z.strictObject({ kind: z.literal('finish'), ...FinishDoor.shape }),
  z.strictObject({ kind: z.literal('gap'), ...GapRecordDoor.shape }),
  z.strictObject({
    kind: z.literal('vacuum'),
    rod: z.enum(['at-rest', 'pressed']),
    samples: VacuumSamples,
    outcome: z.enum(['holds', 'leaks', 'too-short', 'no-vacuum']),
    dropKPa: z.number().nullable(),
    seconds: z.number(),
    limitKPa: z.number(),
  }),
  z.strictObject({ kind: z.literal('standing'), stepId: StepId, endsAt: z.number().int(), startMm: z.number().nullable() }),
  z.strictObject({
    kind: z.literal('proof'),
    stepId: StepId,
    programme: z.number().int().min(0),
    outcome: z.enum(['pass', 'fail']),
    text: text().max(1000),
    wet: z.enum(WET_NAMES).nullable(),
  }),
]);
export type BenchData = z.output<typeof BenchDataDoor>;
export type BenchKind = BenchData['kind'];
