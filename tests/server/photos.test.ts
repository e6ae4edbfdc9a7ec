import { existsSync, readdirSync, writeFileSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import sharp from 'sharp';
import { beforeAll, describe, expect, test } from 'vitest';
import type { PhotoSubject } from '@/core/unit/photo';
import { type PhotoSize, photoName, photoStore } from '@/db/photo/photo-store';
import { addPhoto, photoBytes, storePhoto } from '@/db/unit/photos';
import { leave } from '@/db/unit/sign-off';
import { openShop, PEOPLE, type Shop } from './shop';

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});

const picture = (width: number, height: number, background = '#7a4a2a') =>
  sharp({ create: { width, height, channels: 3, background } })
    .jpeg()
    .withExif({ IFD0: { Artist: 'somebody', ImageDescription: 'at home' } })
    .toBuffer();
const stored = async (bytes: Uint8Array): Promise<string> => {
  const result = await storePhoto(bytes);
  if (!result.ok) throw new Error(result.error);
  return result.value;
};
const hang = async (unitId: string, on: PhotoSubject, more: { readonly bytes?: Uint8Array; readonly caption?: string } = {}) => {
  const change = await shop.change(unitId, 'photo-added', PEOPLE.tech, { version: null });
  const { bytes = await picture(64, 48), caption = '' } = more;
  return { change, result: await addPhoto(shop.db, change, { caption, bytes, on, phase: 'out' }) };
};
const photoFile = (hash: string, size: PhotoSize = 'full'): string => join(shop.folder, 'photos', photoName(hash, size));
const files = (): readonly string[] => (existsSync(join(shop.folder, 'photos')) ? readdirSync(join(shop.folder, 'photos')) : []);

describe('a photo', () => {
  test('is re-encoded, made no larger than is of use, kept small for lists too, and keeps nothing of where it came from', async () => {
    const original = await picture(4000, 3000);
    expect((await sharp(original).metadata()).exif).toBeDefined();
    const hash = await stored(original);
    const full = await sharp(await readFile(photoFile(hash))).metadata();
    expect([full.format, full.width, full.height, full.exif]).toEqual(['webp', 1600, 1200, undefined]);
    const small = await sharp(await readFile(photoFile(hash, 'small'))).metadata();
    expect([small.format, small.width, small.height]).toEqual(['webp', 320, 240]);
  });

  test('that is small is not blown up; the same one is stored once', async () => {
    const small = await picture(64, 48);
    const [one, two] = [await stored(small), await stored(small)];
    expect(one).toBe(two);
    expect((await sharp(await readFile(photoFile(one))).metadata()).width).toBe(64);
    expect(files().filter((f) => f.endsWith('.part'))).toEqual([]);
  });

  test.each([
    ['text', Buffer.from('not a picture at all'), /not a picture/],
    ['nothing', Buffer.alloc(0), /empty/],
    ['half a picture’s head', Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16]), /not a picture|damaged/],
    ['a drawing', Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><rect width="9" height="9"/></svg>'), /script or a page/],
    ['a drawing with a script', Buffer.from('<?xml version="1.0"?><svg onload="x()"><script>x()</script></svg>'), /script or a page/],
    ['a page', Buffer.from('<!doctype html><html><body></body></html>'), /script or a page/],
    ['a paper', Buffer.from('%PDF-1.7\n1 0 obj\n<<>>\nendobj'), /not a picture/],
  ])('%s is refused, and says so', async (_, bytes, why) => {
    const before = files();
    const result = await storePhoto(bytes);
    expect(result.ok ? '' : result.error).toMatch(why);
    expect(files()).toEqual(before);
  });

  test('that carries a script behind its picture is refused', async () => {
    const result = await storePhoto(Buffer.concat([await picture(64, 48), Buffer.from('<script>alert(1)</script>')]));
    expect(result.ok ? '' : result.error).toMatch(/more than a picture/);
  });

  test('that was cut off half-way is refused, leaves nothing behind, and arrives when it is sent whole under the same id', async () => {
    const unitId = await shop.book();
    const whole = await sharp({
      create: { width: 900, height: 700, channels: 3, background: '#123456', noise: { type: 'gaussian', mean: 120, sigma: 60 } },
    })
      .png()
      .toBuffer();
    const before = files();
    const change = await shop.change(unitId, 'photo-added', PEOPLE.tech, { version: null });
    const photo = { caption: 'bore', on: { kind: 'unit', id: unitId }, phase: 'out' } as const;
    const cut = await addPhoto(shop.db, change, { ...photo, bytes: whole.subarray(0, whole.length / 2) });
    expect(cut).toMatchObject({ ok: false, error: { code: 'refused' } });
    expect(files()).toEqual(before);
    expect((await shop.record(unitId)).photos).toEqual([]);
    expect((await addPhoto(shop.db, change, { ...photo, bytes: whole })).ok).toBe(true);
    expect((await addPhoto(shop.db, change, { ...photo, bytes: whole })).ok).toBe(true);
    expect((await shop.record(unitId)).photos.map((p) => p.caption)).toEqual(['bore']);
  });

  test('what a crash left half written is swept away at the next start, whole ones stay', async () => {
    const hash = await stored(await picture(80, 60));
    writeFileSync(join(shop.folder, 'photos', 'abc.webp.part'), 'half');
    await photoStore().sweep();
    expect(files().filter((f) => f.endsWith('.part'))).toEqual([]);
    expect(existsSync(photoFile(hash))).toBe(true);
  });
});

describe('where a photo hangs', () => {
  test('on the unit, a part, or a step of the guide', async () => {
    const unitId = await shop.book();
    await hang(unitId, { kind: 'unit', id: unitId }, { caption: 'as it came' });
    await hang(unitId, { kind: 'step', id: 'shoe-side' }, { caption: 'both ends' });
    const { change } = await hang(unitId, { kind: 'part', id: `${unitId}-left-boot` }, { caption: 'left boot' });
    const { photos } = await shop.record(unitId);
    expect(photos.map((p) => [p.caption, p.onKind, p.phase])).toEqual([
      ['as it came', 'unit', 'out'],
      ['both ends', 'step', 'out'],
      ['left boot', 'part', 'out'],
    ]);
    expect((await photoBytes(shop.db, change.eventId, 'small'))?.length).toBeGreaterThan(20);
    expect(await photoBytes(shop.db, 'nobody', 'small')).toBeUndefined();
  });

  test.each<[string, PhotoSubject]>([
    ['a part that is not on this tray', { kind: 'part', id: 'elsewhere' }],
    ['a mark that nobody saved', { kind: 'mark', id: 'm9' }],
  ])('%s: refused, and its file does not stay', async (_, on) => {
    const unitId = await shop.book();
    const before = files();
    const { result } = await hang(unitId, on, { bytes: await picture(70 + on.kind.length, 50, '#224466') });
    expect(result).toMatchObject({ ok: false, error: { code: 'refused' } });
    expect(files()).toEqual(before);
  });

  test('a file that another photo uses stays when one is refused', async () => {
    const unitId = await shop.book();
    const bytes = await picture(90, 45, '#0a0b0c');
    await hang(unitId, { kind: 'unit', id: unitId }, { bytes });
    await hang(unitId, { kind: 'part', id: 'elsewhere' }, { bytes });
    expect(existsSync(photoFile(await stored(bytes)))).toBe(true);
  });

  test('one may still be added when the unit has left', async () => {
    const unitId = await shop.book();
    await leave(shop.db, await shop.change(unitId, 'exited', PEOPLE.lead), 'returned');
    expect((await hang(unitId, { kind: 'unit', id: unitId }, { caption: 'as it went' })).result.ok).toBe(true);
  });
});
