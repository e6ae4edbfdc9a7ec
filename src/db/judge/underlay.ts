import type { FixedPoint } from '@/core/judge/underlay';
import { ok, type Result } from '@/core/result';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db } from '../engine/connection';
import { drop, put } from '../engine/edit';

/** Lays a photo of the unit under its bore map, in place of any that lies there; null takes it away. */
export const layPhoto = (
  db: Db,
  change: Change,
  laid: { readonly photoId: string; readonly points: readonly FixedPoint[] } | null,
): Promise<Result<Changed, ChangeError>> => {
  const id = `${change.unitId}-underlay`;
  return changeUnit(db, { ...change, restsOn: [id] }, (record) => {
    if (laid === null) return ok(record.underlay === null ? [] : [drop('underlays', id)]);
    if (!record.photos.some((p) => p.id === laid.photoId)) return refused('That photo is not of this unit.');
    return ok([put('underlays', { id, unitId: record.unit.id, ...laid })]);
  });
};
