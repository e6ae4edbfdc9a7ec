import type { Person } from '@/core/people/role';
import type { EventKind } from '@/core/unit/event-kind';
import type { Change } from '@/db/engine/change-unit';
import { digestOf } from '@/db/engine/digest';

type Sent = { readonly eventId: string; readonly unitId: string; readonly version: number | null };

/** A change as a page sent it. @param said all that was sent: the same number with anything else in it is another change */
export const changeOf = <T extends Sent>(
  { eventId, unitId, version, ...said }: T,
  person: Person,
  at: number,
  kind: EventKind,
  note = '',
): Change => ({
  eventId,
  unitId,
  version,
  person,
  at,
  kind,
  note,
  // Which version it was said to, a retry may know better.
  digest: digestOf(said),
});
