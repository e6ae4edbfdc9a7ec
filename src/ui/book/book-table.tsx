'use client';

import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { BOOK_COLUMNS, type BookColumn, type BookLine } from '@/core/book/book-columns';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { type Sort, sayInAddress } from '@/core/schema/sort';
import { tagOf } from '@/core/unit/unit-record';
import { Silhouette } from '../drawing/silhouette';
import { Tag } from '../drawing/tag';
import { VerdictSign } from '../drawing/verdict-sign';
import { Go } from '../shell/go';
import { type Column, DataTable } from '../table/data-table';

/** Units that left, by the columns that were picked. @param page its address, without how it is sorted */
export function BookTable({
  lines,
  columns,
  now,
  sort,
  page,
}: {
  readonly lines: readonly BookLine[];
  readonly columns: readonly BookColumn[];
  readonly now: number;
  readonly sort: Sort;
  readonly page: string;
}) {
  const router = useRouter();
  const drawn = useMemo(() => [TAG, ...columns.map((c) => columnOf(c, now))], [columns, now]);
  return (
    <DataTable
      label="Units"
      columns={drawn}
      rows={lines}
      keyOf={(u) => u.id}
      sorted={{ sort, onSort: (next) => router.push(`${page}${page.includes('?') ? '&' : '?'}sort=${sayInAddress(next)}`) }}
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
      return { ...plain, cell: (u) => (u.outcome === null ? say(u) : <VerdictSign outcome={u.outcome} />) };
    case 'left':
      return { ...plain, id: 'when', by: (u) => u.exitAt, className: 'whitespace-nowrap', cell: (u) => <When at={u.exitAt} now={now} /> };
    case 'back':
      return { ...plain, className: 'whitespace-nowrap', cell: (u) => <When at={u.backAt} now={now} /> };
    default:
      return plain;
  }
};

const When = ({ at, now }: { readonly at: number | null; readonly now: number }) =>
  at === null ? null : <span title={sayFullDate(at)}>{sayWhen(at, now)}</span>;
