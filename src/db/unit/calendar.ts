import { createHash, randomBytes } from 'node:crypto';
import { and, asc, eq, isNull } from 'drizzle-orm';
import type { CalendarEntry } from '@/core/unit/calendar';
import { tagOf } from '@/core/unit/unit-record';
import type { Db, Reader } from '../engine/connection';
import { calendarKeys, customers, jobs, timers, units } from '../tables';

const hashOf = (key: string): string => createHash('sha256').update(key).digest('hex');

/** A new key for a person's calendar address; only its hash is kept, and the one before it stops working. */
export async function newCalendarKey(db: Db, personId: string, at: number): Promise<string> {
  const key = randomBytes(24).toString('base64url');
  const row = { personId, hash: hashOf(key), at };
  await db.transaction(async (tx) => {
    await tx.insert(calendarKeys).values(row).onConflictDoUpdate({ target: calendarKeys.personId, set: row });
  });
  return key;
}

/** Whose calendar a key opens. */
export async function calendarOwner(db: Reader, key: string): Promise<string | undefined> {
  const [row] = await db
    .select({ personId: calendarKeys.personId })
    .from(calendarKeys)
    .where(eq(calendarKeys.hash, hashOf(key)));
  return row?.personId;
}

/** What stands in a person's calendar: their waits, and every unit in the shop on the day it is promised. */
export async function calendarOf(db: Reader, personId: string): Promise<readonly CalendarEntry[]> {
  const waits = await db
    .select({
      id: timers.id,
      label: timers.label,
      startsAt: timers.startedAt,
      endsAt: timers.endsAt,
      tagNo: units.tagNo,
      machine: jobs.machine,
    })
    .from(timers)
    .innerJoin(units, eq(timers.unitId, units.id))
    .innerJoin(jobs, eq(units.jobId, jobs.id))
    .where(and(isNull(timers.doneAt), isNull(units.exit), eq(timers.ownerId, personId)))
    .orderBy(asc(timers.endsAt));
  const due = await db
    .select({ id: units.id, tagNo: units.tagNo, dueAt: units.dueAt, machine: jobs.machine, customer: customers.name })
    .from(units)
    .innerJoin(jobs, eq(units.jobId, jobs.id))
    .innerJoin(customers, eq(jobs.customerId, customers.id))
    .where(isNull(units.exit))
    .orderBy(asc(units.dueAt));
  return [
    ...waits.map((w) => ({ id: `wait-${w.id}`, at: w.endsAt, title: `${tagOf(w)} ${w.label} is over`, text: w.machine, alarm: true })),
    ...due.map((u) => ({
      id: `due-${u.id}`,
      at: u.dueAt,
      title: `${tagOf(u)} promised`,
      text: `${u.machine}, ${u.customer}`,
      alarm: false,
    })),
  ];
}
