import { type AnyColumn, and, asc, count, desc, eq, gte, inArray, isNotNull, isNull, or, type SQL, sql } from 'drizzle-orm';
import { z } from 'zod';
import { COMPLAINT_NAMES, sayComplaint } from '@/core/book-in/complaint';
import { FAMILIES } from '@/core/family/families';
import type { TrayTag } from '@/core/unit/tray-tag';
import { tagNumber } from '@/core/unit/unit-record';
import type { Reader } from '../engine/connection';
import { customers, familyVariants, jobs, units } from '../tables';

/** Units in the shop, by due date. */
export const onTheRack = (db: Reader): Promise<readonly TrayTag[]> => tags(db, isNull(units.exit), asc(units.dueAt), 1000);

/** Units that have left, the newest first. @param since ms since 1970 */
export const leftSince = (db: Reader, since: number): Promise<readonly TrayTag[]> =>
  tags(db, and(isNotNull(units.exit), gte(units.exitAt, since)), desc(units.exitAt), 500);

/** Units by tag, machine, customer, or marks on the casting; in the shop or not. */
export async function findUnits(db: Reader, text: string): Promise<readonly TrayTag[]> {
  const number = tagNumber(text);
  const part = `%${text.trim().replaceAll(/[%_\\]/g, '\\$&')}%`;
  const holds = (column: AnyColumn): SQL => sql`${column} like ${part} escape '\\'`;
  return tags(
    db,
    or(number === undefined ? undefined : eq(units.tagNo, number), holds(jobs.machine), holds(customers.name), holds(units.identityMarks)),
    desc(units.createdAt),
    60,
  );
}

export const howManyLeft = async (db: Reader): Promise<number> => {
  const [row] = await db
    .select({ n: count() })
    .from(units)
    .where(inArray(units.exit, ['released', 'scrapped', 'returned']));
  return row?.n ?? 0;
};

const Complaints = z.array(z.enum(COMPLAINT_NAMES));

const tags = async (db: Reader, where: SQL | undefined, order: SQL, limit: number): Promise<readonly TrayTag[]> => {
  const rows = await db
    .select({
      id: units.id,
      tagNo: units.tagNo,
      family: units.family,
      variantLabel: familyVariants.label,
      station: units.station,
      outcome: units.outcome,
      targetDiaMm: units.targetDiaMm,
      dueAt: units.dueAt,
      exit: units.exit,
      exitAt: units.exitAt,
      position: units.position,
      machine: jobs.machine,
      complaints: jobs.complaints,
      complaintText: jobs.complaintText,
      customer: customers.name,
    })
    .from(units)
    .innerJoin(jobs, eq(units.jobId, jobs.id))
    .innerJoin(customers, eq(jobs.customerId, customers.id))
    .leftJoin(familyVariants, eq(units.variantId, familyVariants.id))
    .where(where)
    .orderBy(order)
    .limit(limit);
  return rows.map(({ complaints, complaintText, variantLabel, ...row }) => ({
    ...row,
    familyLabel: variantLabel ?? FAMILIES[row.family].label,
    complaint: sayComplaint(Complaints.parse(complaints), complaintText),
  }));
};
