import { createClient } from '@libsql/client';
import { asc } from 'drizzle-orm';
import { beforeAll, describe, expect, test } from 'vitest';
import { TrayPartSchema } from '@/core/strip/tray-schema';
import { routeOfUnit } from '@/core/unit/facts-of';
import { undoable } from '@/core/unit/history';
import type { UnitRecord } from '@/core/unit/unit-record';
import type { Db } from '@/db/engine/connection';
import { changesIn } from '@/db/engine/event-payload';
import { loadUnit } from '@/db/engine/load-unit';
import { everyone } from '@/db/people/people';
import { onTheRack } from '@/db/rack/rack';
import { certificateOf, verifyCertificate } from '@/db/release/release';
import { rulesInForce } from '@/db/rules/rules';
import { wholeStore } from '@/db/store/catalogue';
import { certificates, unitEvents, units } from '@/db/tables';
import { historyOf } from '@/db/unit/history';
import { comebacks } from '@/db/unit/lives';
import { undoLast } from '@/db/unit/undo';
import { broughtForward, FIXTURES, unpacked } from './fixtures';
import { ownFolder } from './shop';

const folder = ownFolder();

test.each(FIXTURES)('%s: one column more does not make an old history unreadable', async (fixture) => {
  const db = await broughtForward(fixture, folder);
  const events = await db.select({ payload: unitEvents.payload }).from(unitEvents);
  for (const { payload } of events) {
    const later = structuredClone(payload) as { changes: Record<string, unknown>[] };
    for (const change of later.changes)
      for (const side of ['before', 'after', 'was']) if (change[side]) Object.assign(change[side] as object, { shade: 'red' });
    expect(changesIn(later).length).toBe(changesIn(payload).length);
  }
});

describe.each(FIXTURES)('%s brought forward', (fixture) => {
  let db: Db;
  let records: readonly UnitRecord[];
  beforeAll(async () => {
    db = await broughtForward(fixture, ownFolder());
    const rows = await db.select({ id: units.id }).from(units).orderBy(asc(units.tagNo));
    records = (await Promise.all(rows.map(({ id }) => loadUnit(db, id)))).flatMap((r) => r ?? []);
  });

  test('every unit is read by the application’s own readers, and stands where it stood', async () => {
    const { rows } = await createClient({ url: unpacked(fixture, ownFolder()) }).execute('select id, station, exit from units');
    expect(records.length).toBe(rows.length);
    const before = new Map(rows.map((r) => [r.id, r]));
    for (const record of records) {
      expect([record.unit.id, record.unit.station, record.unit.exit]).toEqual([
        record.unit.id,
        before.get(record.unit.id)?.station,
        before.get(record.unit.id)?.exit,
      ]);
      const now = routeOfUnit(record).find((s) => s.state === 'now')?.station;
      if (record.unit.exit === null) expect([record.unit.tagNo, now]).toEqual([record.unit.tagNo, record.unit.station]);
    }
  });

  test('what was a text is a fact: what went in when and how tight, drillings that were cleared', () => {
    const inside = records.flatMap((r) =>
      r.tray.flatMap((p) => (p.goesIn === null ? [] : [{ p, at: p.goesIn.at, created: r.unit.createdAt }])),
    );
    expect(inside.length).toBeGreaterThan(100);
    for (const { at, created } of inside) expect(at).toBeGreaterThan(created);
    expect(inside.some(({ p }) => p.goesIn?.fastened?.how === 'torque')).toBe(true);
    const cleared = records.flatMap((r) => r.treatments.filter((t) => t.method === 'port-wire' || t.method === 'bleed-wire'));
    expect(cleared.length).toBeGreaterThan(20);
    for (const t of cleared) expect([t.note, t.drilling]).not.toEqual([t.note, null]);
  });

  test('lists, store, people, rules and certificates are read', async () => {
    expect((await onTheRack(db)).inAll).toBe(records.filter((r) => r.unit.exit === null).length);
    expect((await wholeStore(db, Date.now())).length).toBe(110);
    expect((await everyone(db)).length).toBe(5);
    expect((await rulesInForce(db)).version).toBe(1);
    expect((await comebacks(db)).inAll).toBeGreaterThan(0);
    for (const c of await db.select().from(certificates)) expect(await verifyCertificate(db, c.number, c.hash)).toBeDefined();
    for (const r of records.filter((x) => x.unit.exit === 'released'))
      expect((await certificateOf(db, r.unit.id))?.statement.tag).toBeDefined();
  });

  test('the last step of each unit can be undone: its rows are as they were before it', async () => {
    const people = new Map((await everyone(db)).map((p) => [p.id, p]));
    let undone = 0;
    for (const record of records.filter((r) => r.unit.exit === null)) {
      const [last] = await historyOf(db, record.unit.id, 1);
      const person = people.get(last?.personId ?? '');
      if (person === undefined || undoable(await historyOf(db, record.unit.id, 20), person) === undefined) continue;
      const [event] = (await db.select().from(unitEvents)).filter((e) => e.id === last?.id);
      const change = {
        eventId: `undo-${record.unit.id}`,
        unitId: record.unit.id,
        person,
        at: Date.now(),
        version: record.unit.version,
        kind: 'undone',
        note: '',
        digest: '',
      } as const;
      const result = await undoLast(db, change);
      expect([record.unit.tagNo, result.ok]).toEqual([record.unit.tagNo, true]);
      const after = (await loadUnit(db, record.unit.id)) as UnitRecord;
      for (const c of changesIn(event?.payload)) {
        if (c.table !== 'parts' || c.how !== 'changed') continue;
        const part = after.tray.find((p) => p.id === c.id);
        expect(part).toMatchObject({
          found: c.was.found ?? part?.found,
          fate: c.was.fate ?? part?.fate,
          goesIn: 'goesIn' in c.was ? c.was.goesIn : part?.goesIn,
        });
      }
      undone += 1;
    }
    expect(undone).toBeGreaterThan(5);
  });
});

test('a part of an early event that says neither when it went in nor how tight is one that today’s schema takes', () => {
  const early = { id: 'p', goesIn: { piece: 'new', faces: null }, inAt: null, fastened: null };
  const [change] = changesIn({ version: 1, changes: [{ table: 'parts', id: 'p', before: early, after: { ...early, goesIn: null } }] });
  const was = change?.how === 'changed' ? change.was : {};
  expect(TrayPartSchema.shape.goesIn.parse(was.goesIn)).toEqual({ piece: 'new', faces: null, at: 0, fastened: null, from: null });
  expect(Object.keys(was)).not.toContain('inAt');
});
