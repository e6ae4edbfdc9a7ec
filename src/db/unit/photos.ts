import { createHash } from 'node:crypto';
import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import { fail, ok, type Result } from '@/core/result';
import type { Photo, PhotoSubject } from '@/core/unit/photo';
import type { UnitRecord } from '@/core/unit/unit-record';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db, Reader } from '../engine/connection';
import { put } from '../engine/edit';
import { type PhotoSize, photoName, photoStore } from '../photo/photo-store';
import { foreignPhotos, photos } from '../tables';

/** Longest sides that are kept, pixels: the picture, and its small form for lists. */
const SIDES_PX: Readonly<Record<PhotoSize, number>> = { full: 1600, small: 320 };
const MOST_PIXELS = 60_000_000;
/** What a camera or a scanner makes; drawings that can carry scripts are not among them. */
const FORMATS: readonly string[] = ['jpeg', 'png', 'webp', 'heif', 'tiff', 'gif'];

export type NewPhoto = {
  readonly caption: string;
  readonly bytes: Uint8Array;
  readonly on: PhotoSubject;
  readonly phase: Photo['phase'];
};

/** Re-encodes a picture (which sniffs its type and strips its metadata), stores it by hash, and hangs it on the unit or on one thing of it. */
export async function addPhoto(db: Db, change: Change, photo: NewPhoto): Promise<Result<Changed, ChangeError>> {
  const stored = await storePhoto(photo.bytes);
  if (!stored.ok) return fail({ code: 'refused', reasons: [stored.error] });
  const result = await changeUnit(db, change, (record, at) => {
    const missing = subjectMissing(record, photo.on);
    if (missing !== undefined) return refused(missing);
    const { caption, on, phase } = photo;
    return ok([
      put('photos', {
        id: change.eventId,
        unitId: record.unit.id,
        hash: stored.value,
        caption,
        at,
        personId: change.person.id,
        onKind: on.kind,
        onId: on.id,
        phase,
      }),
    ]);
  });
  if (!result.ok) await forget(db, stored.value);
  return result;
}

/** Why a photo cannot hang there; undefined when it can. */
const subjectMissing = (record: UnitRecord, on: PhotoSubject): string | undefined => {
  switch (on.kind) {
    case 'unit':
    case 'step':
      return undefined;
    case 'part':
      return record.tray.some((p) => p.id === on.id) ? undefined : 'There is no such part on this tray.';
    case 'proof':
      return record.programme.steps.some((s) => s.id === on.id) ? undefined : 'Its programme has no such step.';
    case 'mark':
      return record.marks.some((m) => m.id === on.id) ? undefined : 'There is no such mark; save the judgement first.';
  }
};

/** @returns the hash under which the picture lies, or why the bytes are not taken */
export async function storePhoto(bytes: Uint8Array): Promise<Result<string, string>> {
  const buffer = Buffer.from(bytes);
  if (/<(script|svg|html|\?php)[\s>]/i.test(buffer.toString('latin1')))
    return fail('That file carries more than a picture (a script or a page in it): it is not taken.');
  if (buffer.length === 0) return fail('That file is empty.');
  const format = await sharp(buffer)
    .metadata()
    .then((m) => m.format)
    .catch(() => undefined);
  if (format === undefined || !FORMATS.includes(format)) return fail('That file is not a picture that can be read (JPEG, PNG, WebP).');
  const [full, small] = await Promise.all([encoded(buffer, SIDES_PX.full), encoded(buffer, SIDES_PX.small)]);
  if (full === undefined || small === undefined) return fail('That picture is damaged or cut off: it is not taken.');
  const hash = createHash('sha256').update(full).digest('hex');
  const store = photoStore();
  // The small one first: where the whole picture is there, both are.
  await store.put(photoName(hash, 'small'), small);
  await store.put(photoName(hash), full);
  return ok(hash);
}

const encoded = (buffer: Buffer, sidePx: number): Promise<Buffer | undefined> =>
  sharp(buffer, { limitInputPixels: MOST_PIXELS })
    .rotate()
    .resize({ width: sidePx, height: sidePx, fit: 'inside', withoutEnlargement: true })
    .webp({ quality: 80, effort: 2 })
    .toBuffer()
    .catch(() => undefined);

/** Removes a picture that nothing refers to. */
const forget = async (db: Db, hash: string): Promise<void> => {
  const [used] = await db
    .select({ hash: photos.hash })
    .from(photos)
    .where(eq(photos.hash, hash))
    .union(db.select({ hash: foreignPhotos.hash }).from(foreignPhotos).where(eq(foreignPhotos.hash, hash)))
    .limit(1);
  const store = photoStore();
  if (used === undefined) await Promise.all([store.drop(photoName(hash)), store.drop(photoName(hash, 'small'))]);
};

/** The bytes of a photo, the shop's own or of a life of another; undefined when there is none, or it is gone. @throws what its store says */
export const photoBytes = async (db: Reader, id: string, size: PhotoSize): Promise<Uint8Array | undefined> => {
  const [own] = await db.select({ hash: photos.hash }).from(photos).where(eq(photos.id, id));
  const [row] =
    own === undefined ? await db.select({ hash: foreignPhotos.hash }).from(foreignPhotos).where(eq(foreignPhotos.id, id)) : [own];
  return row === undefined ? undefined : photoStore().get(photoName(row.hash, size));
};
