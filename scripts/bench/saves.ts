import { createClient } from '@libsql/client';
import { eq } from 'drizzle-orm';
import { bookIn } from '@/db/book-in/book-in';
import type { Db } from '@/db/engine/connection';
import { recordPart } from '@/db/strip/tray';
import { unitEvents, units } from '@/db/tables';
import { PEOPLE } from '../../demo/people';
import { type Line, median, timed } from './line';

const [WARM_UP, SAVES] = [100, 300];

/** A saved change to a unit (its row, its event, its new version) beside the same rows written by raw libSQL, in turn. */
export async function saveLine(db: Db, url: string): Promise<Line> {
  const person = PEOPLE[0] as (typeof PEOPLE)[number];
  const now = Date.now();
  await bookIn(db, person, now, {
    unitId: 'bench',
    customer: 'Bench',
    phone: '',
    machine: 'Bench',
    family: 'master-tandem',
    position: '',
    nominalMm: 22.225,
    material: 'cast-iron',
    complaints: [],
    complaintText: '',
    identityMarks: '',
    promisedAt: now,
  });
  const save = (i: number) =>
    recordPart(
      db,
      { eventId: `ours-${i}`, unitId: 'bench', person, at: now, version: null, kind: 'part-recorded', note: '', digest: '' },
      'bench-boot',
      { note: `looked at ${i} times` },
    );
  await save(-1);
  const [event] = await db.select().from(unitEvents).where(eq(unitEvents.id, 'ours--1'));
  const [unit] = await db.select().from(units).where(eq(units.id, 'bench'));
  const payload = JSON.stringify(event?.payload);
  const raw = createClient({ url, timeout: 5000 });
  const write = async (i: number): Promise<void> => {
    const tx = await raw.transaction('write');
    await tx.execute({ sql: 'update parts set note = ?, dims = ? where id = ?', args: [`looked at ${i} times`, '{}', 'bench-boot'] });
    await tx.execute({
      sql: 'update units set changed_at = changed_at, station = ?, geometry = ? where id = ?',
      args: ['strip', JSON.stringify(unit?.geometry), 'bench'],
    });
    await tx.execute({
      sql: 'insert into unit_events (id, unit_id, version, at, person_id, kind, note, payload) values (?, ?, ?, ?, ?, ?, ?, ?)',
      args: [`raw-${i}`, 'bench', 100_000 + i, now, person.id, 'part-recorded', '', payload],
    });
    await tx.commit();
  };
  const [ours, theirs]: [number[], number[]] = [[], []];
  for (let i = 0; i < WARM_UP + SAVES; i++) {
    ours.push(await timed(() => save(i)));
    theirs.push(await timed(() => write(i)));
  }
  raw.close();
  const [a, b] = [median(ours.slice(WARM_UP)), median(theirs.slice(WARM_UP))];
  return {
    what: 'a saved change, queued, with its event',
    ours: `${a.toFixed(2)} ms`,
    peer: `raw libSQL ${b.toFixed(2)} ms`,
    bar: '≥ 0.5× of its rate',
    holds: b / a >= 0.5,
  };
}
