import { eq } from 'drizzle-orm';
import { fail, ok, type Result } from '@/core/result';
import type { Db, Reader } from '../engine/connection';
import { digestOf } from '../engine/digest';
import { foreignPhotos } from '../tables';
import { storePhoto } from '../unit/photos';
import { foreignLife } from './foreign';

/** A picture as it lay in a zip: the id of its photo, and its bytes. */
export type Picture = { readonly id: string; readonly bytes: Uint8Array };

/**
 * Takes the photos of a life in that its file names; what it does not name, and what is no picture, is left out and told. Each is made anew,
 * as every photo is. @returns how many are there now that were not, and what was left out and why
 */
export async function takeForeignPhotos(
  db: Db,
  foreignId: string,
  pictures: readonly Picture[],
): Promise<Result<{ readonly taken: number; readonly left: readonly string[] }, string>> {
  const life = await foreignLife(db, foreignId);
  if (life === undefined) return fail('There is no such life.');
  const named = new Set((life.rows.photos ?? []).map((row) => String(row.id)));
  const left: string[] = [];
  let taken = 0;
  for (const { id: photoId, bytes } of pictures) {
    if (!named.has(photoId)) {
      left.push(`${photoId} is no photo of this unit.`);
      continue;
    }
    const hash = await storePhoto(bytes);
    if (!hash.ok) {
      left.push(`${photoId}: ${hash.error}`);
      continue;
    }
    const id = `foreign-${digestOf({ foreignId, photoId })}`;
    const { rowsAffected } = await db.insert(foreignPhotos).values({ id, foreignId, photoId, hash: hash.value }).onConflictDoNothing();
    taken += rowsAffected;
  }
  return ok({ taken, left });
}

/** Photos of a life that were taken in. */
export const foreignPhotosOf = (db: Reader, foreignId: string): Promise<readonly { readonly id: string; readonly photoId: string }[]> =>
  db.select({ id: foreignPhotos.id, photoId: foreignPhotos.photoId }).from(foreignPhotos).where(eq(foreignPhotos.foreignId, foreignId));
