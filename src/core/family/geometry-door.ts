import { z } from 'zod';
import { BoreSealDoor } from './bore-seal-door';

export const PortDoor = z.strictObject({
  id: z.string().min(1).max(40),
  kind: z.enum(['feed', 'compensating', 'outlet', 'inlet', 'bleed']),
  xMm: z.number(),
  diaMm: z.number().positive(),
  /** Where it leaves the bore: through the wall above or below, or through the bottom along the axis. */
  side: z.enum(['top', 'bottom', 'end']),
});
export type Port = z.output<typeof PortDoor>;

/** A ring cut into the bore for a clip, a boot or a seal, from its open-end edge. */
export const GrooveDoor = z.strictObject({
  id: z.string().min(1).max(40),
  xMm: z.number(),
  widthMm: z.number().positive(),
  depthMm: z.number().positive(),
});
export type Groove = z.output<typeof GrooveDoor>;

const SpanDoor = z.strictObject({ x0Mm: z.number(), x1Mm: z.number() });

/** A unit's own dimensions in mm; the family's drawing until someone measures. Depths from the open end (left end of a through bore). */
export const GeometryDoor = z.strictObject({
  nominalMm: z.number().positive(),
  lengthMm: z.number().positive(),
  wallMm: z.number().positive(),
  ports: z.array(PortDoor).max(20),
  grooves: z.array(GrooveDoor).max(10),
  seals: z.array(BoreSealDoor).max(20),
  spans: z.record(z.string(), SpanDoor),
});
export type Geometry = z.output<typeof GeometryDoor>;
