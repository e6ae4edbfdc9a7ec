import { fail, ok, type Result } from '@/core/result';
import type { StoreRows } from '@/core/store/store-rows';
import type { Db } from '../engine/connection';
import { repeatOf, writeImport } from './import-file';
import { planImport } from './import-plan';
import type { StockChange, StockError } from './stock';

/**
 * One row entered by hand: as a file of one line, so that it is held against the store in the same way, told of in the same list, and taken back by it.
 * @param as a new row may not take the place of one that is there
 */
export async function enterByHand(
  db: Db,
  { id, person, at }: StockChange,
  { as, name, file }: { readonly as: 'new' | 'known'; readonly name: string; readonly file: StoreRows },
): Promise<Result<{ readonly name: string }, StockError>> {
  const by = { importId: id, person, at, what: file.what, file: `${name}, by hand` };
  const repeated = await repeatOf(db, by);
  if (repeated !== undefined) return repeated.ok ? ok({ name }) : repeated;
  const plan = await planImport(db, file);
  if (!plan.ok) return fail({ code: 'refused', reasons: plan.error.map((p) => `${p.column}: ${p.message}.`) });
  if (as === 'new' && plan.value.fates.some((f) => f.fate !== 'new'))
    return fail({ code: 'refused', reasons: [`There is a ${name} in the store already.`] });
  const written = await writeImport(db, by, plan.value, () => undefined);
  return written.ok ? ok({ name }) : written;
}
