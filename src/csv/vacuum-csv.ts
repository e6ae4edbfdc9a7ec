import type { VacuumSample } from '@/core/pedal-end/vacuum';
import { fail, ok, type Result } from '@/core/result';
import type { FileProblem } from '@/core/schema/file-problem';
import { type Dialect, numberIn, readTable } from './read-table';

export type ReadVacuum = { readonly dialect: Dialect; readonly rows: readonly VacuumSample[] };

/** Columns of a vacuum, with what brings each to kPa. */
const VACUUM: Readonly<Record<string, number>> = { kPa: 1, mbar: 0.1, bar: 100, inHg: 3.38639, mmHg: 0.133322 };

/** A gauge's log of a hold: columns tS and one of kPa, mbar, bar, inHg, mmHg; vacuum below the outside, its sign does not matter. @returns in order of time */
export const readVacuum = (text: string): Result<ReadVacuum, readonly FileProblem[]> => {
  const table = readTable(text);
  if (!table.ok) return table;
  const { dialect, columns, rows } = table.value;
  const unit = Object.keys(VACUUM).find((name) => columns.includes(name));
  const lacking = [...(columns.includes('tS') ? [] : ['tS']), ...(unit === undefined ? [Object.keys(VACUUM).join(' or ')] : [])];
  if (unit === undefined || lacking.length > 0)
    return fail(lacking.map((column) => ({ line: 1, column, message: 'this column is not there' })));
  const problems: FileProblem[] = [];
  const samples = rows.flatMap(({ line, cells }) => {
    const of = (column: string): number | undefined => {
      const value = numberIn(cells[column], dialect);
      if (value === undefined) problems.push({ line, column, message: `“${cells[column] ?? ''}” is not a number` });
      return value;
    };
    const [tS, value] = [of('tS'), of(unit)];
    if (tS === undefined || value === undefined) return [];
    const kPa = Math.abs(value) * (VACUUM[unit] ?? 1);
    if (kPa > 105) problems.push({ line, column: unit, message: 'is more vacuum than there is air' });
    return [{ tS, kPa }];
  });
  if (rows.length === 0) return fail([{ line: 2, column: '', message: 'there are no readings in it' }]);
  return problems.length > 0 ? fail(problems) : ok({ dialect, rows: samples.sort((a, b) => a.tS - b.tS) });
};
