import { desc, eq } from 'drizzle-orm';
import { fail, ok, type Result } from '@/core/result';
import { forecastOf, type ImportRecord } from '@/core/store/import-record';
import type { Db, Reader } from '../engine/connection';
import { NUMBER_TAKEN } from '../engine/number-taken';
import { imports, people } from '../tables';
import type { By, ImportPlan, Progress } from './import-plan';
import type { StockError } from './stock';

/** Writes a planned file in one transaction, and keeps what takes it back. Sent twice with one id it is there once; another file under that id is refused. */
export const writeImport = (
  db: Db,
  by: By & { readonly what: string; readonly file: string },
  plan: ImportPlan,
  told: Progress,
): Promise<Result<{ readonly added: number; readonly changed: number }, StockError>> =>
  db.transaction(async (tx) => {
    const fated = forecastOf(plan.fates).counts;
    const counts = { added: fated.new, changed: fated.changed };
    const repeated = await repeatOf(tx, by);
    if (repeated !== undefined) return repeated;
    const undo = await plan.write(tx, by, told);
    const { importId: id, person, at, what, file } = by;
    await tx.insert(imports).values({ id, what, file, at, personId: person.id, ...counts, undo, undoneAt: null });
    return ok(counts);
  });

/** What a file of this id came to, where it was written before; undefined where it is new. */
export const repeatOf = async (
  db: Reader,
  { importId, what, file, person }: Pick<By, 'importId' | 'person'> & { readonly what: string; readonly file: string },
): Promise<Result<{ readonly added: number; readonly changed: number }, StockError> | undefined> => {
  const [row] = await db.select().from(imports).where(eq(imports.id, importId));
  if (row === undefined) return undefined;
  const same = row.what === what && row.file === file && row.personId === person.id;
  return same ? ok({ added: row.added, changed: row.changed }) : fail({ code: 'refused', reasons: [NUMBER_TAKEN] });
};

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
