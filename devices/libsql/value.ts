import { z } from 'zod';

/** A value on the wire. Integers are text, as they may be larger than a number of JSON. @source the open Hrana protocol, version 2, "Values" */
export const WireValue = z.discriminatedUnion('type', [
  z.object({ type: z.literal('null') }),
  z.object({ type: z.literal('integer'), value: z.string() }),
  z.object({ type: z.literal('float'), value: z.number() }),
  z.object({ type: z.literal('text'), value: z.string() }),
  z.object({ type: z.literal('blob'), base64: z.string() }),
]);
export type WireValue = z.output<typeof WireValue>;

/** What the database takes for it. */
export const fromWire = (v: WireValue): unknown => {
  switch (v.type) {
    case 'null':
      return null;
    case 'integer':
      return BigInt(v.value);
    case 'blob':
      return Buffer.from(v.base64, 'base64');
    default:
      return v.value;
  }
};

/** What the database gave, on the wire; its blobs without the padding at their end. */
export const toWire = (value: unknown): WireValue => {
  if (value === null || value === undefined) return { type: 'null' };
  if (typeof value === 'bigint') return { type: 'integer', value: String(value) };
  if (typeof value === 'number') return { type: 'float', value };
  if (Buffer.isBuffer(value)) return { type: 'blob', base64: value.toString('base64').replace(/=+$/, '') };
  return { type: 'text', value: String(value) };
};
