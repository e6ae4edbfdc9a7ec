import { asc, desc, eq, inArray, sql } from 'drizzle-orm';
import { z } from 'zod';
import type { Passage } from '@/core/book/where-days-go';
import { STATIONS } from '@/core/station';
import type { Reader } from '../engine/connection';
import { bookUnits, steps, taughtUnits, timers, units } from '../tables';

/** Units that are looked at: the last that were released. */
export const MOST_PASSAGES = 300;
const Minutes = z.partialRecord(z.enum(STATIONS), z.number()).catch({});

/** The ways of the last released units through the shop. @returns how many were released in all beside */
export async function passagesOf(db: Reader): Promise<{ readonly passages: readonly Passage[]; readonly inAll: number }> {
  const released = eq(bookUnits.exit, 'released');
  const [rows, [counted]] = await Promise.all([
    db
      .select({
        id: units.id,
        tagNo: units.tagNo,
        bookedInAt: units.createdAt,
        exitAt: bookUnits.exitAt,
        dueAt: units.dueAt,
        minutes: taughtUnits.minutes,
      })
      .from(bookUnits)
      .innerJoin(units, eq(units.id, bookUnits.unitId))
      .leftJoin(taughtUnits, eq(taughtUnits.unitId, units.id))
      .where(released)
      .orderBy(desc(bookUnits.exitAt))
      .limit(MOST_PASSAGES),
    db.select({ n: sql<number>`count(*)` }).from(bookUnits).where(released),
  ]);
  const ids = rows.map((r) => r.id);
  const [signed, waited] =
    ids.length === 0
      ? [[], []]
      : await Promise.all([
          db
            .select({ unitId: steps.unitId, station: steps.station, at: steps.at })
            .from(steps)
            .where(inArray(steps.unitId, ids))
            .orderBy(asc(steps.at)),
          db
            .select({ unitId: timers.unitId, from: timers.startedAt, endsAt: timers.endsAt, doneAt: timers.doneAt })
            .from(timers)
            .where(inArray(timers.unitId, ids)),
        ]);
  const [stepsOf, waitsOf] = [grouped(signed), grouped(waited)];
  return {
    passages: rows.map(({ id, minutes, ...row }) => ({
      ...row,
      minutes: Minutes.parse(minutes ?? {}),
      steps: (stepsOf.get(id) ?? []).filter((s) => s.station !== 'book-in').map(({ station, at }) => ({ station, at })),
      waits: (waitsOf.get(id) ?? []).map((w) => ({ from: w.from, until: w.doneAt ?? w.endsAt })),
    })),
    inAll: counted?.n ?? 0,
  };
}

const grouped = <T extends { readonly unitId: string }>(rows: readonly T[]): ReadonlyMap<string, readonly T[]> => {
  const all = new Map<string, T[]>();
  for (const row of rows) {
    const own = all.get(row.unitId);
    if (own === undefined) all.set(row.unitId, [row]);
    else own.push(row);
  }
  return all;
};
