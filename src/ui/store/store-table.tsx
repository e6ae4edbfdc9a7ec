'use client';

import { sayDims } from '@/core/family/say-dims';
import { sayFitment } from '@/core/identify/fitment';
import type { Units } from '@/core/quantity/units';
import { isExpired } from '@/core/store/article';
import { isLow, SHOW_NAMES, SHOWS, type Show, type StoreLine } from '@/core/store/store-line';
import { Go } from '../shell/go';
import { Scroll } from '../unit/scroll';
import { FindBox } from './find-box';
import { useFind } from './use-find';

/** Kits and sundries with what is in them and on the shelf; found by any word, machine number or dimension while it is typed. */
export function StoreTable({
  ask,
  first,
  units,
  now,
}: {
  readonly ask: { readonly q: string; readonly show: Show };
  readonly first: { readonly lines: readonly StoreLine[]; readonly inAll: number };
  readonly units: Units;
  readonly now: number;
}) {
  const { q, setQ, answer, state } = useFind(first, ask.show === 'all' ? {} : { show: ask.show }, ask.q);
  const { lines, inAll } = answer;
  return (
    <>
      <div className="mb-3 flex flex-wrap items-start gap-3">
        <FindBox label="Find in the store" hint="7/8 boot · 22.2 mm · M10x1 · K-118 · orchard tractor" q={q} onType={setQ} state={state} />
        <nav aria-label="Show" className="flex flex-wrap">
          {SHOW_NAMES.map((s) => (
            <Go
              key={s}
              href={`/kits?${new URLSearchParams({ ...(s === 'all' ? {} : { show: s }), ...(q === '' ? {} : { q }) })}`}
              aria-current={s === ask.show ? 'true' : undefined}
              className={`-ml-px inline-flex min-h-[44px] items-center border px-2.5 ${s === ask.show ? 'relative border-act bg-tint2 font-bold text-act' : 'border-line bg-sheet text-ink'}`}
            >
              {SHOWS[s]}
            </Go>
          ))}
        </nav>
      </div>
      <p className="mb-1 flex flex-wrap items-center gap-x-5 text-[13px] text-ink2" aria-live="polite">
        {inAll === 0 ? sayNone(ask.show, q) : inAll > lines.length ? `${inAll} found, the first ${lines.length} shown` : `${inAll} found`}
        <Go className="inline-flex min-h-[44px] items-center font-bold text-act" href="/kits/new">
          Enter a kit
        </Go>
        <Go className="inline-flex min-h-[44px] items-center font-bold text-act" href="/kits/new?type=sundry">
          Enter a sundry
        </Go>
      </p>
      {lines.length > 0 && (
        <Scroll label="Kits and sundries">
          <table className="w-full border-collapse bg-sheet">
            <thead>
              <tr>
                {['Number', 'Name', 'In the bag', 'Price', 'On the shelf', 'With units', 'On order', 'Order at'].map((h, i) => (
                  <th key={h} scope="col" className={`th ${i > 2 ? 'text-right' : ''}`}>
                    {h}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {lines.map((l) => (
                <tr key={l.id} className="align-top">
                  <th scope="row" className="cell text-left whitespace-nowrap">
                    <Go
                      href={`/kits/${encodeURIComponent(l.number)}`}
                      className="inline-flex min-h-9 items-center font-bold text-brass underline"
                    >
                      {l.number}
                    </Go>
                  </th>
                  <td className="cell">
                    {l.name}
                    {l.madeFor !== null && <p className="text-[13px] text-ink2">for {sayFitment(l.madeFor)}</p>}
                    {remarks(l, now).map((r) => (
                      <p key={r} className="text-[13px] text-amber">
                        {r}
                      </p>
                    ))}
                  </td>
                  <td className="cell text-[13px] text-ink2">{contents(l, units)}</td>
                  <td className="cell text-right">{l.price.toFixed(2)}</td>
                  <td className={`cell text-right font-bold ${isLow(l) || l.stock === 0 ? 'text-amber' : ''}`}>{l.stock}</td>
                  <td className="cell text-right text-ink2">{l.withUnits || ''}</td>
                  <td className="cell text-right text-ink2">{l.onOrder || ''}</td>
                  <td className="cell text-right text-ink2">{l.orderAt || ''}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </Scroll>
      )}
    </>
  );
}

const contents = (l: StoreLine, units: Units): string =>
  l.items
    .map((i) => {
      const dims = sayDims(i.dims, units);
      return l.type === 'sundry' ? dims : `${i.name}${i.qty > 1 ? ` × ${i.qty}` : ''}${dims === '' ? '' : ` (${dims})`}`;
    })
    .join(' · ');

const remarks = (l: StoreLine, now: number): readonly string[] => [
  ...(l.supersededBy === null ? [] : [`superseded by ${l.supersededBy}`]),
  ...l.lots.filter((x) => x.qty > 0 && isExpired(x, now)).map((x) => `lot ${x.code}: ${x.qty} past their date`),
  ...l.lots.filter((x) => x.qty > 0 && x.fault !== '').map((x) => `lot ${x.code}: ${x.fault}`),
  ...(l.note === '' ? [] : [l.note]),
];

const sayNone = (show: Show, q: string): string => {
  if (q !== '') return 'Nothing in the store meets that: take a word or a figure away.';
  switch (show) {
    case 'low':
      return 'Nothing is down to where it is ordered.';
    case 'expired':
      return 'Nothing on the shelf has passed its date.';
    case 'faulty':
      return 'No lot on the shelf has a known fault.';
    case 'all':
    case 'kits':
    case 'sundries':
      return 'The store holds kits with their contents, part by part, and sundries. Import a list, or receive the first.';
  }
};
