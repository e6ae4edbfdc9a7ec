import { may } from '@/core/people/role';
import { faultsOf } from '@/core/schema/file-problem';
import { forecastOf, type ImportNews } from '@/core/store/import-record';
import { rowsRead } from '@/csv/read-bytes';
import { STORE_FILE_NAMES, type StoreFile } from '@/csv/store-files';
import { type Db, theDb } from '@/db/engine/connection';
import { writeImport } from '@/db/store/import-file';
import { planImport } from '@/db/store/import-plan';
import { theLog } from '@/log';
import { inPool, sayNotDone } from '@/pool/pool';
import { bodyOf } from '../../../../_server/body';
import { fromOurPage, problem } from '../../../../_server/request';
import { currentPerson } from '../../../../_server/who';

/** The largest file that is read. */
const LARGEST_MB = 20;

/** Takes a file for the store: `what`, `file` its name, and `write` an id when it is to be written and not only looked into. Tells line by line how far it is. */
export async function POST(request: Request): Promise<Response> {
  const person = await currentPerson();
  if (person === undefined) return problem(401, 'Sign in first.');
  if (!may(person.role, 'files')) return problem(403, 'Your role does not change the store.');
  if (!fromOurPage(request.headers)) return problem(403, 'This did not come from a page of this shop.');
  const { searchParams } = new URL(request.url);
  const what = STORE_FILE_NAMES.find((f) => f === searchParams.get('what'));
  if (what === undefined)
    return problem(422, 'Not a kind of file that the store takes.', [{ path: 'what', message: STORE_FILE_NAMES.join(', ') }]);
  if (what === 'prices' && !may(person.role, 'prices')) return problem(403, 'Your role does not change the prices.');
  const body = await bodyOf(request, LARGEST_MB);
  if (!body.ok) return body.error;
  const bytes = body.value;
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
        tell(refused('the server could not store it; nothing was half written'));
      }
      out.close();
    },
  });
  return new Response(stream, { headers: { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store' } });
}

const breath = () => new Promise((next) => setImmediate(next));

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
    await breath();
  };
  await progress('reading the file')(0, 1);
  const read = await inPool('read-file', { what, bytes });
  if (!read.ok) return refused(sayNotDone(read.error));
  if (!read.value.ok) return { kind: 'wrong', ...read.value.error };
  const { understood } = read.value.value;
  const rows = await rowsRead(read.value.value, breath);
  await progress('holding it against the store')(0, rows.rows.length);
  const plan = await planImport(db, rows);
  if (!plan.ok) return { kind: 'wrong', ...faultsOf(plan.error) };
  if (by === undefined) return { kind: 'planned', understood, ...forecastOf(plan.value.fates) };
  const written = await writeImport(db, { ...by, what, file }, plan.value, progress('writing'));
  return written.ok ? { kind: 'written', ...written.value } : refused(written.error.reasons.join(' '));
};

/** The file as a whole cannot be taken. */
const refused = (message: string): ImportNews => ({ kind: 'wrong', ...faultsOf([{ line: 0, column: '', message }]) });
