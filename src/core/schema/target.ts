import { text } from './text';
import { Version } from './when';

export const Id = text().min(1).max(100);
export const Note = text().max(1000);
/** Why something is done that is not usual. */
export const Reason = text().trim().min(3, 'say why').max(500);
/** What every change to a unit carries: the client's own id for it, the unit, and the version that the person was looking at. */
export const Target = { eventId: Id, unitId: Id, version: Version };
export type Target = { readonly eventId: string; readonly unitId: string; readonly version: number };
