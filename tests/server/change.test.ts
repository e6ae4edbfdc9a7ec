import { eq } from 'drizzle-orm';
import { beforeAll, describe, expect, test } from 'vitest';
import { ok } from '@/core/result';
import { saySaveError } from '@/core/unit/save-error';
import { bookIn } from '@/db/book-in/book-in';
import { changeUnit } from '@/db/engine/change-unit';
import { put } from '@/db/engine/edit';
import { changesIn } from '@/db/engine/event-payload';
import { recordPart } from '@/db/strip/tray';
import { customers, unitEvents, units } from '@/db/tables';
import { historyOf } from '@/db/unit/history';
import { signOff } from '@/db/unit/sign-off';
import { startWait } from '@/db/unit/waits';
import { openShop, PEOPLE, type Shop, START } from './shop';

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});

const eventsOf = (unitId: string) => shop.db.select().from(unitEvents).where(eq(unitEvents.unitId, unitId)).orderBy(unitEvents.version);

describe('every change', () => {
  test('appends an event in the same transaction: who, when, what, and what it was before', async () => {
    const unitId = await shop.book();
    const change = await shop.change(unitId, 'part-recorded');
    const found = { found: 'present', condition: 'split', fate: 'replaced' } as const;
    expect((await recordPart(shop.db, change, `${unitId}-left-boot`, found)).ok).toBe(true);
    const [booked, event] = await eventsOf(unitId);
    expect(booked).toMatchObject({ kind: 'booked-in', version: 1, personId: 'cas' });
    expect(event).toMatchObject({ id: change.eventId, kind: 'part-recorded', version: 2, personId: 'tess', at: change.at });
    expect(changesIn(booked?.payload)).toContainEqual({ table: 'parts', id: `${unitId}-left-boot`, how: 'added' });
    expect(changesIn(event?.payload)).toContainEqual({
      table: 'parts',
      id: `${unitId}-left-boot`,
      how: 'changed',
      was: { found: null, condition: null, fate: null },
    });
  });

  test('that is refused leaves neither row nor event', async () => {
    const unitId = await shop.book();
    const refused = await signOff(shop.db, await shop.change(unitId, 'signed-off'), { station: 'strip', note: '', override: null });
    expect(refused.ok).toBe(false);
    expect((await eventsOf(unitId)).length).toBe(1);
    expect((await shop.record(unitId)).unit.version).toBe(1);
  });

  test('that breaks half-way is not half there', async () => {
    const unitId = await shop.book();
    const { unit } = await shop.record(unitId);
    const broken = changeUnit(shop.db, await shop.change(unitId, 'signed-off'), () =>
      ok([
        put('units', { ...unit, position: 'nowhere' }),
        put('timers', {
          id: 't',
          unitId: 'no such unit',
          label: '',
          startedAt: 0,
          endsAt: 0,
          personId: 'tess',
          ownerId: 'tess',
          rungAt: null,
          doneAt: null,
        }),
      ]),
    );
    await expect(broken).rejects.toThrow();
    expect((await shop.record(unitId)).unit).toMatchObject({ position: 'rear left', version: 1 });
    expect((await eventsOf(unitId)).length).toBe(1);
  });

  test('sent twice with the same id applies once and gives the same answer', async () => {
    const unitId = await shop.book();
    const change = await shop.change(unitId, 'wait-started');
    const first = await startWait(shop.db, change, { label: 'penetrant soak', minutes: 60 });
    const again = await startWait(shop.db, change, { label: 'penetrant soak', minutes: 60 });
    expect(again).toEqual(first);
    expect((await shop.record(unitId)).timers.length).toBe(1);
  });

  test('to a unit that is not there says so', async () => {
    const change = { ...(await shop.change(await shop.book(), 'wait-started')), unitId: 'nobody' };
    expect(await startWait(shop.db, change, { label: 'x', minutes: 1 })).toEqual({ ok: false, error: { code: 'no-such-unit' } });
  });
});

describe('booking in', () => {
  test('twice with the same id gives one unit and one tag; tags count up', async () => {
    const unitId = await shop.book({ unitId: 'same' });
    const before = (await shop.record(unitId)).unit.tagNo;
    await shop.book({ unitId: 'same' });
    const next = await shop.book();
    expect((await shop.record(next)).unit.tagNo).toBe(before + 1);
    expect((await shop.db.select().from(units).where(eq(units.id, 'same'))).length).toBe(1);
  });

  test('a customer of the same name and telephone is the same customer', async () => {
    await shop.book({ customer: 'Norrvik Ice Hall', phone: '1' });
    await shop.book({ customer: 'Norrvik Ice Hall', phone: '1' });
    await shop.book({ customer: 'Norrvik Ice Hall', phone: '2' });
    expect((await shop.db.select().from(customers).where(eq(customers.name, 'Norrvik Ice Hall'))).length).toBe(2);
  });

  test('many at once get a tag each', async () => {
    const ids = await Promise.all(Array.from({ length: 20 }, () => shop.book()));
    const tags = await Promise.all(ids.map(async (id) => (await shop.record(id)).unit.tagNo));
    expect(new Set(tags).size).toBe(20);
  });

  test('gives the tray of its family and the geometry of its size', async () => {
    const { tray, unit } = await shop.record(await shop.book({ family: 'master-tandem', nominalMm: 25.4 }));
    expect(tray.map((p) => p.slotId).slice(0, 4)).toEqual(['boot', 'circlip', 'stop-washer', 'rear-piston']);
    expect(tray.every((p) => p.found === null && p.fate === null)).toBe(true);
    expect(unit.geometry?.nominalMm).toBe(25.4);
    expect(unit.station).toBe('strip');
  });

  test('a lost acknowledgement does no harm: the second answer is the first', async () => {
    const entry = { unitId: 'again', customer: 'C', phone: '', machine: 'M', family: 'wheel-double', position: '', nominalMm: 19 } as const;
    const rest = { material: 'alloy', complaints: [], complaintText: '', identityMarks: '', promisedAt: START } as const;
    const first = await bookIn(shop.db, PEOPLE.counter, START, { ...entry, ...rest });
    expect(await bookIn(shop.db, PEOPLE.counter, START + 5, { ...entry, ...rest })).toEqual(first);
    const other = await bookIn(shop.db, PEOPLE.counter, START + 5, { ...entry, ...rest, machine: 'other' });
    expect(other).toMatchObject({ ok: false, error: { code: 'refused', reasons: [expect.stringMatching(/belongs to another unit/)] } });
  });
});

describe('two people on one unit', () => {
  const boot = { found: 'present', condition: 'hard', fate: 'replaced' } as const;

  test('the second save from the same version is refused with both versions and what was done since', async () => {
    const unitId = await shop.book();
    const [mine, theirs] = [await shop.change(unitId, 'wait-started'), await shop.change(unitId, 'wait-started', PEOPLE.other)];
    await startWait(shop.db, { ...theirs, note: 'penetrant soak' }, { label: 'penetrant soak', minutes: 60 });
    const clash = await startWait(shop.db, mine, { label: 'approval', minutes: 60 });
    expect(clash).toEqual({
      ok: false,
      error: {
        code: 'stale',
        yours: { version: 1, what: 'wait-started' },
        theirs: {
          version: 2,
          since: [{ by: 'Odo', at: theirs.at, what: 'wait-started', note: 'penetrant soak', changes: ['wait penetrant soak: added'] }],
        },
      },
    });
    expect(clash.ok ? [] : saySaveError(clash.error)[0]).toMatch(/^Not saved \(wait started\): Odo changed it after you had looked/);
    expect((await shop.record(unitId)).timers.map((t) => t.label)).toEqual(['penetrant soak']);
    expect((await startWait(shop.db, { ...mine, version: 2 }, { label: 'approval', minutes: 60 })).ok).toBe(true);
  });

  test('two parts of one tray at once do not clash: both are kept', async () => {
    const unitId = await shop.book();
    const [mine, theirs] = [await shop.change(unitId, 'part-recorded'), await shop.change(unitId, 'part-recorded', PEOPLE.other)];
    expect((await recordPart(shop.db, theirs, `${unitId}-left-boot`, boot)).ok).toBe(true);
    expect(await recordPart(shop.db, mine, `${unitId}-right-boot`, boot)).toEqual({ ok: true, value: { unitId, version: 3 } });
    const { tray } = await shop.record(unitId);
    expect(tray.filter((p) => p.fate === 'replaced').map((p) => p.slotId)).toEqual(['left-boot', 'right-boot']);
  });

  test('the same part at once does clash', async () => {
    const unitId = await shop.book();
    const [mine, theirs] = [await shop.change(unitId, 'part-recorded'), await shop.change(unitId, 'part-recorded', PEOPLE.other)];
    await recordPart(shop.db, theirs, `${unitId}-left-boot`, boot);
    const clash = await recordPart(shop.db, mine, `${unitId}-left-boot`, { ...boot, condition: 'split' });
    expect(clash).toMatchObject({ ok: false, error: { code: 'stale' } });
    // Who changed what to what.
    expect(!clash.ok && clash.error.code === 'stale' && clash.error.theirs.since.map((s) => [s.by, s.changes])).toEqual([
      ['Odo', ['left boot: found: nothing → present; as it came out: nothing → hard; fate: nothing → new one']],
    ]);
    expect((await shop.record(unitId)).tray.find((p) => p.slotId === 'left-boot')?.condition).toBe('hard');
  });

  test('a version from the future is refused too', async () => {
    const unitId = await shop.book();
    const change = { ...(await shop.change(unitId, 'wait-started')), version: 9 };
    expect(await startWait(shop.db, change, { label: 'x', minutes: 1 })).toMatchObject({ ok: false, error: { code: 'stale' } });
  });

  test('fifty at once on one unit: each is applied in turn or refused, and the events have no gap', async () => {
    const unitId = await shop.book();
    const changes = await Promise.all(
      Array.from({ length: 50 }, () => shop.change(unitId, 'wait-started', PEOPLE.tech, { version: null })),
    );
    const results = await Promise.all(changes.map((c) => startWait(shop.db, c, { label: 'soak', minutes: 5 })));
    expect(results.every((r) => r.ok)).toBe(true);
    expect((await eventsOf(unitId)).map((e) => e.version)).toEqual(Array.from({ length: 51 }, (_, i) => i + 1));
  });
});

test('the history is told newest first, with names', async () => {
  const unitId = await shop.book();
  await startWait(shop.db, { ...(await shop.change(unitId, 'wait-started')), note: 'seal soak' }, { label: 'seal soak', minutes: 10 });
  expect((await historyOf(shop.db, unitId)).map((h) => [h.by, h.kind, h.note])).toEqual([
    ['Tess', 'wait-started', 'seal soak'],
    ['Cas', 'booked-in', ''],
  ]);
});
