import type { ReactNode } from 'react';
import { capital } from '@/core/capital';
import type { CostedOption, RouteCost } from '@/core/cost/route-cost';
import { chargeLines } from '@/core/offer/offered';
import { sayChance, sayFlips } from '@/core/offer/say-options';
import type { UnitOption } from '@/core/offer/unit-options';
import { sayMoney } from '@/core/quantity/say-money';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import type { Offered } from '@/core/quote/quote';
import { sayCents } from '@/core/quote/say-quote';
import { Scroll } from '../unit/scroll';

/** The ways to help, side by side: money, when, how sure; what is in each, and what would make another the best. */
export function Options({
  options,
  offers,
  readies,
  cost,
  dates,
  rules,
  neededInDays,
  now,
}: {
  readonly options: readonly UnitOption[];
  readonly offers: readonly Offered[];
  /** When each can be had, ms since 1970. */
  readonly readies: readonly number[];
  readonly cost: RouteCost;
  readonly dates: readonly string[];
  readonly rules: { readonly labourPerHour: number; readonly partsMarkupPct: number };
  readonly neededInDays: number;
  readonly now: number;
}) {
  const chargesBy = (o: UnitOption) => (offers[options.indexOf(o)] as Offered).charges;
  const rows: readonly (readonly [head: string, cell: (o: UnitOption, c: CostedOption) => ReactNode])[] = [
    ['Price, without tax', (o) => <b>{sayCents(chargesBy(o).net)}</b>],
    ['To pay, with tax', (o) => <b>{sayCents(chargesBy(o).total)}</b>],
    ['Ready', (o) => sayReady(o, readies[options.indexOf(o)] as number, neededInDays, now)],
    ['Proves at once', (o, c) => (isOurs(o) ? sayChance(c.proofChance, c.proofLow, c.proofHigh) : '–')],
    ['Holds', (o, c) => (isOurs(o) ? sayChance(c.keepChance, c.keepLow, c.keepHigh) : '–')],
    ['What failing and coming back cost, by their chances', (_, c) => sayMoney(c.risk)],
    ...(cost.options.some((c) => c.lateCost > 0)
      ? [['Being late', (_: UnitOption, c: CostedOption) => sayMoney(c.lateCost)] as const]
      : []),
    ['All in all', (_, c) => <b>{sayMoney(c.total)}</b>],
    ['What is in it', (o) => <Lines option={o} rules={rules} />],
    ['To be said beside it', (o) => <Doubts option={o} />],
  ];
  const flips = [...sayFlips(options, cost.options, cost.best), ...dates];
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
      <Scroll label="Options side by side">
        <table className="border-collapse bg-sheet">
          <thead>
            <tr>
              <th className="th" />
              {options.map((o) => (
                <th key={o.id} scope="col" className={`th min-w-52 ${o.id === cost.best ? 'bg-tint2 text-act' : ''}`}>
                  <span className="block text-[15px] font-bold">{capital(o.words)}</span>
                  {o.id === cost.best && <span className="block">least, all in all</span>}
                  {cost.options.some((c) => c.id === o.id && !c.allowed) && <span className="block text-red">not in time</span>}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(([head, cell]) => (
              <tr key={head}>
                <th scope="row" className="cell max-w-44 pr-4 text-left align-top font-normal text-ink2">
                  {head}
                </th>
                {options.map((o, i) => (
                  <td key={o.id} className="cell align-top">
                    {cell(o, cost.options[i] as CostedOption)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </Scroll>
      {flips.length > 0 && (
        <section aria-label="What would change this" className="max-w-4xl">
          <h2 className="head mb-1">WHAT WOULD CHANGE THIS</h2>
          <ul>
            {flips.map((text) => (
              <li key={text} className="border-b border-hair py-1">
                {text}
              </li>
            ))}
          </ul>
        </section>
      )}
      <p className="max-w-4xl text-[13px] text-ink2">
        A chance stands with the interval that holds it nine times in ten. It is counted over the units that left, those that have been out
        for 180 days where it is about holding: of its family and with as much to spare from ten on, else of its family from ten on, else
        all of that way.
      </p>
    </div>
  );
}

/** What the shop itself does, and so proves. */
const isOurs = (o: UnitOption): boolean => o.kind === 'repair' || o.kind === 'sleeve';

const sayReady = (o: UnitOption, at: number, neededInDays: number, now: number): ReactNode => {
  if (o.kind === 'give-back') return 'now';
  const late = o.asked.days > neededInDays && neededInDays > 0;
  return (
    <>
      <span title={sayFullDate(at)}>{o.asked.days === 0 ? 'now' : sayWhen(at, now)}</span>
      {late && <span className="block text-red">after its promise</span>}
    </>
  );
};

/** What it is charged by, with the arithmetic of each line. */
function Lines({ option, rules }: { readonly option: UnitOption; readonly rules: Parameters<typeof chargeLines>[1] }) {
  return (
    <ul className="text-[13px]">
      {chargeLines(option, rules).map((l) => (
        <li key={l.words} className="flex gap-2">
          <span className="flex-1">
            {l.words} {l.how !== '' && <span className="text-ink2">{l.how}</span>}
          </span>
          <span className="whitespace-nowrap">{sayCents(l.cents)}</span>
        </li>
      ))}
    </ul>
  );
}

const Doubts = ({ option }: { readonly option: UnitOption }) =>
  option.doubts.length === 0 ? (
    '–'
  ) : (
    <ul className="grid gap-1 text-[13px] text-amber">
      {option.doubts.map((text) => (
        <li key={text}>{capital(text)}.</li>
      ))}
    </ul>
  );
