import { z } from 'zod';
import { FinishSchema } from '../finish/finish-schema';
import { TouchSchema } from '../fluid/touch-schema';
import { PEDAL_ANSWERS } from '../pedal-end/booster';
import { REMEDY_NAMES } from '../pedal-end/hole';
import { WET_NAMES } from '../prove/programme/seen';
import { text } from '../schema/text';
import { GapRecordSchema } from '../set/gap-schema';
import { FastenedSchema } from '../strip/tray-schema';

const Mm = z.number().gt(0, 'must be above 0 mm').max(1000);
const StepId = text().min(1).max(60);
const Hole = z.strictObject({ longMm: Mm, shortMm: Mm, pinMm: Mm });

export const VacuumSamples = z
  .array(z.strictObject({ tS: z.number().min(0).max(86_400), kPa: z.number().min(0).max(105) }))
  .min(2, 'two readings at least')
  .max(5000);

/** What a person notes of a unit by hand. */
export const NotedSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('touch'), ...TouchSchema.shape }),
  z.strictObject({ kind: z.literal('stroked'), returns: z.enum(['by-itself', 'sticks']) }),
  z.strictObject({
    kind: z.literal('joined'),
    /** Tag of the half that it is joined with; empty where that one is not here. */
    otherTag: text().trim().max(20),
    screws: z.number().int().min(1, 'how many screws?').max(20),
    screwsAre: z.enum(['new', 'old']),
    fastened: FastenedSchema,
  }),
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
export type Noted = z.output<typeof NotedSchema>;

/** What is kept of a unit at a bench beside its tray and its bore, by kind; the newest of a kind counts. */
export const BenchDataSchema = z.discriminatedUnion('kind', [
  ...NotedSchema.options,
  z.strictObject({ kind: z.literal('finish'), ...FinishSchema.shape }),
  z.strictObject({ kind: z.literal('gap'), ...GapRecordSchema.shape }),
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
export type BenchData = z.output<typeof BenchDataSchema>;
export type BenchKind = BenchData['kind'];
