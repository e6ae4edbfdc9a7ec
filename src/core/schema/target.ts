import { z } from 'zod';

export const Id = z.string().min(1).max(100);
export const Note = z.string().max(1000);
/** Why something is done that is not usual. */
export const Reason = z.string().trim().min(3, 'say why').max(500);
/** What every change to a unit carries: the client's own id for it, the unit, and the version that the person was looking at. */
export const Target = { eventId: Id, unitId: Id, version: z.number().int().nonnegative() };
export type Target = { readonly eventId: string; readonly unitId: string; readonly version: number };
