import { existsSync, readdirSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import sharp from 'sharp';
import { beforeAll, describe, expect, test } from 'vitest';
import { addPhoto, photoFile, photoHash, storePhoto } from '@/db/stations/photos';
import { openShop, PEOPLE, type Shop } from './shop';

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});

const picture = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#7a4a2a' } })
    .jpeg()
    .withExif({ IFD0: { Artist: 'somebody', ImageDescription: 'at home' } })
    .toBuffer();

describe('a photo', () => {
  test('is re-encoded, made no larger than is of use, and keeps nothing of where it came from', async () => {
    const original = await picture(4000, 3000);
    expect((await sharp(original).metadata()).exif).toBeDefined();
    const hash = await storePhoto(original);
    const stored = await sharp(await readFile(photoFile(hash as string))).metadata();
    expect([stored.format, stored.width, stored.height, stored.exif]).toEqual(['webp', 1600, 1200, undefined]);
  });

  test('that is small is not blown up; the same one is stored once', async () => {
    const small = await picture(64, 48);
    const [one, two] = [await storePhoto(small), await storePhoto(small)];
    expect(one).toBe(two);
    expect((await sharp(await readFile(photoFile(one as string))).metadata()).width).toBe(64);
    expect(readdirSync(join(shop.folder, 'photos')).filter((f) => f.endsWith('.part'))).toEqual([]);
  });

  test.each([
    ['text', Buffer.from('not a picture at all')],
    ['nothing', Buffer.alloc(0)],
    ['half a picture’s head', Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16])],
  ])('%s is refused', async (_, bytes) => expect(await storePhoto(bytes)).toBeUndefined());

  test('hangs on the unit, or on one of its parts', async () => {
    const unitId = await shop.book();
    const bytes = await picture(64, 48);
    const first = await shop.change(unitId, 'photo-added', PEOPLE.counter, { version: null });
    await addPhoto(shop.db, first, { caption: 'as it came', bytes, partId: null });
    const second = await shop.change(unitId, 'photo-added', PEOPLE.tech, { version: null });
    await addPhoto(shop.db, second, { caption: 'left boot', bytes, partId: `${unitId}-left-boot` });
    const { photos, tray } = await shop.record(unitId);
    expect(photos.map((p) => p.caption)).toEqual(['as it came', 'left boot']);
    expect(tray.find((p) => p.slotId === 'left-boot')?.photoId).toBe(second.eventId);
    const hash = await photoHash(shop.db, second.eventId);
    expect(existsSync(photoFile(hash as string))).toBe(true);
  });

  test('of a part that is not on this tray is refused', async () => {
    const unitId = await shop.book();
    const change = await shop.change(unitId, 'photo-added', PEOPLE.tech, { version: null });
    const result = await addPhoto(shop.db, change, { caption: '', bytes: await picture(64, 48), partId: 'elsewhere' });
    expect(result).toEqual({ ok: false, error: { code: 'refused', reasons: ['There is no such part on this tray.'] } });
  });

  test('may still be added when the unit has left', async () => {
    const unitId = await shop.book();
    const { leave } = await import('@/db/stations/sign-off');
    await leave(shop.db, await shop.change(unitId, 'exited', PEOPLE.lead), 'returned');
    const change = await shop.change(unitId, 'photo-added', PEOPLE.tech, { version: null });
    expect((await addPhoto(shop.db, change, { caption: 'as it went', bytes: await picture(64, 48), partId: null })).ok).toBe(true);
  });
});
