import { desc } from 'drizzle-orm';
import type { Finding } from '@/core/book-in/finding';
import {
  type FinishedCounts,
  finishedCounts,
  type Likelihoods,
  STANDARD_LIKELIHOODS,
  StoredLikelihoodsSchema,
} from '@/core/book-in/likelihoods';
import type { Person } from '@/core/people/role';
import { ok, type Result } from '@/core/result';
import { CAUSES_SEEN } from '@/core/unit/teaches';
import { type Change, type Changed, type ChangeError, changeUnit } from '../engine/change-unit';
import type { Db, Reader } from '../engine/connection';
import { drop, put } from '../engine/edit';
import { prepared } from '../engine/prepared';
import { tallyOf } from '../engine/tally';
import { causeModels } from '../tables';

/** Notes a test's answer, or a cause as confirmed or ruled out; null takes it back. */
export const find = (
  db: Db,
  change: Change,
  f: Pick<Finding, 'about' | 'name'> & { readonly answer: Finding['answer'] | null },
): Promise<Result<Changed, ChangeError>> => {
  const id = `${change.unitId}-${f.about}-${f.name}`;
  return changeUnit(db, { ...change, restsOn: [id] }, (record, at) =>
    ok([
      f.answer === null
        ? drop('findings', id)
        : put('findings', { id, unitId: record.unit.id, at, personId: change.person.id, about: f.about, name: f.name, answer: f.answer }),
    ]),
  );
};

/** Units that have left the shop with a confirmed cause, counted: what the likelihoods learn from. */
export const finishedUnits = async (db: Reader): Promise<FinishedCounts> => finishedCounts(await tallyOf(db, CAUSES_SEEN));

/** What the shop states about causes: its newest version, or the standard one it starts with. */
export type CauseModel = { readonly version: number; readonly at: number | null; readonly note: string; readonly likelihoods: Likelihoods };

const newestModel = prepared((db: Reader) => db.select().from(causeModels).orderBy(desc(causeModels.version)).limit(1).prepare());

export async function causeModel(db: Reader): Promise<CauseModel> {
  const [row] = await newestModel(db).execute();
  if (row === undefined) return { version: 0, at: null, note: 'As the shop starts with them.', likelihoods: STANDARD_LIKELIHOODS };
  return { version: row.version, at: row.at, note: row.note, likelihoods: StoredLikelihoodsSchema.parse(row.likelihoods) };
}

/** Adds a version of the likelihoods. @param after the version it was made from: another in between refuses it */
export const saveCauseModel = (
  db: Db,
  person: Person,
  at: number,
  m: { readonly after: number; readonly note: string; readonly likelihoods: Likelihoods },
): Promise<{ readonly version: number } | undefined> =>
  db.transaction(async (tx) => {
    const now = await causeModel(tx);
    if (now.version !== m.after) return undefined;
    const version = now.version + 1;
    await tx
      .insert(causeModels)
      .values({ id: `causes-${version}`, version, at, personId: person.id, note: m.note, likelihoods: m.likelihoods });
    return { version };
  });
