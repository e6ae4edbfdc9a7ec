import { MarkSchema } from '@/core/judge/judge-schema';
import type { Mark } from '@/core/judge/mark';
import type { MarkRecord } from '@/core/judge/mark-record';
import { fail, ok, type Result } from '@/core/result';
import type { FileProblem } from '@/core/schema/file-problem';
import { type Dialect, numberIn, readTable, writeTable } from './read-table';

export type ReadMarks = { readonly dialect: Dialect; readonly rows: readonly (Mark & { readonly note: string })[] };

const NUMBERS = ['x0Mm', 'x1Mm', 'clock0Deg', 'clock1Deg', 'depthUm', 'depthUncertaintyUm'] as const;
const COLUMNS = ['id', 'kind', ...NUMBERS, 'cleaned', 'note'] as const;
const NEEDED = ['id', 'kind', 'x0Mm', 'x1Mm', 'clock0Deg', 'clock1Deg'];
const YES_NO: Readonly<Record<string, boolean>> = { yes: true, true: true, '1': true, no: false, false: false, '0': false, '': true };

/** Marks of a bore. Depths may be empty: not measured; cleaned is yes unless it says no. @returns the marks, or everything wrong with the file */
export const readMarks = (text: string): Result<ReadMarks, readonly FileProblem[]> => {
  const table = readTable(text);
  if (!table.ok) return table;
  const { dialect, columns, rows } = table.value;
  const lacking = NEEDED.filter((n) => !columns.includes(n));
  if (lacking.length > 0) return fail(lacking.map((column) => ({ line: 1, column, message: 'this column is not there' })));
  if (rows.length === 0) return fail([{ line: 2, column: '', message: 'there are no marks in it' }]);
  const problems: FileProblem[] = [];
  const marks = rows.flatMap(({ line, cells }) => {
    const figures = NUMBERS.map((n) => {
      const [cell, value] = [cells[n] ?? '', numberIn(cells[n], dialect)];
      if (cell !== '' && value === undefined) problems.push({ line, column: n, message: `“${cell}” is not a number` });
      return [n, value ?? null] as const;
    });
    const cleaned = YES_NO[(cells.cleaned ?? '').toLowerCase()];
    if (cleaned === undefined) problems.push({ line, column: 'cleaned', message: `“${cells.cleaned}” is neither yes nor no` });
    const read = MarkSchema.safeParse({ id: cells.id, kind: cells.kind, ...Object.fromEntries(figures), cleaned: cleaned ?? true });
    const told = new Set(problems.filter((p) => p.line === line).map((p) => p.column));
    if (!read.success)
      problems.push(
        ...read.error.issues.map((i) => ({ line, column: i.path.join('.'), message: i.message })).filter((p) => !told.has(p.column)),
      );
    return read.success ? [{ ...read.data, note: cells.note ?? '' }] : [];
  });
  const twice = rows.filter(({ cells }, i) => rows.findIndex((r) => r.cells.id === cells.id) < i);
  problems.push(...twice.map(({ line, cells }) => ({ line, column: 'id', message: `“${cells.id}” is there twice` })));
  return problems.length > 0 ? fail([...problems].sort((a, b) => a.line - b.line)) : ok({ dialect, rows: marks });
};

export const writeMarks = (marks: readonly MarkRecord[]): string =>
  writeTable(
    COLUMNS,
    marks.map((m) => ({ ...m, id: m.name, cleaned: m.cleaned ? 'yes' : 'no' })),
  );
