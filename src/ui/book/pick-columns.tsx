'use client';

import { useRouter } from 'next/navigation';
import { BOOK_COLUMN_NAMES, BOOK_COLUMNS, type BookColumn, columnsAddress } from '@/core/book/book-columns';
import { type BookFilter, bookAddress } from '@/core/book/book-filter';

/** Which columns the Book shows and its files have; they stand in its address. @param more what else stands there and stays */
export function PickColumns({
  columns,
  filter,
  more,
}: {
  readonly columns: readonly BookColumn[];
  readonly filter: BookFilter;
  readonly more: { readonly [name: string]: string };
}) {
  const router = useRouter();
  const turn = (column: BookColumn): void => {
    const next = BOOK_COLUMN_NAMES.filter((c) => columns.includes(c) !== (c === column));
    router.push(`/book?${bookAddress(filter, { ...more, columns: columnsAddress(next) })}`);
  };
  return (
    <details className="mb-3">
      <summary className="min-h-[44px] cursor-pointer content-center font-bold text-act">Columns: {columns.length} beside the tag</summary>
      <fieldset className="flex flex-wrap gap-x-4">
        <legend className="sr-only">Columns of the table and of its files</legend>
        {BOOK_COLUMN_NAMES.map((c) => (
          <label key={c} className="flex min-h-[44px] items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-act"
              checked={columns.includes(c)}
              disabled={columns.length === 1 && columns.includes(c)}
              onChange={() => turn(c)}
            />
            {BOOK_COLUMNS[c].label}
          </label>
        ))}
      </fieldset>
    </details>
  );
}
