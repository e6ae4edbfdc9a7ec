import type { Lies } from '@/core/bore-map/underlay';
import { ok, type Result } from '@/core/result';
import { hasPot, noPot } from '@/core/unit/bores';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db } from '../engine/connection';
import { drop, put } from '../engine/edit';

/** Lays a photo of the unit under the map of one of its bores, in place of any that lies there; null takes it away. */
export const layPhoto = (
  db: Db,
  change: Change,
  laid: { readonly photoId: string; readonly lies: Lies } | null,
  pot = 1,
): Promise<Result<Changed, ChangeError>> => {
  const id = `${change.unitId}-underlay${pot === 1 ? '' : `-${pot}`}`;
  return changeUnit(db, { ...change, restsOn: [id] }, (record) => {
    if (!hasPot(record.unit, pot)) return refused(noPot(pot));
    if (laid === null) return ok(record.underlays.some((u) => u.id === id) ? [drop('underlays', id)] : []);
    if (!record.photos.some((p) => p.id === laid.photoId)) return refused('That photo is not of this unit.');
    const { photoId, lies } = laid;
    return ok([put('underlays', { id, unitId: record.unit.id, pot, photoId, points: lies.kind === 'wall' ? lies.points : lies })]);
  });
};
