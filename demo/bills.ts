import { standingBill } from '@/core/bill/bill';
import { billLines } from '@/core/bill/bill-lines';
import { FAMILIES } from '@/core/family/families';
import { knownOf } from '@/core/plan/known';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import { billsOfUnit, creditBill, makeBill } from '@/db/bill/bills';
import type { Change } from '@/db/engine/change-unit';
import type { Db } from '@/db/engine/connection';
import { wholeStore } from '@/db/store/catalogue';
import { must } from '../devices/hand/must';
import type { Work } from '../devices/hand/work';
import { PEOPLE } from './people';
import { PRICES } from './prices';

const HOUR_MS = 3_600_000;

/** Hands a unit that has left over and bills it; every fourth is on account, and one was billed wrongly at first. */
export async function billFor(db: Db, on: Work, index: number): Promise<void> {
  const ida = PEOPLE[3] as (typeof PEOPLE)[number];
  const record = await on.record();
  const costs = new Map((await wholeStore(db, 0)).map((a) => [a.id, a.price]));
  const known = knownOf(FAMILIES[record.unit.family], [], []);
  const lines = billLines(record, { rules: STANDARD_RULES, prices: PRICES, known, priceOf: (id) => costs.get(id) });
  const at = (record.unit.exitAt ?? 0) + HOUR_MS;
  const change = (kind: Change['kind'], note: string): Change => ({ ...on.next(kind, note, ida), at });
  const paid = index % 4 === 3 ? ('account' as const) : index % 2 === 0 ? ('card' as const) : ('cash' as const);
  const bill = {
    lines: lines.length > 0 ? lines : [{ charge: 'work' as const, words: 'looked at', how: '', cents: 0 }],
    handedTo: record.job.customer,
  };
  if (index === 6) {
    await must(makeBill(db, change('billed', `to ${record.job.customer}`), { ...bill, paid: 'account' }, PRICES));
    const number = standingBill(await billsOfUnit(db, record.unit.id))?.number ?? 0;
    await must(creditBill(db, change('credited', `${number}: the parts were charged twice`), number, 'the parts were charged twice'));
  }
  await must(makeBill(db, change('billed', `to ${record.job.customer}`), { ...bill, paid }, PRICES));
}
