'use client';

import {
  createSortedRowModel,
  type RowData,
  rowSortingFeature,
  type SortingState,
  sortFn_basic,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { useVirtualizer } from '@tanstack/react-virtual';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { Fragment, type ReactNode, useEffect, useMemo, useRef, useState } from 'react';
import type { Sort } from '@/core/schema/sort';

const features = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel(), sortFns: { basic: sortFn_basic } });

export type Column<R> = {
  readonly id: string;
  readonly head: string;
  /** Absent where whole rows are drawn by their owner. */
  readonly cell?: (row: R) => ReactNode;
  /** What it is sorted by; absent: it is not. Where the server sorts, only that it can be. */
  readonly by?: (row: R) => string | number | null;
  readonly className?: string;
};

/** Rows past which only those in view are drawn. */
const ALL_DRAWN = 60;
const ROW_PX = 58;

/**
 * A table that is sorted by its heads. Long ones draw the rows that are in view.
 * @param sorted where the server sorts: how it did, and the way to ask for another
 * @param row draws a whole row; else each column draws its cell
 * @param shown the key of a row that is brought into view
 */
export function DataTable<R extends RowData>({
  label,
  columns,
  rows,
  keyOf,
  sorted,
  row,
  shown,
  cards = false,
}: {
  readonly label: string;
  readonly columns: readonly Column<R>[];
  readonly rows: readonly R[];
  readonly keyOf: (row: R) => string;
  readonly sorted?: { readonly sort: Sort | null; readonly onSort: (sort: Sort | null) => void };
  readonly row?: (row: R) => ReactNode;
  readonly shown?: string | undefined;
  /** A row is a card on a telephone; its cells name their heads. */
  readonly cards?: boolean;
}) {
  const [own, setOwn] = useState<SortingState>([]);
  const server = sorted?.sort ?? null;
  const sorting = sorted === undefined ? own : server === null ? [] : [{ id: server.by, desc: server.way === 'down' }];
  const defs = useMemo(
    () =>
      columns.map((c) => ({
        id: c.id,
        header: c.head,
        accessorFn: (r: R) => c.by?.(r) ?? null,
        enableSorting: c.by !== undefined,
        sortFn: 'basic' as const,
        sortUndefined: 'last' as const,
      })),
    [columns],
  );
  const data = useMemo(() => [...rows], [rows]);
  const table = useTable({
    features,
    columns: defs,
    data,
    getRowId: keyOf,
    state: { sorting },
    manualSorting: sorted !== undefined,
    enableSortingRemoval: true,
    onSortingChange: (change) => {
      const next = typeof change === 'function' ? change(sorting) : change;
      const [first] = next;
      if (sorted === undefined) setOwn(next);
      else sorted.onSort(first === undefined ? null : { by: first.id, way: first.desc ? 'down' : 'up' });
    },
  });
  const all = table.getRowModel().rows;
  const box = useRef<HTMLElement>(null);
  const long = all.length > ALL_DRAWN;
  const virtual = useVirtualizer({
    count: all.length,
    getScrollElement: () => box.current,
    estimateSize: () => ROW_PX,
    overscan: 8,
    enabled: long,
  });
  const at = shown === undefined ? -1 : all.findIndex((r) => r.id === shown);
  useEffect(() => {
    if (long && at >= 0) virtual.scrollToIndex(at);
  }, [long, at, virtual]);
  const inView = virtual.getVirtualItems();
  const drawn = long ? inView.flatMap((v) => all[v.index] ?? []) : all;
  const above = long ? (inView[0]?.start ?? 0) : 0;
  const below = long ? virtual.getTotalSize() - (inView.at(-1)?.end ?? 0) : 0;
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must take the focus
    <section ref={box} aria-label={label} tabIndex={0} className={`relative overflow-auto ${long ? 'max-h-[70vh]' : ''}`}>
      <table className={`w-full border-collapse bg-sheet ${cards && !long ? 'cards' : ''}`}>
        <thead className={long ? 'sticky top-0 z-10 bg-sheet' : ''}>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id}>
              {group.headers.map((h, i) => {
                const way = h.column.getIsSorted();
                const column = columns[i] as Column<R>;
                return (
                  <th
                    key={h.id}
                    scope="col"
                    aria-sort={way === 'asc' ? 'ascending' : way === 'desc' ? 'descending' : undefined}
                    className={`th ${column.className ?? ''}`}
                  >
                    {column.by === undefined ? (
                      column.head
                    ) : (
                      <button
                        type="button"
                        title={`Sort by ${column.head.toLowerCase()}`}
                        className="inline-flex min-h-9 items-center gap-1 text-inherit underline decoration-dotted underline-offset-4"
                        onClick={h.column.getToggleSortingHandler()}
                      >
                        {column.head}
                        {way === 'asc' && <ArrowUp size={14} aria-hidden />}
                        {way === 'desc' && <ArrowDown size={14} aria-hidden />}
                      </button>
                    )}
                  </th>
                );
              })}
            </tr>
          ))}
        </thead>
        <tbody>
          {above > 0 && <Gap px={above} columns={columns.length} />}
          {drawn.map((r) =>
            row !== undefined ? (
              <Fragment key={r.id}>{row(r.original)}</Fragment>
            ) : (
              <tr key={r.id} className="align-top">
                {columns.map((c, i) =>
                  i === 0 ? (
                    <th key={c.id} scope="row" className={`cell text-left ${c.className ?? ''}`}>
                      {c.cell?.(r.original)}
                    </th>
                  ) : (
                    <td key={c.id} className={`cell ${c.className ?? ''}`}>
                      {c.cell?.(r.original)}
                    </td>
                  ),
                )}
              </tr>
            ),
          )}
          {below > 0 && <Gap px={below} columns={columns.length} />}
        </tbody>
      </table>
    </section>
  );
}

/** Room of rows that are not in view. */
const Gap = ({ px, columns }: { readonly px: number; readonly columns: number }) => (
  <tr>
    <td colSpan={columns} style={{ height: px }} />
  </tr>
);

/** The way through pages that a server gives. @param onPage gets the page asked for, from 0 */
export function Pages({
  page,
  perPage,
  inAll,
  onPage,
}: {
  readonly page: number;
  readonly perPage: number;
  readonly inAll: number;
  readonly onPage: (page: number) => void;
}) {
  if (inAll <= perPage) return null;
  const last = Math.ceil(inAll / perPage) - 1;
  return (
    <nav aria-label="Pages" className="mt-3 flex items-center gap-3">
      <button type="button" className="btn-quiet" disabled={page === 0} onClick={() => onPage(page - 1)}>
        Before
      </button>
      <span>
        {page * perPage + 1} to {Math.min(inAll, (page + 1) * perPage)} of {inAll}
      </span>
      <button type="button" className="btn-quiet" disabled={page >= last} onClick={() => onPage(page + 1)}>
        After
      </button>
    </nav>
  );
}
