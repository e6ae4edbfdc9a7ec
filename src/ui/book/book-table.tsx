'use client';

import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { BOOK_COLUMNS, type BookColumn, type BookLine } from '@/core/book/book-columns';
import { type BookFilter, bookAddress } from '@/core/book/book-filter';
import { BORE_OUTCOMES } from '@/core/judge/outcome';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { type Sort, sayInAddress } from '@/core/schema/sort';
import { tagOf } from '@/core/unit/unit-record';
import { Silhouette } from '../drawing/silhouette';
import { Tag } from '../drawing/tag';
import { VerdictSign } from '../drawing/verdict-sign';
import { Go } from '../shell/go';
import { type Column, DataTable } from '../table/data-table';

/** Units that left, by the columns that were picked. @param filter which of them, as its address says it @param more what else stands there */
export function BookTable({
  lines,
  columns,
  now,
  sort,
  filter,
  more,
}: {
  readonly lines: readonly BookLine[];
  readonly columns: readonly BookColumn[];
  readonly now: number;
  readonly sort: Sort;
  readonly filter: BookFilter;
  readonly more: { readonly [name: string]: string };
}) {
  const router = useRouter();
  const drawn = useMemo(() => [TAG, ...columns.map((c) => columnOf(c, now))], [columns, now]);
  return (
    <DataTable
      label="Units"
      columns={drawn}
      rows={lines}
      keyOf={(u) => u.id}
      sorted={{ sort, onSort: (next) => router.push(`/book?${bookAddress(filter, { ...more, sort: sayInAddress(next) })}`) }}
    />
  );
}

const TAG: Column<BookLine> = {
  id: 'tag',
  head: 'Tag',
  by: (u) => u.tagNo,
  cell: (u) => (
    <Go data-tray href={`/units/${tagOf(u)}`} className="inline-flex min-h-9 items-center">
      <Tag text={tagOf(u)} />
    </Go>
  ),
};

const columnOf = (name: BookColumn, now: number): Column<BookLine> => {
  const { label, say } = BOOK_COLUMNS[name];
  const plain = { id: name, head: label, cell: say };
  switch (name) {
    case 'family':
      return { ...plain, cell: (u) => <Silhouette family={u.family} label={u.familyLabel} /> };
    case 'bore':
      return { ...plain, className: 'whitespace-nowrap', cell: (u) => <Bore line={u} text={say(u)} /> };
    case 'left':
      return { ...plain, id: 'when', by: (u) => u.exitAt, className: 'whitespace-nowrap', cell: (u) => <When at={u.exitAt} now={now} /> };
    case 'back':
      return { ...plain, className: 'whitespace-nowrap', cell: (u) => <When at={u.backAt} now={now} /> };
    default:
      return plain;
  }
};

/** What was done about its bore; the last judgement of one that was honed is that it may be used. */
const Bore = ({ line, text }: { readonly line: BookLine; readonly text: string | number }) => {
  const sign = BORE_OUTCOMES.find((o) => o === line.way);
  return (
    <span className="inline-flex items-center gap-1.5">
      {sign !== undefined && <VerdictSign outcome={sign} />}
      {text}
    </span>
  );
};

const When = ({ at, now }: { readonly at: number | null; readonly now: number }) =>
  at === null ? null : <span title={sayFullDate(at)}>{sayWhen(at, now)}</span>;
