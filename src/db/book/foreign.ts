import { desc, eq, sql } from 'drizzle-orm';
import { UnitFile } from '@/core/book/unit-file';
import { fail, ok, type Result } from '@/core/result';
import { stored } from '@/core/schema/stored';
import type { Db, Reader } from '../engine/connection';
import { digestOf } from '../engine/digest';
import { foreignLives } from '../tables';

const Kept = stored(UnitFile);
/** Lives that are listed at once. */
const MOST = 200;

/** Takes a unit’s file of another shop in. The same one of the same moment is taken once. */
export async function takeForeign(
  db: Db,
  by: { readonly personId: string; readonly at: number },
  file: UnitFile,
  ownShop: string,
): Promise<Result<{ readonly id: string }, string>> {
  if (file.shop === ownShop) return fail('That file is of this shop: its unit is in the Book already.');
  const id = `foreign-${digestOf({ shop: file.shop, unit: file.unit.id, at: file.exportedAt })}`;
  await db
    .insert(foreignLives)
    .values({ id, tag: file.unit.tag.slice(0, 40), shop: file.shop, at: by.at, byId: by.personId, file })
    .onConflictDoNothing();
  return ok({ id });
}

export type ForeignLine = { readonly id: string; readonly tag: string; readonly shop: string; readonly at: number };
/** Lives of other shops, those that were taken in last first. */
export async function foreignLines(db: Reader): Promise<{ readonly lines: readonly ForeignLine[]; readonly inAll: number }> {
  const { id, tag, shop, at } = foreignLives;
  const [lines, [counted]] = await Promise.all([
    db.select({ id, tag, shop, at }).from(foreignLives).orderBy(desc(at)).limit(MOST),
    db.select({ n: sql<number>`count(*)` }).from(foreignLives),
  ]);
  return { lines, inAll: counted?.n ?? 0 };
}

export async function foreignLife(db: Reader, id: string): Promise<UnitFile | undefined> {
  const [row] = await db.select({ file: foreignLives.file }).from(foreignLives).where(eq(foreignLives.id, id));
  return Kept.safeParse(row?.file).data;
}
