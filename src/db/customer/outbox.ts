import { and, asc, count, desc, eq, inArray, lt, lte, sql } from 'drizzle-orm';
import { type Letter, nextTry, OPEN_STATES, openStates, type Posted, UNHEARD_MS } from '@/core/message/message';
import { fail, ok, type Result } from '@/core/result';
import type { UnitRecord } from '@/core/unit/unit-record';
import type { Db, Reader, Tx } from '../engine/connection';
import { jobs, outbox, units } from '../tables';

export type Message = {
  readonly id: string;
  readonly at: number;
  readonly subject: string;
  readonly text: string;
};

/** Writes a message to a unit's customer: it goes by mail where they have an address, else it waits to be read out. It goes with the change that asks for it, or not at all. */
export const send = async (tx: Tx, { unit, job }: UnitRecord, message: Message): Promise<void> => {
  const to = [job.customer, job.phone].filter((t) => t !== '').join(', ');
  await tx
    .insert(outbox)
    .values({
      ...message,
      unitId: unit.id,
      to,
      mail: job.mail,
      ...(job.mail === '' ? { state: 'to-read' as const } : { state: 'waiting' as const, nextAt: message.at }),
    })
    .onConflictDoNothing();
};

/** Takes the letters that are due, each for whoever asks first, and marks them as being sent: should the server stop now, it is not known whether they went. */
export const takeDue = async (db: Db, now: number, most: number): Promise<readonly Letter[]> => {
  // Mostly nothing is due: then nothing is locked.
  const [waits] = await db
    .select({ id: outbox.id })
    .from(outbox)
    .where(and(inArray(outbox.state, ['waiting', 'sending']), lte(outbox.nextAt, now)))
    .limit(1);
  if (waits === undefined) return [];
  return db.transaction(async (tx) => {
    // What was begun long ago by a server that has stopped is never sent twice by itself.
    await tx
      .update(outbox)
      .set({ state: 'unsure', fault: 'the server stopped while it was sent' })
      .where(and(eq(outbox.state, 'sending'), lt(outbox.nextAt, now - UNHEARD_MS)));
    const due = await tx
      .select({ id: outbox.id, mail: outbox.mail, subject: outbox.subject, text: outbox.text, tries: outbox.tries })
      .from(outbox)
      .where(and(eq(outbox.state, 'waiting'), lte(outbox.nextAt, now)))
      .orderBy(asc(outbox.nextAt))
      .limit(most);
    if (due.length === 0) return [];
    await tx
      .update(outbox)
      .set({ state: 'sending', nextAt: now, tries: sql`${outbox.tries} + 1` })
      .where(
        inArray(
          outbox.id,
          due.map((d) => d.id),
        ),
      );
    return due.map((d) => ({ ...d, tries: d.tries + 1 }));
  });
};

export const markPosted = async (db: Db, { id, tries }: Letter, posted: Posted, now: number): Promise<void> => {
  await db.transaction((tx) =>
    tx
      .update(outbox)
      .set(stateAfter(posted, tries, now))
      .where(and(eq(outbox.id, id), eq(outbox.state, 'sending'))),
  );
};

const stateAfter = (posted: Posted, tries: number, now: number): Partial<typeof outbox.$inferInsert> => {
  switch (posted.how) {
    case 'sent':
      return { state: 'sent', doneAt: now, nextAt: null, fault: '' };
    case 'unsure':
      return { state: 'unsure', nextAt: null, fault: posted.why };
    case 'refused':
      return { state: 'failed', nextAt: null, fault: posted.why };
    case 'later': {
      const nextAt = nextTry(tries, now);
      return nextAt === undefined ? { state: 'failed', nextAt: null, fault: posted.why } : { state: 'waiting', nextAt, fault: posted.why };
    }
  }
};

/** What somebody at the counter does with a message: they read it out, or have it sent (again). */
export type Handled = 'read' | 'again';

export const handleMessage = (
  db: Db,
  by: { readonly personId: string; readonly at: number },
  id: string,
  how: Handled,
): Promise<Result<null, string>> =>
  db.transaction(async (tx) => {
    const [message] = await tx.select({ state: outbox.state, mail: outbox.mail }).from(outbox).where(eq(outbox.id, id));
    if (message === undefined) return fail('There is no such message.');
    if (!OPEN_STATES.includes(message.state) && !(how === 'read' && message.state === 'waiting'))
      return fail('It has been looked after. Load the page anew.');
    if (how === 'again' && message.mail === '') return fail('There is no mail address to send it to.');
    await tx
      .update(outbox)
      .set(
        how === 'read'
          ? { state: 'read', doneAt: by.at, doneBy: by.personId, nextAt: null }
          : { state: 'waiting', nextAt: by.at, tries: 0, fault: '' },
      )
      .where(eq(outbox.id, id));
    return ok(null);
  });

/** Messages, those that somebody has to look after first, then the newest; how many there are in all. */
export async function messagesOf(db: Reader, most: number) {
  const [shown, [all]] = await Promise.all([
    db
      .select({ message: outbox, tagNo: units.tagNo, machine: jobs.machine, customerId: jobs.customerId })
      .from(outbox)
      .innerJoin(units, eq(outbox.unitId, units.id))
      .innerJoin(jobs, eq(units.jobId, jobs.id))
      .orderBy(sql`${outbox.state} not in ${[...openStates('none')]}`, desc(outbox.at))
      .limit(most),
    db.select({ n: count() }).from(outbox),
  ]);
  return { shown, inAll: all?.n ?? 0 };
}

/** How many messages somebody has to look after. */
export const openMessages = async (db: Reader, mail: 'goes' | 'none'): Promise<number> => {
  const [row] = await db
    .select({ n: count() })
    .from(outbox)
    .where(inArray(outbox.state, [...openStates(mail)]));
  return row?.n ?? 0;
};
