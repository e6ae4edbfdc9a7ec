import type { Person } from '@/core/people/role';
import type { EventKind } from '@/core/unit/event-kind';
import type { Change } from '@/db/engine/change-unit';

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
