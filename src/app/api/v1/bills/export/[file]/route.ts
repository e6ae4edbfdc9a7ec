import { type Bill, openOf, type Payment } from '@/core/bill/bill';
import type { Month } from '@/core/bill/month';
import { sayBillWay } from '@/core/bill/say-way';
import { CHARGES } from '@/core/cost/price';
import { may } from '@/core/people/role';
import { amountOf } from '@/core/quantity/cents';
import { isoDay } from '@/core/quantity/say-time';
import type { Line } from '@/csv/read-table';
import { billsBetween, paymentsOf } from '@/db/bill/bills';
import { monthsOf } from '@/db/bill/months';
import { theDb } from '@/db/engine/connection';
import { theShop } from '@/db/shop/settings';
import { problem } from '../../../../../_server/request';
import { isSheetKind, sheetAnswer } from '../../../../../_server/sheet-answer';
import { currentPerson } from '../../../../../_server/who';

const MONTHS = 12;
const BILL_COLUMNS = [
  ...['number', 'kind', 'takesBack', 'day', 'customer', 'tag', 'machine', 'way', 'tax', 'taxPct', 'taxable', 'taxAmount'],
  ...['rounding', 'total', 'paid', 'open'],
];
const MONTH_COLUMNS = ['month', 'unitsIn', 'unitsOut', 'net', ...CHARGES, 'hoursSold', 'hoursWorked', 'partsNet', 'partsCost', 'owed'];

/** The last months, or every bill of them for a ledger: `bills.csv`, `months.xlsx` and so on. Amounts in the shop's money. */
export async function GET(_: Request, { params }: { params: Promise<{ file: string }> }): Promise<Response> {
  const person = await currentPerson();
  if (person === undefined) return problem(401, 'Sign in first.');
  if (!may(person.role, 'see-shop')) return problem(403, 'An owner or a lead takes these out.');
  const [name, kind] = (await params).file.split('.');
  if (!isSheetKind(kind)) return problem(404, 'There is no such file.');
  const db = await theDb();
  const now = Date.now();
  const months = await monthsOf(db, (await theShop(db)).settings, now, MONTHS);
  switch (name) {
    case 'months':
      return sheetAnswer(name, kind, MONTH_COLUMNS, months.map(monthLine));
    case 'bills': {
      const bills = await billsBetween(db, months.at(-1)?.from ?? now, now);
      const payments = await paymentsOf(db, bills);
      return sheetAnswer(
        name,
        kind,
        BILL_COLUMNS,
        bills.flatMap((b) => billLines(b, bills, payments)),
      );
    }
    default:
      return problem(404, 'There is no such file.');
  }
}

const monthLine = (m: Month): Line => ({
  month: isoDay(m.from).slice(0, 7),
  unitsIn: m.cameIn,
  unitsOut: m.left,
  net: amountOf(m.net),
  ...Object.fromEntries(CHARGES.map((c) => [c, amountOf(m.byCharge[c])])),
  hoursSold: Number(m.soldH.toFixed(2)),
  hoursWorked: Number(m.workedH.toFixed(2)),
  partsNet: amountOf(m.parts.cents),
  partsCost: amountOf(m.parts.costCents),
  owed: amountOf(m.owedCents),
});

/** A bill with a line for each tax; what is of all of it stands on its first. */
const billLines = (b: Bill, all: readonly Bill[], payments: readonly Payment[]): readonly Line[] => {
  const head = {
    number: b.number,
    kind: b.kind === 'credit' ? 'credit note' : 'bill',
    takesBack: b.kind === 'credit' ? b.of : '',
    day: isoDay(b.at),
    customer: b.to[0] ?? '',
    tag: b.tag,
    machine: b.machine,
    way: sayBillWay(b.way),
  };
  const paid = payments.reduce((sum, p) => sum + (p.bill === b.number ? p.cents : 0), 0);
  const whole = {
    rounding: amountOf(b.charges.rounding),
    total: amountOf(b.charges.total),
    paid: amountOf(paid),
    open: b.kind === 'credit' ? 0 : amountOf(openOf(b, all, payments)),
  };
  const untaxed = b.charges.net - b.charges.taxes.reduce((sum, t) => sum + t.on, 0);
  const taxes = [
    ...b.charges.taxes.map((t) => ({ tax: t.name, taxPct: t.pct, taxable: amountOf(t.on), taxAmount: amountOf(t.cents) })),
    ...(untaxed === 0 && b.charges.taxes.length > 0 ? [] : [{ tax: '', taxPct: 0, taxable: amountOf(untaxed), taxAmount: 0 }]),
  ];
  return taxes.map((t, i) => ({ ...head, ...t, ...(i === 0 ? whole : {}) }));
};
