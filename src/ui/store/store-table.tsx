'use client';

import { useMemo } from 'react';
import { sayDims } from '@/core/family/say-dims';
import { sayFitment } from '@/core/identify/fitment';
import { sayMoney } from '@/core/quantity/say-money';
import type { Units } from '@/core/quantity/units';
import { isExpired } from '@/core/store/article';
import { isLow, SHOW_NAMES, SHOWS, type Show, STORE_PAGE, type StoreLine } from '@/core/store/store-line';
import { Go } from '../shell/go';
import { useUnits } from '../shell/units-context';
import { type Column, DataTable, Pages } from '../table/data-table';
import { FindBox } from './find-box';
import { type FindStart, useFind } from './use-find';

/** Kits and sundries with what is in them and on the shelf; found by any word, machine number or dimension while it is typed. */
export function StoreTable({
  start,
  first,
  now,
}: {
  readonly start: FindStart & { readonly show: Show };
  readonly first: { readonly lines: readonly StoreLine[]; readonly inAll: number };
  readonly now: number;
}) {
  const units = useUnits();
  const { show } = start;
  const { q, setQ, sort, setSort, page, setPage, answer, state } = useFind(first, show === 'all' ? {} : { show }, start);
  const columns = useMemo(() => columnsOf(units, now), [units, now]);
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
              aria-current={s === show ? 'true' : undefined}
              className={`-ml-px inline-flex min-h-[44px] items-center border px-2.5 ${s === show ? 'relative border-act bg-tint2 font-bold text-act' : 'border-line bg-sheet text-ink'}`}
            >
              {SHOWS[s]}
            </Go>
          ))}
        </nav>
      </div>
      <p className="mb-1 flex flex-wrap items-center gap-x-5 text-[13px] text-ink2" aria-live="polite">
        {inAll === 0 ? sayNone(show, q) : `${inAll} found`}
        <Go className="inline-flex min-h-[44px] items-center font-bold text-act" href="/kits/new">
          Enter a kit
        </Go>
        <Go className="inline-flex min-h-[44px] items-center font-bold text-act" href="/kits/new?type=sundry">
          Enter a sundry
        </Go>
      </p>
      {lines.length > 0 && (
        <>
          <DataTable label="Kits and sundries" columns={columns} rows={lines} keyOf={(l) => l.id} sorted={{ sort, onSort: setSort }} />
          <Pages page={page} perPage={STORE_PAGE} inAll={inAll} onPage={setPage} />
        </>
      )}
    </>
  );
}

const columnsOf = (units: Units, now: number): readonly Column<StoreLine>[] => [
  {
    id: 'number',
    head: 'Number',
    by: (l) => l.number,
    className: 'whitespace-nowrap',
    cell: (l) => (
      <Go href={`/kits/${encodeURIComponent(l.number)}`} className="inline-flex min-h-9 items-center font-bold text-brass underline">
        {l.number}
      </Go>
    ),
  },
  {
    id: 'name',
    head: 'Name',
    by: (l) => l.name,
    cell: (l) => (
      <>
        {l.name}
        {l.madeFor !== null && <p className="text-[13px] text-ink2">for {sayFitment(l.madeFor)}</p>}
        {remarks(l, now).map((r) => (
          <p key={r} className="text-[13px] text-amber">
            {r}
          </p>
        ))}
      </>
    ),
  },
  { id: 'contents', head: 'In the bag', cell: (l) => <span className="text-[13px] text-ink2">{contents(l, units)}</span> },
  { id: 'price', head: 'Price', by: (l) => l.price, className: 'text-right whitespace-nowrap', cell: (l) => sayMoney(l.price) },
  {
    id: 'stock',
    head: 'On the shelf',
    by: (l) => l.stock,
    className: 'text-right',
    cell: (l) => <b className={isLow(l) || l.stock === 0 ? 'text-amber' : ''}>{l.stock}</b>,
  },
  ...(
    [
      ['withUnits', 'With units'],
      ['onOrder', 'On order'],
      ['orderAt', 'Order at'],
    ] as const
  ).map(([id, head]): Column<StoreLine> => ({ id, head, by: (l) => l[id], className: 'text-right text-ink2', cell: (l) => l[id] || '' })),
];

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
