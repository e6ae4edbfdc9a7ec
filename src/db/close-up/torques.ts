import { and, desc, eq, isNull, or } from 'drizzle-orm';
import type { Torque } from '@/core/close-up/fastening';
import { HALVES_SCREWS, isHalf } from '@/core/close-up/joining';
import { isFastener } from '@/core/family/part-kind';
import { ok, type Result } from '@/core/result';
import type { UnitRecord } from '@/core/unit/unit-record';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db, Reader } from '../engine/connection';
import { put } from '../engine/edit';
import { torques } from '../tables';

type Fitted = Pick<UnitRecord, 'unit' | 'job' | 'identity'>;

/** What manuals gave for the screws of a unit's fitment; where that is not known, of its family in its place of its machine. The newest of each. */
export async function torquesOf(db: Reader, { unit, job, identity }: Fitted): Promise<readonly Torque[]> {
  const ofPlace = and(eq(torques.family, unit.family), eq(torques.machine, job.machine), eq(torques.position, unit.position));
  const ofFitment =
    identity === null ? isNull(torques.fitmentId) : or(isNull(torques.fitmentId), eq(torques.fitmentId, identity.fitmentId));
  const rows = await db
    .select()
    .from(torques)
    .where(identity === null ? ofPlace : or(eq(torques.fitmentId, identity.fitmentId), and(ofPlace, ofFitment)))
    .orderBy(desc(torques.at));
  const newest = new Map(rows.toReversed().map((t) => [t.slotId, t]));
  return [...newest.values()].map(({ slotId, nm, hand, source }) => ({ slotId, nm, hand, source }));
}

/** Notes what the manual gives for a screw: it is there for the next unit of this fitment. */
export const noteTorque = (db: Db, change: Change, t: Torque): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, ({ unit, job, identity, family, tray }, at) => {
    const part = tray.find((p) => p.slotId === t.slotId);
    const halves = t.slotId === HALVES_SCREWS && isHalf(family, tray);
    if (!halves && (part === undefined || !isFastener(part.kind))) return refused('There is no such screw on this tray.');
    const { position } = unit;
    const of = { fitmentId: identity?.fitmentId ?? null, family: unit.family, machine: job.machine, position };
    return ok([put('torques', { ...t, ...of, id: change.eventId, at, personId: change.person.id })]);
  });
