import { createClient } from '@libsql/client';
import { eq, sql } from 'drizzle-orm';
import { strToU8, zipSync } from 'fflate';
import sharp from 'sharp';
import { beforeAll, expect, test } from 'vitest';
import { ReadEvents, ReadRecord, ReadUnits } from '@/core/book/read-schemas';
import { readRecordOf } from '@/core/book/read-unit';
import { UnitFile, unitFileSchema } from '@/core/book/unit-file';
import { photoHashesIn } from '@/db/backup/check-database';
import { foreignLife, foreignLines, takeForeign } from '@/db/book/foreign';
import { foreignPhotosOf, takeForeignPhotos } from '@/db/book/foreign-photos';
import { eventsAfter, unitsAfter } from '@/db/book/read-units';
import { unitFileOf } from '@/db/book/unit-file';
import { unitEvents } from '@/db/tables';
import { addPhoto, photoBytes } from '@/db/unit/photos';
import { unzipPhotos } from '@/pool/unzip-photos';
import { openShop, PEOPLE, type Shop, START } from './shop';

// What is read of the shop elsewhere, by its own schemas.

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});

test('pages of units and events hold each once, in their order, by the schemas that describe them', async () => {
  const ids = [await shop.at('judge'), await shop.at('clean'), await shop.at('release')];
  await shop.worker(ids[2] as string).release();
  const first = await unitsAfter(shop.db, { after: 0, limit: 2, in: 'all' });
  const second = await unitsAfter(shop.db, { after: Number(first.next), limit: 2, in: 'all' });
  expect(ReadUnits.safeParse(first).success && ReadUnits.safeParse(second).success).toBe(true);
  expect([...first.units, ...second.units].map((u) => u.id)).toEqual(ids);
  expect([first.inAll, second.next]).toEqual([3, null]);
  expect((await unitsAfter(shop.db, { after: 0, limit: 9, in: 'shop' })).units.map((u) => u.id)).toEqual(ids.slice(0, 2));
  expect((await unitsAfter(shop.db, { after: 0, limit: 9, in: 'left' })).units.map((u) => [u.id, u.exit])).toEqual([[ids[2], 'released']]);

  const all: number[] = [];
  for (let after: string | null = '0'; after !== null; ) {
    const page = await eventsAfter(shop.db, { after: Number(after), limit: 10 });
    expect(ReadEvents.safeParse(page).success).toBe(true);
    all.push(...page.events.map((e) => e.number));
    after = page.next;
  }
  expect(all).toEqual([...all].sort((a, b) => a - b));
  expect(new Set(all).size).toBe(all.length);
  // Whoever asks behind the last hears of what is done next, and of that alone.
  const next = await shop.book();
  const news = await eventsAfter(shop.db, { after: all.at(-1) ?? 0, limit: 10 });
  expect(news.events.map((e) => [e.unitId, e.kind, e.by])).toEqual([[next, 'booked-in', 'Cas']]);
});

test('a unit’s record is as its schema says, and tells nobody whom to call', async () => {
  const record = await shop.record(await shop.at('release', { customer: 'Widow Namely', phone: '0199 77' }));
  const read = readRecordOf(record);
  expect(ReadRecord.safeParse(read).error?.issues ?? []).toEqual([]);
  expect([read.verdicts[0]?.outcome, read.gaugings.length, read.runs.every((r) => r.outcome === 'pass')]).toEqual(['reuse', 1, true]);
  expect(JSON.stringify(read)).not.toMatch(/Namely|0199/);
});

test('a unit’s file holds every row and event of it, names nobody, and is as its published schema says', async () => {
  const unitId = await shop.at('release', { customer: 'Widow Namely', phone: '0199 77' });
  await shop.worker(unitId).release();
  const record = await shop.record(unitId);
  const file = await unitFileOf(shop.db, record, 'Test Works', START);
  const again = UnitFile.safeParse(JSON.parse(JSON.stringify(file)));
  expect(again.error?.issues ?? []).toEqual([]);
  expect(JSON.stringify(file)).not.toMatch(/Namely|0199 77|"tess"|"lena"|"cas"/);
  expect(new Set(file.events.map((e) => e.by))).toEqual(new Set(['person 1', 'person 2', 'person 3']));
  const kept = {
    parts: record.tray,
    gaugings: record.gaugings,
    verdicts: record.verdicts,
    steps: record.steps,
    runs: record.runs,
    bags: record.setAside,
  };
  for (const [name, rows] of Object.entries(kept)) expect([name, file.rows[name]?.length]).toEqual([name, rows.length]);
  expect(file.rows.readings?.length).toBe(record.gaugings.reduce((n, g) => n + g.readings.length, 0));
  // What was measured is in it, sample by sample.
  expect(file.rows.runs?.every((r) => Array.isArray(r.samples) && r.samples.length > 10)).toBe(true);
  const events = await shop.db.select().from(unitEvents).where(eq(unitEvents.unitId, unitId));
  expect(file.events.map((e) => e.version)).toEqual(events.map((e) => e.version).sort((a, b) => a - b));
  const schema = unitFileSchema() as { readonly required: readonly string[] };
  expect([...schema.required].sort()).toEqual(['eddrin', 'events', 'exportedAt', 'rows', 'shop', 'unit', 'version']);
});

test('a file comes into another shop whole, once, as a life of its own; this shop’s own is told apart', async () => {
  const record = await shop.record(await shop.at('judge'));
  const file = await unitFileOf(shop.db, record, 'Works Elsewhere', START);
  const by = { personId: PEOPLE.counter.id, at: START };
  const taken = await takeForeign(shop.db, by, file, 'Test Works');
  expect(await takeForeign(shop.db, by, file, 'Test Works')).toEqual(taken);
  expect((await takeForeign(shop.db, by, { ...file, shop: 'Test Works' }, 'Test Works')).ok).toBe(false);
  const { lines, inAll } = await foreignLines(shop.db);
  expect([lines.map((l) => [l.tag, l.shop]), inAll]).toEqual([[[file.unit.tag, 'Works Elsewhere']], 1]);
  // Nothing of it was lost on the way, and nothing of it is among the shop's own units.
  expect(await foreignLife(shop.db, lines[0]?.id ?? '')).toEqual(JSON.parse(JSON.stringify(file)));
  expect((await unitsAfter(shop.db, { after: 0, limit: 500, in: 'all' })).units.filter((u) => u.id === file.unit.id)).toHaveLength(1);
});

test('photos of a life come in from their zip: those that its file names, as pictures, once; they are the shop’s to keep and to back up', async () => {
  const unitId = await shop.at('judge');
  const picture = (background: string) =>
    sharp({ create: { width: 90, height: 60, channels: 3, background } })
      .webp()
      .toBuffer();
  const hang = async (background: string): Promise<string> => {
    const change = await shop.change(unitId, 'photo-added');
    const photo = { caption: 'the bore', bytes: await picture(background), on: { kind: 'unit', id: '' }, phase: 'out' } as const;
    expect((await addPhoto(shop.db, change, photo)).ok).toBe(true);
    return change.eventId;
  };
  const ids = [await hang('#345'), await hang('#543')];
  const file = await unitFileOf(shop.db, await shop.record(unitId), 'Works Far Away', START);
  const taken = await takeForeign(shop.db, { personId: PEOPLE.counter.id, at: START }, file, 'Test Works');
  const life = taken.ok ? taken.value.id : '';
  const files = Object.fromEntries(
    await Promise.all(ids.map(async (id) => [`${id}.webp`, new Uint8Array((await photoBytes(shop.db, id, 'full')) ?? [])] as const)),
  );
  const stranger = new Uint8Array(await picture('#fff'));
  const zip = unzipPhotos(zipSync({ ...files, 'stranger.webp': stranger, 'readme.txt': strToU8('hello') }, { level: 0 }));
  if (!zip.ok) throw new Error(zip.error);
  expect(await takeForeignPhotos(shop.db, life, zip.value)).toEqual({
    ok: true,
    value: { taken: 2, left: ['stranger is no photo of this unit.'] },
  });
  // Sent again, nothing is there twice.
  expect(await takeForeignPhotos(shop.db, life, zip.value)).toMatchObject({ value: { taken: 0 } });
  const here = await foreignPhotosOf(shop.db, life);
  expect(here.map((p) => p.photoId).sort()).toEqual([...ids].sort());
  for (const { id } of here) expect((await sharp((await photoBytes(shop.db, id, 'small')) as Uint8Array).metadata()).width).toBe(90);
  const hashes = (await shop.db.all<{ hash: string }>(sql`select hash from foreign_photos`)).map((r) => r.hash);
  const client = createClient({ url: process.env.DATABASE_URL ?? '' });
  const backedUp = await photoHashesIn(client);
  client.close();
  for (const hash of hashes) expect(backedUp).toContain(hash);

  expect(await takeForeignPhotos(shop.db, life, [{ id: ids[0] as string, bytes: strToU8('<svg onload=alert(1)>') }])).toMatchObject({
    value: { taken: 0, left: [expect.stringMatching(/carries more than a picture/)] },
  });
  expect(await takeForeignPhotos(shop.db, 'nobody', zip.value)).toEqual({ ok: false, error: 'There is no such life.' });
});

test('a zip that is none, is empty, or holds more than it may, is refused before it is unpacked', () => {
  expect(unzipPhotos(strToU8('no zip at all'))).toEqual({ ok: false, error: 'That is no zip, or it is damaged.' });
  expect(unzipPhotos(zipSync({ 'a.txt': strToU8('x') }))).toEqual({ ok: false, error: 'There are no photos in it.' });
  const many = Object.fromEntries(Array.from({ length: 201 }, (_, i) => [`${i}.webp`, strToU8('x')]));
  expect(unzipPhotos(zipSync(many))).toEqual({ ok: false, error: 'It holds 201 photos; 200 are taken in at once.' });
  // 120 MB of nothing, in a file of some hundred kB.
  const bomb = zipSync({ 'a.webp': new Uint8Array(120 * 1024 * 1024) });
  expect(bomb.length).toBeLessThan(1024 * 1024);
  expect(unzipPhotos(bomb)).toEqual({ ok: false, error: 'Its photos are more than 100 MB.' });
});
