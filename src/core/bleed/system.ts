import { z } from 'zod';
import { text } from '../schema/text';
import { uniqueIds } from '../schema/unique';
import { END_FIELDS, LineSchema, MasterSchema, soundSystem } from './bleed-schema';
import { ORDERS, WIRE_FLUIDS } from './bleed-wire';
import { END_KIND_NAMES, MASTER_KIND_NAMES, ODD_NAMES } from './end-kind';

const Length = z.number().positive().max(2000);

/** What the pedal's travel is worked out from, chapter 8; travel of a cylinder for each of its pistons together. */
const PedalSchema = z.strictObject({
  forceN: z.number().positive().max(20_000),
  ratio: z.number().positive().max(50),
  boost: z.number().positive().max(50),
  /** Travel at the pedal before anything moves. */
  freePlayMm: z.number().min(0).max(500),
  hoseMlPerMPa: z.number().min(0).max(100),
  cylinders: z
    .array(
      z.strictObject({
        id: text().min(1).max(100),
        diaMm: Length,
        count: z.number().int().min(1).max(100),
        travelMm: z.number().min(0).max(500),
      }),
    )
    .max(40),
});

/** A system of a machine as somebody drew it: what chapter 11 asks, and what only people can tell of it. */
export const SystemSchema = soundSystem(
  z.strictObject({
    name: text('what is it called?').trim().min(1, 'what is it called?').max(100),
    master: MasterSchema.extend({ kind: z.enum(MASTER_KIND_NAMES) }),
    lines: uniqueIds(z.array(LineSchema).max(200)),
    ends: uniqueIds(
      z
        .array(z.strictObject({ ...END_FIELDS, kind: z.enum(END_KIND_NAMES), odd: z.array(z.enum(ODD_NAMES)).max(ODD_NAMES.length) }))
        .min(1)
        .max(200),
    ),
    order: z.enum(ORDERS),
    given: z.array(text().min(1).max(100)).max(200).nullish(),
    renewReservoir: z.boolean(),
    fluidIn: z.enum(WIRE_FLUIDS).nullish(),
    fluidFresh: z.enum(WIRE_FLUIDS).nullish(),
    pedal: PedalSchema.nullish(),
  }),
);
export type System = z.output<typeof SystemSchema>;
export type SystemEnd = System['ends'][number];
export type SystemLine = System['lines'][number];
export type SystemPedal = NonNullable<System['pedal']>;
