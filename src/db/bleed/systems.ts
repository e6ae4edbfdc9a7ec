import { count, desc, eq } from 'drizzle-orm';
import type { z } from 'zod';
import type { KeepSystemSchema } from '@/core/bleed/bleed-schemas';
import { type System, SystemSchema } from '@/core/bleed/system';
import { sayFitment } from '@/core/identify/fitment';
import { fail, ok, type Result } from '@/core/result';
import type { SaveError } from '@/core/unit/save-error';
import type { Db, Reader } from '../engine/connection';
import { fitments, systems } from '../tables';

/** A system that is kept; what cannot be read any more is left out of lists. */
export type KeptSystem = {
  readonly id: string;
  readonly fitmentId: string | null;
  /** The fitment in words; null where it has none. */
  readonly fitment: string | null;
  readonly system: System;
};

const rows = (db: Reader) => db.select().from(systems).leftJoin(fitments, eq(fitments.id, systems.fitmentId));

const keptOf = ({ systems: row, fitments: at }: Awaited<ReturnType<typeof rows>>[number]): readonly KeptSystem[] => {
  const system = SystemSchema.safeParse(row.system);
  return system.success
    ? [{ id: row.id, fitmentId: row.fitmentId, fitment: at === null ? null : sayFitment(at), system: system.data }]
    : [];
};

/** The systems that were kept, the newest first, so many of them. */
export const keptSystems = async (db: Reader, most: number): Promise<readonly KeptSystem[]> =>
  (await rows(db).orderBy(desc(systems.changedAt)).limit(most)).flatMap(keptOf);

export const countSystems = async (db: Reader): Promise<number> => (await db.select({ n: count() }).from(systems))[0]?.n ?? 0;

export const keptSystem = async (db: Reader, id: string): Promise<KeptSystem | undefined> =>
  (await rows(db).where(eq(systems.id, id))).flatMap(keptOf)[0];

/** The newest system of a fitment. */
export const systemOfFitment = async (db: Reader, fitmentId: string): Promise<KeptSystem | undefined> =>
  (await rows(db).where(eq(systems.fitmentId, fitmentId)).orderBy(desc(systems.changedAt)).limit(1)).flatMap(keptOf)[0];

/** Keeps a system; one that is there under its id is replaced. */
export const keepSystem = (
  db: Db,
  by: { readonly personId: string; readonly at: number },
  { id, fitmentId, system }: z.output<typeof KeepSystemSchema>,
): Promise<Result<{ readonly id: string }, SaveError>> =>
  db.transaction(async (tx) => {
    if (fitmentId !== null && (await tx.select({ id: fitments.id }).from(fitments).where(eq(fitments.id, fitmentId))).length === 0)
      return fail({ code: 'refused', reasons: ['There is no such fitment any more.'] });
    const row = { name: system.name, fitmentId, system, changedAt: by.at, personId: by.personId };
    await tx
      .insert(systems)
      .values({ id, ...row })
      .onConflictDoUpdate({ target: systems.id, set: row });
    return ok({ id });
  });

export const dropSystem = async (db: Db, id: string): Promise<Result<null, SaveError>> => {
  await db.delete(systems).where(eq(systems.id, id));
  return ok(null);
};
