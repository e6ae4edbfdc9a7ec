import { fail, ok, type Result } from '@/core/result';
import { type FileFaults, faultsOf } from '@/core/schema/file-problem';
import type { StoreRows } from '@/core/store/store-rows';
import { readTable, STORE_LIMITS, sayDialect } from './read-table';
import { readStoreFile, type StoreFile } from './store-files';
import { readXlsx } from './xlsx';

/** Rows that are written to one piece of text: reading one holds nobody up. */
const PIECE = 100;

/** What a file for the store holds, its rows as JSON in pieces so that whoever takes them over can do so piece by piece; and how the file was understood. */
export type StoreFileRead = {
  readonly what: StoreFile;
  readonly lacks: readonly string[];
  readonly pieces: readonly string[];
  readonly understood: string;
};

/** The rows of a file that was read elsewhere. @param each is awaited between pieces */
export async function rowsRead({ what, lacks, pieces }: StoreFileRead, each: () => Promise<unknown>): Promise<StoreRows> {
  const rows: unknown[] = [];
  for (const piece of pieces) {
    rows.push(...(JSON.parse(piece) as readonly unknown[]));
    await each();
  }
  return { what, lacks, rows } as StoreRows;
}

/** A file for the store, CSV or Excel, from its bytes to its rows. */
export async function readBytes(what: StoreFile, bytes: Uint8Array): Promise<Result<StoreFileRead, FileFaults>> {
  // A workbook is a zip; everything else is text.
  const isZip = bytes[0] === 0x50 && bytes[1] === 0x4b;
  const table = isZip ? await readXlsx(bytes, STORE_LIMITS) : readTable(new TextDecoder().decode(bytes), STORE_LIMITS);
  if (!table.ok) return fail(faultsOf(table.error));
  const rows = readStoreFile(what, table.value);
  if (!rows.ok) return fail(faultsOf(rows.error));
  const { lacks, rows: all } = rows.value;
  const pieces = Array.from({ length: Math.ceil(all.length / PIECE) }, (_, i) => JSON.stringify(all.slice(i * PIECE, (i + 1) * PIECE)));
  return ok({ what, lacks, pieces, understood: isZip ? 'Excel workbook, its first sheet' : sayDialect(table.value.dialect) });
}
