import { createHash } from 'node:crypto';
import { mkdir, rename, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import { fail, ok, type Result } from '@/core/result';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../change-unit';
import { type Db, dataFolder, type Reader } from '../connection';
import { type Edit, put } from '../event-payload';
import { photos } from '../tables';

/** Longest side that is kept, pixels. */
const LONGEST_PX = 1600;
const MOST_PIXELS = 60_000_000;

/** Where a photo's bytes lie: by the hash of what was re-encoded, outside any served folder. */
export const photoFile = (hash: string): string => join(dataFolder(), 'photos', `${hash}.webp`);

export type NewPhoto = { readonly caption: string; readonly bytes: Uint8Array; readonly partId: string | null };

/** Re-encodes a picture (which sniffs its type and strips its metadata), stores it by hash, and hangs it on the unit or on one part. */
export async function addPhoto(db: Db, change: Change, photo: NewPhoto): Promise<Result<Changed, ChangeError>> {
  const hash = await storePhoto(photo.bytes);
  if (hash === undefined) return fail({ code: 'refused', reasons: ['That file is not a picture that can be read (JPEG, PNG, WebP).'] });
  return changeUnit(db, change, (record, at) => {
    const row = { id: change.eventId, unitId: record.unit.id, hash, caption: photo.caption, at, personId: change.person.id };
    const edits: Edit[] = [put('photos', row)];
    if (photo.partId !== null) {
      const seq = record.tray.findIndex((p) => p.id === photo.partId);
      const part = record.tray[seq];
      if (part === undefined) return refused('There is no such part on this tray.');
      edits.push(put('parts', { ...part, photoId: row.id, unitId: record.unit.id, seq }));
    }
    return ok(edits);
  });
}

/** @returns the hash under which the picture lies, undefined when the bytes are no picture */
export async function storePhoto(bytes: Uint8Array): Promise<string | undefined> {
  if (bytes.length === 0) return undefined;
  const encoded = await sharp(bytes, { limitInputPixels: MOST_PIXELS })
    .rotate()
    .resize({ width: LONGEST_PX, height: LONGEST_PX, fit: 'inside', withoutEnlargement: true })
    .webp({ quality: 80 })
    .toBuffer()
    .catch(() => undefined);
  if (encoded === undefined) return undefined;
  const hash = createHash('sha256').update(encoded).digest('hex');
  const file = photoFile(hash);
  await mkdir(join(dataFolder(), 'photos'), { recursive: true });
  // Written beside and renamed, so that a crash leaves no half picture under a whole one's name.
  await writeFile(`${file}.part`, encoded);
  await rename(`${file}.part`, file);
  return hash;
}

export const photoHash = async (db: Reader, id: string): Promise<string | undefined> => {
  const [row] = await db.select({ hash: photos.hash }).from(photos).where(eq(photos.id, id));
  return row?.hash;
};
