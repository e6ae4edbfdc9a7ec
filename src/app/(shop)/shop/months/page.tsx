import type { Metadata } from 'next';
import { monthsOf, owing } from '@/db/bill/months';
import { theDb } from '@/db/engine/connection';
import { theShop } from '@/db/shop/settings';
import { Months } from '@/ui/bill/months';

export const metadata: Metadata = { title: 'Months' };

const SHOWN = 12;

/** The shop by months: what came and went, what it was paid for, how much of the time was sold, and what is owed. */
export default async function MonthsPage() {
  const db = await theDb();
  const { settings } = await theShop(db);
  const [months, debts] = await Promise.all([monthsOf(db, settings, Date.now(), SHOWN), owing(db)]);
  return (
    <>
      <h1 className="mb-2 text-xl font-bold">The last {SHOWN} months</h1>
      <Months months={months} owing={debts} />
    </>
  );
}
