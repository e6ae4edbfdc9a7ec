'use client';

import type { Month } from '@/core/bill/month';
import { sayBillWay } from '@/core/bill/say-way';
import { capital } from '@/core/capital';
import { CHARGE_WORDS, CHARGES } from '@/core/cost/price';
import { locale } from '@/core/locale';
import { amountOf } from '@/core/quantity/cents';
import { fixed } from '@/core/quantity/figure';
import { sayMonth } from '@/core/quantity/say-time';
import { sayCents } from '@/core/quote/say-quote';
import { DASHES } from '../chart/dashes';
import { LineChart } from '../chart/late-chart';
import { Go } from '../shell/go';
import { Scroll } from '../unit/scroll';

/** Months side by side, the newest first, as charts and as a table. */
export function Months({
  months,
  owing,
}: {
  readonly months: readonly Month[];
  readonly owing: readonly { readonly customerId: string; readonly name: string; readonly cents: number }[];
}) {
  // What was before the shop began is left out.
  const first = months.findLastIndex((m) => m.cameIn + m.left + m.byWay.length > 0);
  const shown = months.slice(0, Math.max(1, first) + 1);
  const inOrder = shown.toReversed();
  const say = (i: number): string => (inOrder[i] === undefined ? '' : sayMonth(inOrder[i].from));
  const x = { name: 'month', say, span: [0, inOrder.length - 1] as const };
  const series = (name: string, i: number, of: (m: Month) => number) => ({
    name,
    dash: DASHES[i % DASHES.length] ?? '',
    look: 'line' as const,
    points: inOrder.map((m, at) => ({ x: at, y: of(m) })),
  });
  const ways = [...new Set(shown.flatMap((m) => m.byWay.map((w) => w.way)))];
  const rows: readonly (readonly [head: string, cell: (m: Month) => string])[] = [
    ['Units in', (m) => String(m.cameIn)],
    ['Units out', (m) => String(m.left)],
    ['Billed, without tax', (m) => sayCents(m.net)],
    ...CHARGES.map((c) => [`of it ${CHARGE_WORDS[c]}`, (m: Month) => sayCents(m.byCharge[c])] as const),
    ...ways.map((way) => [capital(sayBillWay(way)), (m: Month) => sayWay(m, way)] as const),
    ['Hours sold', (m) => fixed(m.soldH, 1)],
    ['Hours worked', (m) => fixed(m.workedH, 1)],
    ['Parts cost the shop', (m) => sayCents(m.parts.costCents)],
    ['Parts earned over that', (m) => sayCents(m.parts.cents - m.parts.costCents)],
    ['Owed at its end, with tax', (m) => sayCents(m.owedCents)],
  ];
  return (
    <div className="grid gap-4">
      <div className="grid gap-4 lg:grid-cols-2">
        <LineChart
          title="Billed by month, without tax"
          x={x}
          y={{ name: locale().currency ?? 'billed', say: (amount) => fixed(amount, 0) }}
          series={[
            series('all', 0, (m) => amountOf(m.net)),
            ...ways
              .slice(0, 4)
              .map((way, i) => series(sayBillWay(way), i + 1, (m) => amountOf(m.byWay.find((w) => w.way === way)?.cents ?? 0))),
          ]}
        />
        <LineChart
          title="Hours sold and hours worked by month"
          x={x}
          y={{ name: 'hours', say: (h) => fixed(h, 0) }}
          series={[series('sold', 0, (m) => m.soldH), series('worked', 1, (m) => m.workedH)]}
        />
      </div>
      <Scroll label="Months side by side">
        <table className="border-collapse bg-sheet">
          <thead>
            <tr>
              <th className="th" />
              {shown.map((m, i) => (
                <th key={m.from} scope="col" className="th text-right">
                  {sayMonth(m.from)}
                  {i === 0 && <span className="block text-[12px] font-normal text-ink2">so far</span>}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(([head, cell]) => (
              <tr key={head}>
                <th scope="row" className="cell pr-4 text-left font-normal whitespace-nowrap text-ink2">
                  {head}
                </th>
                {shown.map((m) => (
                  <td key={m.from} className="cell text-right whitespace-nowrap tabular-nums">
                    {cell(m)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </Scroll>
      <p className="flex flex-wrap gap-x-5">
        {(['csv', 'xlsx'] as const).flatMap((kind) => [
          <a
            key={`months-${kind}`}
            className="inline-flex min-h-11 items-center font-bold text-act"
            href={`/api/v1/bills/export/months.${kind}`}
          >
            These months as {kind === 'csv' ? 'CSV' : 'Excel'}
          </a>,
          <a
            key={`bills-${kind}`}
            className="inline-flex min-h-11 items-center font-bold text-act"
            href={`/api/v1/bills/export/bills.${kind}`}
          >
            Bills of the last 12 months as {kind === 'csv' ? 'CSV' : 'Excel'}
          </a>,
        ])}
      </p>
      <section aria-label="Who owes" className="max-w-xl">
        <h2 className="head mb-1">WHO OWES ({owing.length})</h2>
        {owing.length === 0 && <p>Nobody owes anything.</p>}
        {owing.map((o) => (
          <p key={o.customerId} className="flex justify-between gap-4 border-b border-hair py-1">
            <Go href={`/customers/${o.customerId}`} className="font-bold text-act">
              {o.name}
            </Go>
            <span>{sayCents(o.cents)}</span>
          </p>
        ))}
      </section>
      <p className="max-w-3xl text-[13px] text-ink2">
        Hours sold are those that were charged by their time; fixed prices count with the time that such work takes here. Hours worked are
        the hours that those who work at the benches are there, by their own hours or the shop’s. Parts whose cost is not known are left out
        of what they earn.
      </p>
    </div>
  );
}

const sayWay = (m: Month, way: Month['byWay'][number]['way']): string => {
  const found = m.byWay.find((w) => w.way === way);
  return found === undefined ? '–' : `${sayCents(found.cents)} (${found.bills})`;
};
