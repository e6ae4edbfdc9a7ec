import ExcelJS from 'exceljs';
import { Unzip, UnzipInflate } from 'fflate';
import { fail, ok, type Result } from '@/core/result';
import type { FileProblem } from '@/core/schema/file-problem';
import { type CsvTable, type FileLimits, MOST_COLUMNS } from './read-table';

/** The first sheet of a workbook as a table; its first row is the header. */
export async function readXlsx(bytes: Uint8Array, most: FileLimits): Promise<Result<CsvTable, readonly FileProblem[]>> {
  if (unpacksTo(bytes, MOST_UNPACKED) > MOST_UNPACKED)
    return fail([{ line: 0, column: '', message: `the workbook unpacks to more than ${MOST_UNPACKED / 1e6} MB` }]);
  const book = new ExcelJS.Workbook();
  try {
    await book.xlsx.load(bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength) as ArrayBuffer);
  } catch {
    return fail([{ line: 1, column: '', message: 'this is no Excel workbook that can be read' }]);
  }
  const sheet = book.worksheets[0];
  if (sheet === undefined) return fail([{ line: 1, column: '', message: 'there is no sheet in it' }]);
  if (sheet.rowCount - 1 > most.rows) return fail([{ line: most.rows + 2, column: '', message: `more than ${most.rows} rows` }]);
  if (sheet.columnCount > MOST_COLUMNS) return fail([{ line: 1, column: '', message: `has more than ${MOST_COLUMNS} columns` }]);
  const columns: string[] = [];
  sheet.getRow(1).eachCell((cell, at) => {
    columns[at - 1] = textOf(cell.value);
  });
  const rows: CsvTable['rows'][number][] = [];
  sheet.eachRow((row, line) => {
    if (line === 1) return;
    const cells = Object.fromEntries(
      columns.flatMap((c, i) => (c === undefined || c === '' ? [] : [[c, textOf(row.getCell(i + 1).value)]])),
    );
    if (Object.values(cells).some((v) => v !== '')) rows.push({ line, cells });
  });
  return ok({ dialect: { separator: 'comma', decimalComma: false }, columns: columns.filter((c) => c !== undefined && c !== ''), rows });
}

/** The largest workbook of `STORE_LIMITS` rows, unpacked, bytes. */
const MOST_UNPACKED = 100_000_000;
/** Packed bytes that are looked at at once: a thousand times as many may come of them. */
const PIECE = 4096;

/** What a zip unpacks to, bytes, counted while it is unpacked, since what it says of itself may be wrong; no further than past `most`. */
const unpacksTo = (bytes: Uint8Array, most: number): number => {
  let unpacked = 0;
  const zip = new Unzip((file) => {
    file.ondata = (_, data) => {
      unpacked += data?.length ?? 0;
    };
    file.start();
  });
  zip.register(UnzipInflate);
  try {
    for (let at = 0; at < bytes.length && unpacked <= most; at += PIECE)
      zip.push(bytes.subarray(at, at + PIECE), at + PIECE >= bytes.length);
  } catch {
    // No zip that can be read: whoever reads it says so.
  }
  return unpacked;
};

/** A cell as text: numbers with a point, days as 2027-05-31, a formula by its result. */
const textOf = (value: ExcelJS.CellValue): string => {
  if (value === null || value === undefined) return '';
  if (value instanceof Date) return value.toISOString().slice(0, 10);
  if (typeof value !== 'object') return String(value).trim();
  if ('richText' in value)
    return value.richText
      .map((t) => t.text)
      .join('')
      .trim();
  if ('result' in value) return textOf(value.result as ExcelJS.CellValue);
  return 'text' in value ? String(value.text).trim() : '';
};

/** A table as a workbook of one sheet. */
export async function writeXlsx(
  name: string,
  columns: readonly string[],
  rows: readonly Readonly<Record<string, unknown>>[],
): Promise<Uint8Array<ArrayBuffer>> {
  const book = new ExcelJS.Workbook();
  const sheet = book.addWorksheet(name, { views: [{ state: 'frozen', ySplit: 1 }] });
  sheet.addRow([...columns]).font = { bold: true };
  for (const row of rows) sheet.addRow(columns.map((c) => (row[c] === '' ? null : row[c])));
  return new Uint8Array((await book.xlsx.writeBuffer()) as ArrayBuffer);
}
