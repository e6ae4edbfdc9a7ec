import { and, count, eq, gte, isNull, lt, ne, sql } from 'drizzle-orm';
import { type Month, monthOf } from '@/core/bill/month';
import { onClock, whenOnClock } from '@/core/locale';
import { may } from '@/core/people/role';
import { WorkSchema } from '@/core/people/work';
import { hoursBetween } from '@/core/plan/shifts';
import { stored } from '@/core/schema/stored';
import { type ShopSettings, weekHours } from '@/core/shop/settings';
import type { Reader } from '../engine/connection';
import { bills, customers, payments, people, units } from '../tables';
import { billsBetween } from './bills';

const Kept = stored(WorkSchema);

/** The last months of the shop, the newest first; the first of them is not over. @param most how many */
export async function monthsOf(db: Reader, settings: ShopSettings, now: number, most: number): Promise<readonly Month[]> {
  const today = onClock(now);
  const begins = (back: number): number => whenOnClock(today.getFullYear(), today.getMonth() - back, 1, 0, 0).getTime();
  const staff = await db.select().from(people).where(isNull(people.leftAt));
  const workers = staff.filter((p) => may(p.role, 'bench'));
  const months: Month[] = [];
  for (let back = 0; back < most; back++) {
    const [from, until] = [begins(back), Math.min(now, begins(back - 1))];
    const [[cameIn], [left], given, owedCents] = await Promise.all([
      db
        .select({ n: count() })
        .from(units)
        .where(and(gte(units.createdAt, from), lt(units.createdAt, until))),
      db
        .select({ n: count() })
        .from(units)
        .where(and(gte(units.exitAt, from), lt(units.exitAt, until))),
      billsBetween(db, from, until),
      owedAt(db, until),
    ]);
    months.push(
      monthOf({
        from,
        cameIn: cameIn?.n ?? 0,
        left: left?.n ?? 0,
        bills: given,
        owedCents,
        workedH: workedH(workers, settings, from, until),
      }),
    );
  }
  return months;
}

/** What all customers owed at a moment, cents. */
const owedAt = async (db: Reader, at: number): Promise<number> => {
  const [[billed], [paid]] = await Promise.all([
    db
      .select({ cents: sql<number>`coalesce(sum(${bills.totalCents}), 0)` })
      .from(bills)
      .where(lt(bills.at, at)),
    db
      .select({ cents: sql<number>`coalesce(sum(${payments.cents}), 0)` })
      .from(payments)
      .where(lt(payments.at, at)),
  ]);
  return (billed?.cents ?? 0) - (paid?.cents ?? 0);
};

/** Hours that people were there for by their own hours, else the shop's. */
const workedH = (workers: readonly (typeof people.$inferSelect)[], settings: ShopSettings, from: number, until: number): number => {
  return workers.reduce((sum, p) => {
    const work = p.work === null ? null : Kept.parse(p.work);
    const since = Math.max(from, p.createdAt.getTime());
    return sum + hoursBetween(since, until, weekHours(work?.hours ?? settings.hours), [...settings.closed, ...(work?.daysOff ?? [])]);
  }, 0);
};

/** Customers who owe something, the most first. */
export const owing = async (
  db: Reader,
): Promise<readonly { readonly customerId: string; readonly name: string; readonly cents: number }[]> => {
  const billed = db
    .select({ customerId: bills.customerId, cents: sql<number>`sum(${bills.totalCents})`.as('billed') })
    .from(bills)
    .groupBy(bills.customerId)
    .as('billed');
  const paid = db
    .select({ customerId: bills.customerId, cents: sql<number>`sum(${payments.cents})`.as('paid') })
    .from(payments)
    .innerJoin(bills, eq(payments.bill, bills.number))
    .groupBy(bills.customerId)
    .as('paid_by');
  const left = sql<number>`${billed.cents} - coalesce(${paid.cents}, 0)`;
  return db
    .select({ customerId: billed.customerId, name: customers.name, cents: left })
    .from(billed)
    .innerJoin(customers, eq(customers.id, billed.customerId))
    .leftJoin(paid, eq(paid.customerId, billed.customerId))
    .where(ne(left, 0))
    .orderBy(sql`3 desc`)
    .limit(100);
};
