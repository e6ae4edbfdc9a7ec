import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import { beforeAll, describe, expect, test } from 'vitest';
import { changeOf } from '@/app/_server/change-of';
import type { MarkRecord } from '@/core/judge/mark-record';
import type { Person } from '@/core/people/role';
import type { Stocked } from '@/core/store/article';
import { iCalendar } from '@/core/unit/calendar';
import { bookIn } from '@/db/book-in/book-in';
import { applyEdits } from '@/db/engine/change-unit';
import { put } from '@/db/engine/edit';
import { saveGauging } from '@/db/gauge/gauging';
import { addInstrument, checkRing, newToken, retireInstrument } from '@/db/gauge/instruments';
import { saveJudgement } from '@/db/judge/judgement';
import { onTheRack } from '@/db/rack/rack';
import { articleOf } from '@/db/store/catalogue';
import { enterByHand } from '@/db/store/enter';
import { correct, order, receive, setReorder } from '@/db/store/stock';
import { units } from '@/db/tables';
import { calendarOf } from '@/db/unit/calendar';
import { historyOf } from '@/db/unit/history';
import { addPhoto } from '@/db/unit/photos';
import { startWait } from '@/db/unit/waits';
import { openShop, PEOPLE, type Shop, START } from './shop';

// Requests that are well formed and mean harm: valid ids of other rows, numbers used twice, values that no shop has.

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});

const reasons = (result: { readonly ok: boolean; readonly error?: unknown }): readonly string[] =>
  result.ok ? [] : ((result.error as { readonly reasons?: readonly string[] }).reasons ?? [JSON.stringify(result.error)]);

const MARK: MarkRecord = {
  id: 'mark-of-first',
  name: 'm1',
  kind: 'stain',
  x0Mm: 2,
  x1Mm: 3,
  clock0Deg: 10,
  clock1Deg: 20,
  cleaned: true,
  note: '',
  seenAt: null,
};
const judged = async (unitId: string, verdictId: string, marks: readonly MarkRecord[]) =>
  saveJudgement(shop.db, await shop.change(unitId, 'judged'), { verdictId, marks, school: null, wallMm: null });

describe('a row of another unit', () => {
  test('is not written, whichever kind it is; neither unit nor history shows anything of it', async () => {
    const [first, second] = [await shop.at('judge'), await shop.at('judge')];
    expect((await judged(first, 'verdict-of-first', [MARK])).ok).toBe(true);
    const [was, wasHistory] = [await shop.record(first), (await historyOf(shop.db, first)).length];
    const mine = await shop.record(second);
    const readings = mine.gaugings[0]?.readings ?? [];
    const gauging = { readings, bodyTempC: null, gaugeTempC: null };
    const tries = [
      await judged(second, 'verdict-of-second', [{ ...MARK, kind: 'crack' }]),
      await judged(second, 'verdict-of-first', []),
      await saveGauging(shop.db, await shop.change(second, 'gauged'), { gaugingId: was.gaugings[0]?.id ?? '', ...gauging }),
    ];
    for (const result of tries) expect(reasons(result)).toEqual(['That belongs to another unit.']);
    expect(await shop.record(first)).toEqual(was);
    expect((await historyOf(shop.db, first)).length).toBe(wasHistory);
    expect(await shop.record(second)).toEqual(mine);
  });
});

test('a row that is the store’s own is nobody’s to write from a unit', async () => {
  const unitId = await shop.book();
  const times = { orderedAt: START, expectedAt: START, receivedAt: null };
  const own = { id: 'order-of-store', articleId: 'art-K-131', unitId: null, timerId: null, qty: 3, personId: 'cas', ...times };
  const written = await shop.db.transaction((tx) => applyEdits(tx, unitId, [put('orders', own)]));
  expect(written.ok).toBe(true);
  const again = await shop.db.transaction((tx) => applyEdits(tx, unitId, [put('orders', { ...own, qty: 99, unitId })]));
  expect(reasons(again)).toEqual(['That belongs to another unit.']);
});

describe('a number that was used before', () => {
  const wait = { label: 'soak', minutes: 5 };
  const sent = (unitId: string, more: object = {}) => ({ eventId: 'used-once', unitId, version: null, ...wait, ...more });
  const start = (unitId: string, more: object = {}, person: (typeof PEOPLE)[keyof typeof PEOPLE] = PEOPLE.tech) =>
    startWait(shop.db, changeOf(sent(unitId, more), person, START + 9_000_000, 'wait-started', 'soak'), { ...wait, ...more });

  test('says saved only where it says the same of the same unit by the same person', async () => {
    const [first, second] = [await shop.book(), await shop.book()];
    const saved = await start(first);
    expect(await start(first)).toEqual(saved);
    const others = [await start(second), await start(first, { minutes: 50 }), await start(first, {}, PEOPLE.other)];
    for (const result of others) expect(reasons(result)).toEqual([expect.stringMatching(/^That number belongs to another change/)]);
    expect((await shop.record(first)).timers).toHaveLength(1);
    expect((await shop.record(second)).timers).toEqual([]);
  });

  test('holds for photos by what is in the picture, and for what is booked in', async () => {
    const picture = (background: string) =>
      sharp({ create: { width: 8, height: 8, channels: 3, background } })
        .png()
        .toBuffer();
    const [first, second] = [await shop.book(), await shop.book()];
    const hang = async (unitId: string, background: string) => {
      const bytes = new Uint8Array(await picture(background));
      const change = changeOf({ eventId: 'photo-once', unitId, version: null, background }, PEOPLE.tech, START + 9_000_000, 'photo-added');
      return addPhoto(shop.db, change, { caption: '', bytes, on: { kind: 'unit', id: unitId }, phase: 'out' });
    };
    expect((await hang(first, '#123456')).ok).toBe(true);
    expect((await hang(first, '#123456')).ok).toBe(true);
    expect([(await hang(second, '#123456')).ok, (await hang(first, '#654321')).ok]).toEqual([false, false]);
    expect((await shop.record(first)).photos).toHaveLength(1);
    expect((await shop.record(second)).photos).toEqual([]);
    const { unit, job } = await shop.record(first);
    const entry = { unitId: first, customer: 'Somebody', phone: '', machine: job.machine, family: 'wheel-double', position: '' } as const;
    const more = {
      nominalMm: 19,
      material: unit.material,
      complaints: [],
      complaintText: '',
      identityMarks: '',
      promisedAt: START,
    } as const;
    expect(reasons(await bookIn(shop.db, PEOPLE.counter, START, { ...entry, ...more }))).toEqual([
      expect.stringMatching(/^That number belongs to another unit/),
    ]);
  });
});

describe('a number of the store or of a gauge that another took', () => {
  const TAKEN = ['That number belongs to another change: load the page anew and do it again.'];
  const by = (id: string, person: Person = PEOPLE.counter) => ({ id, person, at: START });
  const delivery = { articleId: 'art-K-160', lot: 'H1', qty: 5, expiresAt: START + 9e10, orderId: null };

  test('says nothing of another delivery, count or order', async () => {
    const first = await receive(shop.db, by('h-1'), delivery);
    expect(await receive(shop.db, by('h-1'), delivery)).toEqual(first);
    expect(reasons(await receive(shop.db, by('h-1'), { ...delivery, qty: 6 }))).toEqual(TAKEN);
    expect(reasons(await receive(shop.db, by('h-1', PEOPLE.tech), delivery))).toEqual(TAKEN);
    const lotId = first.ok ? first.value.lotId : '';
    expect(reasons(await correct(shop.db, by('h-1'), { lotId, counted: 1, reason: 'counted', note: '' }))).toEqual(TAKEN);
    const wanted = { articleId: 'art-K-160', qty: 2, expectedAt: START + 1e9 };
    expect((await order(shop.db, by('h-2'), wanted)).ok).toBe(true);
    expect((await order(shop.db, by('h-2'), wanted)).ok).toBe(true);
    expect(reasons(await order(shop.db, by('h-2'), { ...wanted, qty: 3 }))).toEqual(TAKEN);
  });

  test('nor of another file', async () => {
    const price = (n: number) => ({
      as: 'known' as const,
      name: 'K-160',
      file: { what: 'kits', rows: [{ line: 1, row: { ...kit, price: n } }], lacks: [] } as const,
    });
    const { id: _, ...kit } = (await articleOf(shop.db, 'K-160', START)) as Stocked;
    expect((await enterByHand(shop.db, by('h-3'), price(11))).ok).toBe(true);
    expect((await enterByHand(shop.db, by('h-3'), price(11))).ok).toBe(true);
    expect(reasons(await enterByHand(shop.db, by('h-3', PEOPLE.tech), price(12)))).toEqual(TAKEN);
    expect((await articleOf(shop.db, 'K-160', START))?.price).toBe(11);
  });

  test('nor of another ring check; what is not there is not changed', async () => {
    await addInstrument(shop.db, { id: 'h-gauge', name: 'H', fromMm: null, toMm: null }, START);
    const check = { checkId: 'h-4', instrumentId: 'h-gauge', ringMm: 20, readMm: 20.001 };
    expect([await checkRing(shop.db, PEOPLE.tech, START, check), await checkRing(shop.db, PEOPLE.tech, START, check)]).toEqual([
      true,
      true,
    ]);
    expect(await checkRing(shop.db, PEOPLE.tech, START, { ...check, readMm: 20.2 })).toBe(false);
    expect([await retireInstrument(shop.db, 'none', START), await newToken(shop.db, 'none')]).toEqual([false, undefined]);
    expect(reasons(await setReorder(shop.db, 'none', 3, START))).toEqual(['There is no such article.']);
  });
});

test('a date that lies in the database already and no calendar has takes down neither list nor calendar', async () => {
  const unitId = await shop.book();
  await shop.db.update(units).set({ dueAt: Number.MAX_SAFE_INTEGER }).where(eq(units.id, unitId));
  const rack = await onTheRack(shop.db);
  expect(rack.units.some((u) => u.id === unitId)).toBe(true);
  const feed = iCalendar(await calendarOf(shop.db, PEOPLE.tech.id), START);
  expect(feed).toContain('BEGIN:VEVENT');
  expect(feed).not.toContain(unitId);
});
