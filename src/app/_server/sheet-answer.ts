import type { Line } from '@/csv/read-table';
import { inPool, sayNotDone } from '@/pool/pool';
import { problem } from './request';

const TYPES = {
  csv: 'text/csv; charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
} as const;
export type SheetKind = keyof typeof TYPES;
export const isSheetKind = (kind: string | undefined): kind is SheetKind => kind !== undefined && kind in TYPES;

/** A table as a file to be saved. */
export async function sheetAnswer(name: string, kind: SheetKind, columns: readonly string[], rows: readonly Line[]): Promise<Response> {
  const written = await inPool(`write-${kind}`, { name, columns, rows });
  if (!written.ok) return problem(503, sayNotDone(written.error));
  return new Response(written.value, {
    headers: { 'content-type': TYPES[kind], 'content-disposition': `attachment; filename="${name}.${kind}"` },
  });
}
