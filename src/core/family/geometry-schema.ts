import { z } from 'zod';
import { text } from '../schema/text';
import { BoreSealSchema } from './bore-seal-schema';

/** Along a bore from its open end, and across; no part of this trade is larger, mm. */
const AlongMm = z.number().min(-10_000).max(10_000);
const WideMm = z.number().positive().max(10_000);

export const PortSchema = z.strictObject({
  id: text().min(1).max(40),
  kind: z.enum(['feed', 'compensating', 'outlet', 'inlet', 'bleed']),
  xMm: AlongMm,
  diaMm: WideMm,
  /** Where it leaves the bore: through the wall above or below, or through the bottom along the axis. */
  side: z.enum(['top', 'bottom', 'end']),
});
export type Port = z.output<typeof PortSchema>;

/** A ring cut into the bore for a clip, a boot or a seal, from its open-end edge. */
export const GrooveSchema = z.strictObject({
  id: text().min(1).max(40),
  xMm: AlongMm,
  widthMm: WideMm,
  depthMm: WideMm,
});
export type Groove = z.output<typeof GrooveSchema>;

const SpanSchema = z.strictObject({ x0Mm: AlongMm, x1Mm: AlongMm });

/** A unit's own dimensions in mm; the family's drawing until someone measures. Depths from the open end (left end of a through bore). */
export const GeometrySchema = z.strictObject({
  nominalMm: WideMm,
  lengthMm: WideMm,
  wallMm: WideMm,
  ports: z.array(PortSchema).max(20),
  grooves: z.array(GrooveSchema).max(10),
  seals: z.array(BoreSealSchema).max(20),
  spans: z.record(text(), SpanSchema),
});
export type Geometry = z.output<typeof GeometrySchema>;
