import { createHash } from 'node:crypto';
import { mkdir, readdir, rename, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import { fail, ok, type Result } from '@/core/result';
import type { Photo, PhotoSubject } from '@/core/unit/photo';
import type { UnitRecord } from '@/core/unit/unit-record';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import { type Db, dataFolder, type Reader } from '../engine/connection';
import { put } from '../engine/edit';
import { photos } from '../tables';

/** Longest sides that are kept, pixels: the picture, and its small form for lists. */
const SIDES_PX = { full: 1600, small: 320 } as const;
export type PhotoSize = keyof typeof SIDES_PX;
const MOST_PIXELS = 60_000_000;
/** What a camera or a scanner makes; drawings that can carry scripts are not among them. */
const FORMATS: readonly string[] = ['jpeg', 'png', 'webp', 'heif', 'tiff', 'gif'];

const photoFolder = (): string => join(dataFolder(), 'photos');
/** Where a photo's bytes lie: by the hash of what was re-encoded, outside any served folder. */
export const photoFile = (hash: string, size: PhotoSize = 'full'): string =>
  join(photoFolder(), `${hash}${size === 'small' ? '.small' : ''}.webp`);

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
  await mkdir(photoFolder(), { recursive: true });
  // The small one first: where the whole picture is there, both are.
  await writeWhole(photoFile(hash, 'small'), small);
  await writeWhole(photoFile(hash), full);
  return ok(hash);
}

const encoded = (buffer: Buffer, sidePx: number): Promise<Buffer | undefined> =>
  sharp(buffer, { limitInputPixels: MOST_PIXELS })
    .rotate()
    .resize({ width: sidePx, height: sidePx, fit: 'inside', withoutEnlargement: true })
    .webp({ quality: 80, effort: 2 })
    .toBuffer()
    .catch(() => undefined);

/** Written beside and renamed, so that a crash leaves no half picture under a whole one's name. */
const writeWhole = async (file: string, bytes: Buffer): Promise<void> => {
  await writeFile(`${file}.part`, bytes);
  await rename(`${file}.part`, file);
};

/** Removes a picture that nothing refers to. */
const forget = async (db: Db, hash: string): Promise<void> => {
  const [used] = await db.select({ id: photos.id }).from(photos).where(eq(photos.hash, hash)).limit(1);
  if (used === undefined) await Promise.all([rm(photoFile(hash), { force: true }), rm(photoFile(hash, 'small'), { force: true })]);
};

/** Removes what a crash left half written. Called once, before anything is taken in. */
export const sweepPhotos = async (): Promise<void> => {
  const files = await readdir(photoFolder()).catch(() => []);
  await Promise.all(files.filter((f) => f.endsWith('.part')).map((f) => rm(join(photoFolder(), f), { force: true })));
};

export const photoHash = async (db: Reader, id: string): Promise<string | undefined> => {
  const [row] = await db.select({ hash: photos.hash }).from(photos).where(eq(photos.id, id));
  return row?.hash;
};
