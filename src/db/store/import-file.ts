import { desc, eq } from 'drizzle-orm';
import { forecastOf, type ImportRecord } from '@/core/store/import-record';
import type { Db, Reader } from '../engine/connection';
import { imports, people } from '../tables';
import type { By, ImportPlan, Progress } from './import-plan';

/** Writes a planned file in one transaction, and keeps what takes it back. Sent twice with one id it is there once. */
export const writeImport = (
  db: Db,
  by: By & { readonly what: string; readonly file: string },
  plan: ImportPlan,
  told: Progress,
): Promise<{ readonly added: number; readonly changed: number }> =>
  db.transaction(async (tx) => {
    const fated = forecastOf(plan.fates).counts;
    const counts = { added: fated.new, changed: fated.changed };
    const [repeated] = await tx.select({ id: imports.id }).from(imports).where(eq(imports.id, by.importId));
    if (repeated !== undefined) return counts;
    const undo = await plan.write(tx, by, told);
    const { importId: id, person, at, what, file } = by;
    await tx.insert(imports).values({ id, what, file, at, personId: person.id, ...counts, undo, undoneAt: null });
    return counts;
  });

/** Files that were taken in, the newest first. */
export const importsSoFar = (db: Reader): Promise<readonly ImportRecord[]> =>
  db
    .select({
      id: imports.id,
      what: imports.what,
      file: imports.file,
      at: imports.at,
      by: people.name,
      added: imports.added,
      changed: imports.changed,
      undoneAt: imports.undoneAt,
    })
    .from(imports)
    .leftJoin(people, eq(people.id, imports.personId))
    .orderBy(desc(imports.at))
    .limit(20);
