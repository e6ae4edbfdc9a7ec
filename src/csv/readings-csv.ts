import { ReadingSchema } from '@/core/gauge/gauge-schema';
import type { Reading } from '@/core/gauge/reading';
import { MM_PER_INCH } from '@/core/quantity/units';
import { fail, ok, type Result } from '@/core/result';
import type { FileProblem } from '@/core/schema/file-problem';
import { type Dialect, numberIn, readTable, writeTable } from './read-table';

export type ReadReadings = { readonly dialect: Dialect; readonly rows: readonly Reading[] };

/** Columns of a length, with what brings each to mm. */
const LENGTHS = { xMm: { xMm: 1, xIn: MM_PER_INCH }, diaMm: { diaMm: 1, diaIn: MM_PER_INCH } } as const;

/** Gauge readings: columns xMm or xIn, clockDeg, diaMm or diaIn, in any order. @returns the readings in mm, or everything wrong with the file */
export const readReadings = (text: string): Result<ReadReadings, readonly FileProblem[]> => {
  const table = readTable(text);
  if (!table.ok) return table;
  const { dialect, columns, rows } = table.value;
  const has = (names: object): boolean => Object.keys(names).some((n) => columns.includes(n));
  const lacking = [...Object.values(LENGTHS), { clockDeg: 1 }]
    .filter((names) => !has(names))
    .map((names) => Object.keys(names).join(' or '));
  if (lacking.length > 0) return fail(lacking.map((column) => ({ line: 1, column, message: 'this column is not there' })));
  const problems: FileProblem[] = [];
  const readings = rows.flatMap(({ line, cells }) => {
    const of = (names: Readonly<Record<string, number>>): number | undefined => {
      const column = Object.keys(names).find((n) => columns.includes(n)) ?? '';
      const value = numberIn(cells[column], dialect);
      if (value === undefined) problems.push({ line, column, message: `“${cells[column] ?? ''}” is not a number` });
      return value === undefined ? undefined : value * (names[column] ?? 1);
    };
    const reading = { xMm: of(LENGTHS.xMm), clockDeg: of({ clockDeg: 1 }), diaMm: of(LENGTHS.diaMm) };
    if (Object.values(reading).includes(undefined)) return [];
    const read = ReadingSchema.safeParse(reading);
    if (!read.success) problems.push(...read.error.issues.map((i) => ({ line, column: i.path.join('.'), message: i.message })));
    return read.success ? [read.data] : [];
  });
  if (rows.length === 0) return fail([{ line: 2, column: '', message: 'there are no readings in it' }]);
  return problems.length > 0 ? fail(problems) : ok({ dialect, rows: readings });
};

export const writeReadings = (readings: readonly Reading[]): string => writeTable(['xMm', 'clockDeg', 'diaMm'], readings);
