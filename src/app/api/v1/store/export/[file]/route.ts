import { isoDay } from '@/core/quantity/say-time';
import type { Line } from '@/csv/read-table';
import { COLUMNS, fitmentLine, kitLines, priceLine, STORE_FILE_NAMES, type StoreFile, sundryLine } from '@/csv/store-files';
import { pricesInForce } from '@/db/cost/prices';
import { type Db, theDb } from '@/db/engine/connection';
import { storedFitments } from '@/db/identify/fitments';
import { wholeStore } from '@/db/store/catalogue';
import { everyCustomer } from '@/db/store/customers';
import { problem } from '../../../../../_server/request';
import { isSheetKind, sheetAnswer } from '../../../../../_server/sheet-answer';
import { currentPerson } from '../../../../../_server/who';

/** The store as a table: `kits.csv`, `stock.xlsx` and so on, in the columns that an import takes. */
export async function GET(_: Request, { params }: { params: Promise<{ file: string }> }): Promise<Response> {
  if ((await currentPerson()) === undefined) return problem(401, 'Sign in first.');
  const [name, kind] = (await params).file.split('.');
  const what = STORE_FILE_NAMES.find((f) => f === name);
  if (what === undefined || !isSheetKind(kind)) return problem(404, 'There is no such file.');
  const rows = await linesOf(await theDb(), what);
  return sheetAnswer(what, kind, COLUMNS[what].all, rows);
}

const linesOf = async (db: Db, what: StoreFile): Promise<readonly Line[]> => {
  if (what === 'fitments') return (await storedFitments(db)).map(fitmentLine);
  if (what === 'customers') return everyCustomer(db);
  if (what === 'prices') return (await pricesInForce(db)).prices.map(priceLine);
  const store = await wholeStore(db, Date.now());
  switch (what) {
    case 'kits':
      return store.filter((a) => a.type === 'kit').flatMap(kitLines);
    case 'sundries':
      return store.filter((a) => a.type === 'sundry').map(sundryLine);
    case 'stock':
      return store.flatMap((a) =>
        a.lots.map((l) => ({
          number: a.number,
          lot: l.code,
          qty: l.qty,
          expires: l.expiresAt === null ? '' : isoDay(l.expiresAt),
        })),
      );
  }
};
