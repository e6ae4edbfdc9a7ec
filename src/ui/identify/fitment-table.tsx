'use client';

import { useMemo } from 'react';
import type { Fitment } from '@/core/identify/fitment';
import { sayLength, sayNominal } from '@/core/quantity/say';
import type { Units } from '@/core/quantity/units';
import { STORE_PAGE } from '@/core/store/store-line';
import { Go } from '../shell/go';
import { useUnits } from '../shell/units-context';
import { FindBox } from '../store/find-box';
import { type FindStart, useFind } from '../store/use-find';
import { type Column, DataTable, Pages } from '../table/data-table';

/** Where units belong: machine, years, place, what they measure there, and the kits that a catalogue names. */
export function FitmentTable({
  start,
  first,
}: {
  readonly start: FindStart;
  readonly first: { readonly fitments: readonly Fitment[]; readonly inAll: number };
}) {
  const units = useUnits();
  const { q, setQ, sort, setSort, page, setPage, answer, state } = useFind(first, { of: 'fitments' }, start);
  const { fitments, inAll } = answer;
  const columns = useMemo(() => columnsOf(units), [units]);
  return (
    <>
      <FindBox label="Find a fitment" hint="tractor 1978 rear · 13/16 · DN 20 · M10x1" q={q} onType={setQ} state={state} />
      <p className="flex flex-wrap items-center gap-x-5 text-[13px] text-ink2" aria-live="polite">
        {inAll === 0 ? 'No fitment meets that.' : `${inAll} found`}
        <Go className="inline-flex min-h-[44px] items-center font-bold text-act" href="/kits/fitments/new">
          Enter a fitment
        </Go>
      </p>
      <DataTable label="Fitments" columns={columns} rows={fitments} keyOf={(f) => f.id} sorted={{ sort, onSort: setSort }} />
      <Pages page={page} perPage={STORE_PAGE} inAll={inAll} onPage={setPage} />
    </>
  );
}

const columnsOf = (units: Units): readonly Column<Fitment>[] => [
  {
    id: 'machine',
    head: 'Machine',
    by: (f) => f.machine,
    cell: (f) => (
      <>
        <Go className="underline" href={`/kits/fitments/${encodeURIComponent(f.id)}`}>
          {f.maker} {f.machine}
        </Go>
        {f.note !== '' && <p className="text-[13px] font-normal text-amber">{f.note}</p>}
      </>
    ),
  },
  {
    id: 'years',
    head: 'Years',
    by: (f) => f.yearFrom,
    className: 'whitespace-nowrap',
    cell: (f) => (f.yearFrom === null ? '' : `${f.yearFrom}–${f.yearTo ?? ''}`),
  },
  { id: 'position', head: 'Place', by: (f) => f.position, cell: (f) => f.position },
  {
    id: 'boreMm',
    head: 'Bore',
    by: (f) => f.features.boreMm ?? null,
    className: 'whitespace-nowrap',
    cell: ({ features: { boreMm } }) => (boreMm == null ? '–' : sayNominal(boreMm)),
  },
  ...(
    [
      ['strokeMm', 'Stroke'],
      ['bodyLengthMm', 'Body'],
      ['studPitchMm', 'Studs'],
    ] as const
  ).map(
    ([id, head]): Column<Fitment> => ({
      id,
      head: `${head}, ${units.length}`,
      by: (f) => f.features[id] ?? null,
      cell: ({ features: { [id]: mm } }) => (mm == null ? '–' : sayLength(Math.round(mm * 10) / 10, units)),
    }),
  ),
  { id: 'threads', head: 'Threads', cell: (f) => f.features.portThreads?.join(', ') ?? '–' },
  { id: 'cast', head: 'Cast', cell: (f) => f.features.castingMark ?? '–' },
  {
    id: 'kits',
    head: 'Kits',
    cell: (f) => (
      <span className="flex flex-wrap gap-x-2">
        {f.kits.map((k) => (
          <Go key={k} href={`/kits/${encodeURIComponent(k)}`} className="font-bold text-brass underline">
            {k}
          </Go>
        ))}
      </span>
    ),
  },
];
