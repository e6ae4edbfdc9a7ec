import { COLUMNS, STORE_FILE_NAMES } from '@/csv/store-files';
import { theDb } from '@/db/engine/connection';
import { problem } from '../../../../../_server/request';
import { isSheetKind, sheetAnswer } from '../../../../../_server/sheet-answer';
import { storeLines } from '../../../../../_server/store-lines';
import { currentPerson } from '../../../../../_server/who';

/** The store as a table: `kits.csv`, `stock.xlsx` and so on, in the columns that an import takes. */
export async function GET(_: Request, { params }: { params: Promise<{ file: string }> }): Promise<Response> {
  if ((await currentPerson()) === undefined) return problem(401, 'Sign in first.');
  const [name, kind] = (await params).file.split('.');
  const what = STORE_FILE_NAMES.find((f) => f === name);
  if (what === undefined || !isSheetKind(kind)) return problem(404, 'There is no such file.');
  const rows = await storeLines(await theDb(), what);
  return sheetAnswer(what, kind, COLUMNS[what].all, rows);
}
