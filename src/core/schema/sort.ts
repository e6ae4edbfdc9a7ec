/** How a list is sorted: by which of its columns, and which way. */
export type Sort = { readonly by: string; readonly way: 'up' | 'down' };

/** A sort as an address says it: `price`, or `-price` from the most down; null where it names no column. */
export const sortIn = (text: string | null | undefined, columns: readonly string[]): Sort | null => {
  const [, minus, by] = /^(-?)(\w+)$/.exec(text ?? '') ?? [];
  return by !== undefined && columns.includes(by) ? { by, way: minus === '-' ? 'down' : 'up' } : null;
};
export const sayInAddress = (sort: Sort | null): string => (sort === null ? '' : `${sort.way === 'down' ? '-' : ''}${sort.by}`);

/** A list sorted by what a column holds of each; what holds nothing comes last either way, and equals stay in their order. */
export const sortedBy = <R>(rows: readonly R[], sort: Sort | null, held: (row: R, by: string) => string | number | null): readonly R[] => {
  if (sort === null) return rows;
  const sign = sort.way === 'up' ? 1 : -1;
  return rows
    .map((row) => [row, keyOf(held(row, sort.by))] as const)
    .toSorted(([, a], [, b]) => {
      if (a === null || b === null) return Number(a === null) - Number(b === null);
      return a === b ? 0 : a < b ? -sign : sign;
    })
    .map(([row]) => row);
};

/** Letters without their case, figures by their value: K-9 before K-10. Keys are made once, for comparing is done tens of times as often. */
const keyOf = (value: string | number | null): string | number | null =>
  typeof value === 'string' ? value.toLowerCase().replace(/\d+/g, (digits) => digits.padStart(8, '0')) : value;
