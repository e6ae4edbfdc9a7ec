import { count, desc, eq } from 'drizzle-orm';
import { z } from 'zod';
import type { Bleed } from '@/core/bleed/bleed';
import { BleedEventSchema } from '@/core/bleed/bleed-event';
import type { SaveBleedSchema } from '@/core/bleed/bleed-schemas';
import { SystemSchema } from '@/core/bleed/system';
import { fail, ok, type Result } from '@/core/result';
import type { SaveError } from '@/core/unit/save-error';
import type { Db, Reader } from '../engine/connection';
import { bleeds, people } from '../tables';

/** Keeps all that was done so far; of two that tell of one bleed, the one that went on longer counts. */
export const saveBleed = (
  db: Db,
  by: { readonly personId: string; readonly at: number },
  bleed: z.output<typeof SaveBleedSchema>,
): Promise<Result<null, SaveError>> =>
  db.transaction(async (tx) => {
    const [before] = await tx.select().from(bleeds).where(eq(bleeds.id, bleed.id));
    if (before !== undefined && before.personId !== by.personId)
      return fail({ code: 'refused', reasons: ['This bleed is somebody else’s.'] });
    if (before !== undefined && before.changes === bleed.changes && JSON.stringify(before.events) === JSON.stringify(bleed.events))
      return ok(null);
    if (before !== undefined && before.changes >= bleed.changes)
      return fail({ code: 'refused', reasons: ['It went on in another window: load this page anew.'] });
    const row = { ...bleed, personId: by.personId, savedAt: by.at };
    await tx.insert(bleeds).values(row).onConflictDoUpdate({ target: bleeds.id, set: row });
    return ok(null);
  });

const Events = z.array(BleedEventSchema);

export const countBleeds = async (db: Reader): Promise<number> => (await db.select({ n: count() }).from(bleeds))[0]?.n ?? 0;

/** The last bleeds, so many of them. */
export const lastBleeds = async (db: Reader, most: number): Promise<readonly Bleed[]> => {
  const rows = await db
    .select({ bleed: bleeds, by: people.name })
    .from(bleeds)
    .leftJoin(people, eq(people.id, bleeds.personId))
    .orderBy(desc(bleeds.startedAt))
    .limit(most);
  return rows.flatMap(({ bleed, by }) => {
    const [system, events] = [SystemSchema.safeParse(bleed.system), Events.safeParse(bleed.events)];
    return system.success && events.success
      ? [{ id: bleed.id, by: by ?? '', startedAt: bleed.startedAt, method: bleed.method, system: system.data, events: events.data }]
      : [];
  });
};
