import { tagOf } from '@/core/unit/unit-record';
import type { Db } from '@/db/engine/connection';
import { onTheRack } from '@/db/rack/rack';
import { photos } from '@/db/tables';

/** Hangs two hundred photos on a unit at Strip. @returns its tag */
export async function withManyPhotos(db: Db): Promise<string> {
  const unit = (await onTheRack(db)).units.filter((t) => t.station === 'strip').at(-1);
  if (unit === undefined) throw new Error('no unit at Strip');
  const row = {
    unitId: unit.id,
    hash: 'none',
    caption: 'one of many',
    personId: 'joss-tarrow',
    onKind: 'unit',
    onId: unit.id,
    phase: 'out',
  } as const;
  await db.insert(photos).values(Array.from({ length: 200 }, (_, i) => ({ ...row, id: `many-${i}`, at: i })));
  return tagOf(unit);
}
