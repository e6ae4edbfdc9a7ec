import { z } from 'zod';
import { Id } from '../schema/target';
import { when } from '../schema/when';
import { BleedEventSchema } from './bleed-event';
import { SystemSchema } from './system';

/** A system to be kept, at a fitment or by itself; one that is there under this id is replaced. */
export const KeepSystemSchema = z.strictObject({ id: Id, fitmentId: Id.nullable(), system: SystemSchema });
export const DropSystemSchema = z.strictObject({ id: Id });

/** All that was done in a bleed so far: sent again with more as it goes on. */
export const SaveBleedSchema = z.strictObject({
  id: Id,
  startedAt: when(),
  method: z.enum(['gravity', 'pump', 'vacuum']),
  system: SystemSchema,
  events: z.array(BleedEventSchema).max(5000),
  /** How often what is told has changed; taking back is a change too. */
  changes: z.number().int().min(1).max(100_000),
});
