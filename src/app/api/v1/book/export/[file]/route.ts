import { bookFilterIn } from '@/core/book/book-filter';
import { GROUPING_NAMES } from '@/core/book/grouping';
import { isoDay } from '@/core/quantity/say-time';
import { EXIT_WORDS } from '@/core/station';
import type { TrayTag } from '@/core/unit/tray-tag';
import { tagOf } from '@/core/unit/unit-record';
import type { Line } from '@/csv/read-table';
import { statisticsOf } from '@/db/book/lives-by';
import { theDb } from '@/db/engine/connection';
import { type BookPlace, leftUnits } from '@/db/rack/rack';
import { problem } from '../../../../../_server/request';
import { isSheetKind, sheetAnswer } from '../../../../../_server/sheet-answer';
import { currentPerson } from '../../../../../_server/who';

const COLUMNS = ['tag', 'family', 'machine', 'position', 'customer', 'complaint', 'bore', 'targetDiaMm', 'left', 'how'];
const STATISTICS = [...GROUPING_NAMES.filter((g) => g !== 'kit' && g !== 'lot'), 'days', 'cameBack', 'releasedDaysAgo'];
/** Rows that a file holds; more are asked for by narrower filters. Read so many at a time. */
const [MOST, PIECE] = [20_000, 500];

/** The units of the Book that an address asks for, as a table: `book.csv`, `book.xlsx`; or all that were released, without names: `statistics.csv`, `statistics.xlsx`. */
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
  const filter = bookFilterIn(Object.fromEntries(new URL(request.url).searchParams));
  const db = await theDb();
  const rows: Line[] = [];
  for (let behind: BookPlace | null = null; ; ) {
    const { units } = await leftUnits(db, behind, PIECE, { by: 'when', way: 'down' }, filter);
    rows.push(...units.map(lineOf));
    const last = units.at(-1);
    if (units.length < PIECE || last === undefined || last.exitAt === null) break;
    if (rows.length >= MOST) return problem(413, `More than ${MOST} units are as asked: ask for fewer, such as those of a year.`);
    behind = { exitAt: last.exitAt, tagNo: last.tagNo };
  }
  return sheetAnswer(name, kind, COLUMNS, rows);
}

const lineOf = (u: TrayTag): Line => ({
  tag: tagOf(u),
  family: u.familyLabel,
  machine: u.machine,
  position: u.position,
  customer: u.customer,
  complaint: u.complaint,
  bore: u.outcome ?? '',
  targetDiaMm: u.targetDiaMm ?? '',
  left: u.exitAt === null ? '' : isoDay(u.exitAt),
  how: u.exit === null ? '' : EXIT_WORDS[u.exit],
});
