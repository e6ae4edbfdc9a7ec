'use client';

import { useState } from 'react';
import { uuidv7 } from 'uuidv7';
import { dropPriceAction } from '@/app/actions/prices';
import { capital } from '@/core/capital';
import { PRICE_KINDS, PRICE_WORDS, type Price, type PriceList as Prices, priceKey, sayPrice } from '@/core/cost/price';
import { FAMILIES } from '@/core/family/families';
import { amountOf } from '@/core/quantity/cents';
import { plain } from '@/core/quantity/figure';
import { sayMoney } from '@/core/quantity/say-money';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { Told } from '../save/told';
import { useAsk } from '../save/use-ask';
import { Go } from '../shell/go';
import { PriceForm } from './price-form';

type Version = { readonly version: number; readonly at: number; readonly by: string | null; readonly note: string };

/** The shop's prices by what they are for, each changed at its line; what costs its time, and at which rate, stands above. */
export function PriceList({
  list,
  versions,
  rates,
  now,
  mayEdit,
}: {
  readonly list: Prices;
  readonly versions: readonly Version[];
  readonly rates: { readonly labourPerHour: number; readonly partsMarkupPct: number };
  readonly now: number;
  readonly mayEdit: boolean;
}) {
  const [changing, setChanging] = useState<string>();
  const { ask, asking, told } = useAsk();
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
      <p className="max-w-4xl text-ink2">
        Without tax. Work that has no fixed price costs its time at <b className="text-ink">{sayMoney(rates.labourPerHour)} an hour</b>,
        parts are marked up by <b className="text-ink">{plain(rates.partsMarkupPct)} %</b>: both stand in the{' '}
        <Go className="font-bold text-act" href="/rules">
          Rules
        </Go>
        , how long work takes in{' '}
        <Go className="font-bold text-act" href="/day/times">
          How long things take
        </Go>
        .
      </p>
      {mayEdit &&
        (changing === NEW ? (
          <section aria-label="A new price" className="border border-line bg-sheet p-3">
            <PriceForm price={undefined} onDone={() => setChanging(undefined)} />
          </section>
        ) : (
          <button type="button" className="btn w-fit" onClick={() => setChanging(NEW)}>
            A new price
          </button>
        ))}
      <Told lines={told} />
      {list.prices.length === 0 && <p>No prices yet. Enter them one by one, or take them in as a file under Import and export.</p>}
      <div className="gap-x-10 xl:columns-2">
        {PRICE_KINDS.map((kind) => {
          const lines = list.prices.filter((p) => p.what === kind);
          return lines.length === 0 ? null : (
            <section key={kind} aria-label={capital(PRICE_WORDS[kind])} className="mb-5 break-inside-avoid">
              <h2 className="head mb-1">
                {PRICE_WORDS[kind].toUpperCase()} · {lines.length}
              </h2>
              <ul className="border-t border-line">
                {lines.map((p) => {
                  const key = priceKey(p);
                  return (
                    <li key={key} className="border-b border-hair py-1">
                      <div className="flex flex-wrap items-center gap-x-3">
                        <span className="min-w-60 flex-1">{capital(sayPrice(p, (f) => FAMILIES[f].label))}</span>
                        <span className="text-ink2">{sayBeside(p)}</span>
                        <b className="w-32 text-right">{sayCost(p)}</b>
                        {mayEdit && (
                          <>
                            <button
                              type="button"
                              className="min-h-[44px] font-bold text-act"
                              aria-expanded={changing === key}
                              aria-label={`Change ${sayPrice(p, (f) => FAMILIES[f].label)}`}
                              onClick={() => setChanging(changing === key ? undefined : key)}
                            >
                              Change
                            </button>
                            <button
                              type="button"
                              className="min-h-[44px] font-bold text-act"
                              disabled={asking}
                              aria-label={`Take off ${sayPrice(p, (f) => FAMILIES[f].label)}`}
                              onClick={() => void ask(dropPriceAction, { id: uuidv7(), key, after: list.version })}
                            >
                              Take off
                            </button>
                          </>
                        )}
                      </div>
                      {changing === key && <PriceForm price={p} onDone={() => setChanging(undefined)} />}
                    </li>
                  );
                })}
              </ul>
            </section>
          );
        })}
      </div>
      {versions.length > 0 && (
        <section aria-label="Versions">
          <h2 className="head mb-1">LAST CHANGES</h2>
          <ul className="max-w-4xl text-[13px]">
            {versions.map((v) => (
              <li key={v.version} className="flex flex-wrap gap-x-3 border-b border-hair py-1">
                <b>{v.version}</b>
                <span title={sayFullDate(v.at)}>{sayWhen(v.at, now)}</span>
                <span>{v.by ?? 'the program'}</span>
                <span className="text-ink2">{v.note}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
const NEW = 'new';

const sayCost = (p: Price): string => (p.what === 'tax' ? `${plain(p.pct)} %` : sayMoney(amountOf(p.cents)));
const sayBeside = (p: Price): string => {
  switch (p.what) {
    case 'sleeve':
      return sayDays(p.days);
    case 'exchange':
    case 'new':
      return [
        ...(p.stock > 0 || p.supplier === '' ? [`${p.stock} on the shelf`] : []),
        ...(p.supplier === '' ? [] : [sayDays(p.days)]),
      ].join(', ');
    default:
      return '';
  }
};
const sayDays = (days: number): string => (days === 1 ? '1 day' : `${days} days`);
