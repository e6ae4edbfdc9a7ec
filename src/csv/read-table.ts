import Papa from 'papaparse';
import { locale } from '@/core/locale';
import { plain } from '@/core/quantity/figure';
import { fail, ok, type Result } from '@/core/result';
import type { FileProblem } from '@/core/schema/file-problem';

/** How the file was understood, to be shown before anything is taken from it. */
export type Dialect = { readonly separator: 'comma' | 'semicolon' | 'tab'; readonly decimalComma: boolean };

export type CsvTable = {
  readonly dialect: Dialect;
  readonly columns: readonly string[];
  readonly rows: readonly { readonly line: number; readonly cells: Readonly<Record<string, string>> }[];
};

/** Rows and characters past which a file is not looked into; what begins the lines of comment above its header, where it may have some. */
export type FileLimits = { readonly rows: number; readonly characters: number; readonly comments?: string };
const BENCH_LIMITS: FileLimits = { rows: 5000, characters: 1_000_000 };
export const STORE_LIMITS: FileLimits = { rows: 50_000, characters: 20_000_000 };
/** No table of the trade is wider than this, and no line of one longer. */
export const MOST_COLUMNS = 200;
const LONGEST_LINE = 100_000;

const SEPARATORS: Readonly<Record<string, Dialect['separator']>> = { ',': 'comma', ';': 'semicolon', '\t': 'tab' };

/** A CSV with a header, separated by comma, semicolon or tab; UTF-8 with or without a byte order mark. */
export const readTable = (text: string, most = BENCH_LIMITS): Result<CsvTable, readonly FileProblem[]> => {
  if (text.length > most.characters)
    return fail([{ line: 1, column: '', message: `the file is larger than ${most.characters / 1_000_000} MB` }]);
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\n|\r/);
  const long = lines.findIndex((l) => l.length > LONGEST_LINE);
  if (long !== -1) return fail([{ line: long + 1, column: '', message: `is longer than ${LONGEST_LINE} characters` }]);
  const header = most.comments === undefined ? 0 : lines.findIndex((l) => !l.startsWith(most.comments ?? '') && l.trim() !== '');
  const above = Math.max(0, header);
  const parsed = Papa.parse<Record<string, string>>(lines.slice(above).join('\n'), {
    header: true,
    skipEmptyLines: 'greedy',
    delimitersToGuess: Object.keys(SEPARATORS),
    transformHeader: (h) => h.trim(),
    transform: (v) => v.trim(),
  });
  const columns = parsed.meta.fields ?? [];
  if (columns.length > MOST_COLUMNS) return fail([{ line: above + 1, column: '', message: `has more than ${MOST_COLUMNS} columns` }]);
  // A file of one column has nothing to guess a separator from; that is no fault of its rows.
  const broken = parsed.errors.filter((e) => e.type !== 'Delimiter');
  if (broken.length > 0)
    return fail(
      broken.map((e) => ({ line: (e.row ?? 0) + above + 2, column: '', message: e.message.charAt(0).toLowerCase() + e.message.slice(1) })),
    );
  if (parsed.data.length > most.rows) return fail([{ line: most.rows + above + 2, column: '', message: `more than ${most.rows} rows` }]);
  const separator = SEPARATORS[parsed.meta.delimiter] ?? 'comma';
  const decimalComma = separator !== 'comma' && parsed.data.some((row) => Object.values(row).some((v) => /^-?\d+,\d+$/.test(v)));
  return ok({
    dialect: { separator, decimalComma },
    columns,
    rows: parsed.data.map((cells, i) => ({ line: i + above + 2, cells })),
  });
};

/** A number as the file writes it; undefined for what is none. */
export const numberIn = (text: string | undefined, { decimalComma }: Dialect): number | undefined => {
  const plain = decimalComma ? text?.replace(',', '.') : text;
  const value = plain === undefined || plain === '' ? Number.NaN : Number(plain);
  return Number.isFinite(value) ? value : undefined;
};

/** How a file was understood, in words. */
export const sayDialect = ({ separator, decimalComma }: Dialect): string =>
  `${separator} separated, decimal ${decimalComma ? 'comma' : 'point'}`;

/** A row to be written, by column. */
export type Line = Readonly<Record<string, unknown>>;

/** A table as CSV; a cell that a spreadsheet would take for a formula is quoted. A shop with decimal commas parts its cells by semicolons. */
export const writeTable = (columns: readonly string[], rows: readonly Line[]): string => {
  const commas = locale().decimalMark === ',';
  const written = commas ? rows.map((row) => Object.fromEntries(Object.entries(row).map(([name, cell]) => [name, figureOr(cell)]))) : rows;
  return `${Papa.unparse([...written], { columns: [...columns], escapeFormulae: FORMULA, delimiter: commas ? ';' : ',' })}\r\n`;
};
/** What a spreadsheet would take for a formula; a number with a decimal comma is a text here, and none. */
const FORMULA = /^(?!-\d+(?:,\d+)?(?:e-?\d+)?$)[=+\-@\t\r]/;
const figureOr = (cell: unknown): unknown => (typeof cell === 'number' ? plain(cell) : cell);
