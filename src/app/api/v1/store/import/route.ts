import { may } from '@/core/people/role';
import type { ImportNews } from '@/core/store/import-record';
import { readTable, sayDialect } from '@/csv/read-table';
import { readStoreFile, STORE_FILE_NAMES, type StoreFile } from '@/csv/store-files';
import { readXlsx } from '@/csv/xlsx';
import { type Db, theDb } from '@/db/engine/connection';
import { writeImport } from '@/db/store/import-file';
import { planImport } from '@/db/store/import-plan';
import { theLog } from '@/log';
import { fromOurPage, problem } from '../../../../_server/door';
import { currentPerson } from '../../../../_server/who';

const LIMITS = { rows: 50_000, characters: 20_000_000 };

/** Takes a file for the store: `what`, `file` its name, and `write` an id when it is to be written and not only looked into. Tells line by line how far it is. */
export async function POST(request: Request): Promise<Response> {
  const person = await currentPerson();
  if (person === undefined) return problem(401, 'Sign in first.');
  if (!may(person.role, 'kit')) return problem(403, 'Your role does not change the store.');
  if (!fromOurPage(request.headers)) return problem(403, 'This did not come from a page of this shop.');
  const { searchParams } = new URL(request.url);
  const what = STORE_FILE_NAMES.find((f) => f === searchParams.get('what'));
  if (what === undefined)
    return problem(422, 'Not a kind of file that the store takes.', [{ path: 'what', message: STORE_FILE_NAMES.join(', ') }]);
  const bytes = new Uint8Array(await request.arrayBuffer());
  if (bytes.length > LIMITS.characters) return problem(413, 'The file is larger than 20 MB.');
  const file = (searchParams.get('file') ?? '').slice(0, 200);
  const write = searchParams.get('write')?.slice(0, 100);
  const db = await theDb();
  const text = new TextEncoder();
  const stream = new ReadableStream<Uint8Array>({
    start: async (out) => {
      const tell = (news: ImportNews): void => out.enqueue(text.encode(`${JSON.stringify(news)}\n`));
      try {
        tell(await taken(db, { what, file, bytes }, tell, write === undefined ? undefined : { importId: write, person, at: Date.now() }));
      } catch (error) {
        theLog().error({ err: error, what, file }, 'a file could not be taken in');
        tell({ kind: 'wrong', problems: [{ line: 0, column: '', message: 'the server could not store it; nothing was half written' }] });
      }
      out.close();
    },
  });
  return new Response(stream, { headers: { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store' } });
}

type Sent = { readonly what: StoreFile; readonly file: string; readonly bytes: Uint8Array };

const taken = async (
  db: Db,
  { what, file, bytes }: Sent,
  tell: (news: ImportNews) => void,
  by: { readonly importId: string; readonly person: Parameters<typeof writeImport>[1]['person']; readonly at: number } | undefined,
): Promise<ImportNews> => {
  const progress = (doing: string) => async (done: number, of: number) => {
    tell({ kind: 'progress', doing, done, of });
    // The line goes out before the next rows are taken up.
    await new Promise((next) => setImmediate(next));
  };
  await progress('reading the file')(0, 1);
  // A workbook is a zip; everything else is text.
  const zip = bytes[0] === 0x50 && bytes[1] === 0x4b;
  const table = zip ? await readXlsx(bytes, LIMITS.rows) : readTable(new TextDecoder().decode(bytes), LIMITS);
  if (!table.ok) return { kind: 'wrong', problems: table.error };
  const rows = readStoreFile(what, table.value);
  if (!rows.ok) return { kind: 'wrong', problems: rows.error };
  await progress('holding it against the store')(0, rows.value.rows.length);
  const plan = await planImport(db, rows.value);
  if (!plan.ok) return { kind: 'wrong', problems: plan.error };
  const understood = zip ? 'Excel workbook, its first sheet' : sayDialect(table.value.dialect);
  if (by === undefined) return { kind: 'planned', understood, fates: plan.value.fates };
  return { kind: 'written', ...(await writeImport(db, { ...by, what, file }, plan.value, progress('writing'))) };
};
