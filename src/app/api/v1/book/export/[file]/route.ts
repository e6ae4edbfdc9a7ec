import { BOOK_COLUMN_NAMES, bookColumnsIn, bookRow } from '@/core/book/book-columns';
import { bookFilterIn } from '@/core/book/book-filter';
import { GROUPING_NAMES } from '@/core/book/grouping';
import { tagOf } from '@/core/unit/unit-record';
import type { Line } from '@/csv/read-table';
import { statisticsOf } from '@/db/book/lives-by';
import { theDb } from '@/db/engine/connection';
import { type BookPlace, leftUnits } from '@/db/rack/rack';
import { problem } from '../../../../../_server/request';
import { isSheetKind, sheetAnswer } from '../../../../../_server/sheet-answer';
import { currentPerson } from '../../../../../_server/who';

const STATISTICS = [...GROUPING_NAMES.filter((g) => g !== 'kit' && g !== 'lot'), 'days', 'cameBack', 'releasedDaysAgo'];
/** Rows that a file holds; more are asked for by narrower filters. Read so many at a time. */
const [MOST, PIECE] = [20_000, 500];

/** The units of the Book that an address asks for, by its columns or all there are, as a table: `book.csv`, `book.xlsx`; or all that were released, without names: `statistics.csv`, `statistics.xlsx`. */
export async function GET(request: Request, { params }: { params: Promise<{ file: string }> }): Promise<Response> {
  if ((await currentPerson()) === undefined) return problem(401, 'Sign in first.');
  const [name, kind] = (await params).file.split('.');
  if (!isSheetKind(kind)) return problem(404, 'There is no such file.');
  if (name === 'statistics') {
    const { lines, inAll } = await statisticsOf(await theDb(), Date.now());
    // What is left out is said in the name of the file.
    return sheetAnswer(inAll > lines.length ? `statistics-last-${lines.length}-of-${inAll}` : name, kind, STATISTICS, lines);
  }
  if (name !== 'book') return problem(404, 'There is no such file.');
  const asked = Object.fromEntries(new URL(request.url).searchParams);
  const filter = bookFilterIn(asked);
  const columns = asked.columns === undefined ? BOOK_COLUMN_NAMES : bookColumnsIn(asked.columns);
  const db = await theDb();
  const rows: Line[] = [];
  for (let behind: BookPlace | null = null; ; ) {
    const { units } = await leftUnits(db, behind, PIECE, { by: 'when', way: 'down' }, filter);
    rows.push(...units.map((u) => bookRow(u, tagOf(u), columns)));
    const last = units.at(-1);
    if (units.length < PIECE || last === undefined || last.exitAt === null) break;
    if (rows.length >= MOST) return problem(413, `More than ${MOST} units are as asked: ask for fewer, such as those of a year.`);
    behind = { exitAt: last.exitAt, tagNo: last.tagNo };
  }
  return sheetAnswer(name, kind, ['tag', ...columns], rows);
}
