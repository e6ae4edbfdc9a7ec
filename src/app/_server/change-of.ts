import { z } from 'zod';
import type { Person } from '@/core/people/role';
import type { EventKind } from '@/core/unit/event-kind';
import type { Change } from '@/db/engine/change-unit';

export const Id = z.string().min(1).max(100);
export const Note = z.string().max(1000);
/** What every change to a unit carries: the client's own id for it, the unit, and the version that the person was looking at. */
export const Target = { eventId: Id, unitId: Id, version: z.number().int().nonnegative() };

export const changeOf = (
  t: { readonly eventId: string; readonly unitId: string; readonly version: number | null },
  person: Person,
  at: number,
  kind: EventKind,
  note = '',
): Change => ({
  eventId: t.eventId,
  unitId: t.unitId,
  version: t.version,
  person,
  at,
  kind,
  note,
});
