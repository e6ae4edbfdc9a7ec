import { z } from 'zod';
import { text } from '../schema/text';
import { ReadRecord } from './read-schemas';

const Row = z.record(text().max(100), z.unknown());

/**
 * A unit with its whole history as one file, from one shop to another: its record as it is read elsewhere, every row that the record is made
 * of, and every event. People are `person 1`, `person 2` …; whose it is and what was agreed with them does not go along.
 */
export const UnitFile = z.strictObject({
  eddrin: z.literal('unit'),
  version: z.literal(1),
  exportedAt: z.number().describe('ms since 1970 UTC'),
  shop: text().max(200),
  unit: ReadRecord,
  rows: z.record(text().max(60), z.array(Row).max(20_000)).describe('rows by their table, columns as they are stored'),
  events: z
    .array(
      z.object({
        version: z.number().int(),
        at: z.number(),
        by: text().max(100),
        kind: text().max(60),
        note: text().max(2000),
        payload: z.unknown(),
      }),
    )
    .max(20_000),
});
export type UnitFile = z.output<typeof UnitFile>;

/** What the file is described by, at `/api/v1/schemas/unit.json`. */
export const unitFileSchema = () => z.toJSONSchema(UnitFile);
