import type { LoggedRow } from '@/core/prove/logged';
import type { RigSample } from '@/core/prove/rig-sample';
import { fail, ok, type Result } from '@/core/result';
import type { FileProblem } from '@/core/schema/file-problem';
import { type Dialect, numberIn, readTable, writeTable } from './read-table';

export type ReadTrace = { readonly dialect: Dialect; readonly rows: readonly LoggedRow[] };

const TRACE_LIMITS = { rows: 20_000, characters: 2_000_000, comments: '#' };

/** Columns of a pressure, with what brings each to bar. */
const PRESSURE: Readonly<Record<string, number>> = { pBar: 1, pPsi: 0.0689476, pMPa: 10, pKPa: 0.01 };

/** A logger's trace: columns tS and a pressure, and strokeMm, ml, tempC where there are any; lines that begin with # are comments. */
export const readTrace = (text: string): Result<ReadTrace, readonly FileProblem[]> => {
  const table = readTable(text, TRACE_LIMITS);
  if (!table.ok) return table;
  const { dialect, columns, rows } = table.value;
  const unit = Object.keys(PRESSURE).find((name) => columns.includes(name));
  const lacking = [...(columns.includes('tS') ? [] : ['tS']), ...(unit === undefined ? [Object.keys(PRESSURE).join(' or ')] : [])];
  if (unit === undefined || lacking.length > 0)
    return fail(lacking.map((column) => ({ line: 1, column, message: 'this column is not there' })));
  const problems: FileProblem[] = [];
  let before = Number.NEGATIVE_INFINITY;
  const read = rows.flatMap(({ line, cells }): readonly LoggedRow[] => {
    const of = (column: string): number | undefined => {
      const value = numberIn(cells[column], dialect);
      if (value === undefined) problems.push({ line, column, message: `“${cells[column] ?? ''}” is not a number` });
      return value;
    };
    const maybe = (column: string): number | null => (columns.includes(column) && cells[column] !== '' ? (of(column) ?? null) : null);
    const [tS, value] = [of('tS'), of(unit)];
    const [strokeMm, ml, tempC] = [maybe('strokeMm'), maybe('ml'), maybe('tempC')];
    if (tS === undefined || value === undefined) return [];
    const pBar = value * (PRESSURE[unit] ?? 1);
    if (tS <= before) problems.push({ line, column: 'tS', message: 'time repeats or runs backward' });
    if (pBar < -1 || pBar > 500) problems.push({ line, column: unit, message: 'is no pressure that a bench makes' });
    before = tS;
    return [{ tS, pBar, strokeMm, ml, tempC }];
  });
  if (rows.length === 0) return fail([{ line: 2, column: '', message: 'there are no readings in it' }]);
  return problems.length > 0 ? fail(problems) : ok({ dialect, rows: read });
};

/** A run as a file: its samples, with what it is of in comment lines above. */
export const writeTrace = (samples: readonly RigSample[], comments: readonly string[]): string =>
  [
    ...comments.map((c) => `# ${c.replaceAll(/[\r\n]+/g, ' ')}`),
    writeTable(
      ['tS', 'pBar', 'ml', 'tempC', 'phase'],
      samples.map((s) => ({ tS: s.t, pBar: s.p, ml: s.ml, tempC: s.c ?? '', phase: s.phase })),
    ),
  ].join('\r\n');
