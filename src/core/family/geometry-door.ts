import { z } from 'zod';
import { BoreSealDoor } from '../bore/judge-door';

export const PortDoor = z.strictObject({
  id: z.string(),
  kind: z.enum(['feed', 'compensating', 'outlet', 'inlet', 'bleed']),
  xMm: z.number(),
  diaMm: z.number().positive(),
  side: z.enum(['top', 'bottom']),
});
export type Port = z.output<typeof PortDoor>;

/** A unit's own dimensions in mm; the family's drawing until someone measures. Depths from the open end (left end of a through bore). */
export const GeometryDoor = z.strictObject({
  nominalMm: z.number().positive(),
  lengthMm: z.number().positive(),
  wallMm: z.number().positive(),
  ports: z.array(PortDoor),
  seals: z.array(BoreSealDoor),
  spans: z.record(z.string(), z.strictObject({ x0Mm: z.number(), x1Mm: z.number() })),
});
export type Geometry = z.output<typeof GeometryDoor>;
