import { existsSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { checkShop } from '@/db/backup/check-shop';
import { makeBackup } from '@/db/backup/make-backup';
import { restoreBackup } from '@/db/backup/restore';
import { photoStore } from '@/db/photo/photo-store';
import { addPhoto, photoBytes } from '@/db/unit/photos';
import { type StandIn, startStandIn } from './far';
import { openShop, PEOPLE, type Shop, START } from './shop';

// A shop whose photos lie in an S3-compatible store: the same work, through signed requests.

const KEY = { EDDRIN_STORE_KEY: 'shop', EDDRIN_STORE_SECRET: 'a secret of the store' };
let shop: Shop;
const [stores, photos]: [StandIn[], string[]] = [[], []];
const use = (store: StandIn, secret = KEY.EDDRIN_STORE_SECRET): void => {
  Object.assign(process.env, { EDDRIN_PHOTOS: store.url, EDDRIN_PHOTOS_KEY: KEY.EDDRIN_STORE_KEY, EDDRIN_PHOTOS_SECRET: secret });
};
const start = async (env: Readonly<Record<string, string>> = {}): Promise<StandIn> => {
  const store = await startStandIn('devices/photos/server.ts', { ...KEY, ...env });
  stores.push(store);
  return store;
};
const picture = (background: string) =>
  sharp({ create: { width: 90, height: 60, channels: 3, background } })
    .jpeg()
    .toBuffer();
const hang = async (unitId: string, background: string, on: 'unit' | 'part' = 'unit') => {
  const change = await shop.change(unitId, 'photo-added', PEOPLE.tech, { version: null });
  const result = await addPhoto(shop.db, change, {
    caption: '',
    bytes: await picture(background),
    on: { kind: on, id: unitId },
    phase: 'out',
  });
  return { id: change.eventId, result };
};

let unitId = '';
beforeAll(async () => {
  shop = await openShop('eddrin.db');
  unitId = await shop.book();
  use(await start());
}, 60_000);
afterAll(() => {
  for (const store of stores) store.stop();
  for (const name of ['EDDRIN_PHOTOS', 'EDDRIN_PHOTOS_KEY', 'EDDRIN_PHOTOS_SECRET']) delete process.env[name];
});

describe('photos in a store', () => {
  test('lie there, both sizes, and in no folder', async () => {
    const { id, result } = await hang(unitId, '#224466');
    expect(result.ok).toBe(true);
    const [full, small] = [await photoBytes(shop.db, id, 'full'), await photoBytes(shop.db, id, 'small')];
    expect([(await sharp(full).metadata()).width, (await sharp(small).metadata()).width]).toEqual([90, 90]);
    expect(existsSync(join(shop.folder, 'photos'))).toBe(false);
    photos.push(id);
  });

  test('one that is refused does not stay', async () => {
    const names: string[] = [];
    const { put, drop, ...store } = photoStore();
    expect((await hang(unitId, '#aa2211', 'part')).result).toMatchObject({ ok: false, error: { code: 'refused' } });
    // The same bytes give the same name: it is asked for as it would have been kept.
    const bytes = await sharp(await picture('#aa2211'))
      .rotate()
      .resize({ width: 1600, height: 1600, fit: 'inside', withoutEnlargement: true })
      .webp({ quality: 80, effort: 2 })
      .toBuffer();
    const hash = (await import('node:crypto')).createHash('sha256').update(bytes).digest('hex');
    for (const name of [`${hash}.webp`, `${hash}.small.webp`]) if ((await store.get(name)) !== undefined) names.push(name);
    expect(names).toEqual([]);
    await put(`${hash}.webp`, bytes);
    expect(await store.get(`${hash}.webp`)).toHaveLength(bytes.length);
    await drop(`${hash}.webp`);
    expect(await store.get(`${hash}.webp`)).toBeUndefined();
  });

  test('a wrong secret, a store that is not there or cannot now: told, and nothing hangs on the unit', async () => {
    const before = (await shop.record(unitId)).photos.length;
    const [good, busy] = [stores[0] as StandIn, await start({ EDDRIN_STORE_FAILS: '1' })];
    use(good, 'another secret');
    await expect(hang(unitId, '#010203')).rejects.toThrow(/403.*SignatureDoesNotMatch/s);
    use(busy);
    await expect(hang(unitId, '#010203')).rejects.toThrow(/503/);
    busy.stop();
    await expect(hang(unitId, '#010203')).rejects.toThrow(/fetch failed/);
    use({ ...good, url: good.url.replace(/photos$/, 'pictures') });
    await expect(hang(unitId, '#010203')).rejects.toThrow(/no bucket/);
    expect((await shop.record(unitId)).photos.length).toBe(before);
    use(good);
  }, 60_000);
});

test('a backup has them in it; restored, they go to the store of the new place, and the shop is whole', async () => {
  const file = join(shop.folder, 'b.tar');
  // The backup copies the file of the shop's folder.
  const manifest = await makeBackup(shop.folder, file, () => undefined, START);
  expect(manifest.files.filter((f) => f.name.startsWith('photos/')).length).toBe(2);
  use(await start());
  expect(await checkShop(shop.folder)).toEqual([expect.stringMatching(/^1 photos are missing/)]);
  const elsewhere = join(shop.folder, 'elsewhere');
  expect((await restoreBackup(file, elsewhere, START)).ok).toBe(true);
  expect([await checkShop(elsewhere), existsSync(join(elsewhere, 'photos'))]).toEqual([[], false]);
  expect((await photoBytes(shop.db, photos[0] as string, 'full'))?.length).toBeGreaterThan(20);
}, 60_000);
