import { and, eq, gte, isNotNull, isNull, lt, type SQL, sql } from 'drizzle-orm';
import type { BookFilter } from '@/core/book/book-filter';
import { bookUnits } from '../tables';

/** Which rows of the Book are asked for. */
export const bookWhere = (f: BookFilter): SQL | undefined =>
  and(
    f.family && eq(bookUnits.family, f.family),
    f.material && eq(bookUnits.material, f.material),
    f.exit && eq(bookUnits.exit, f.exit),
    f.from === undefined ? undefined : gte(bookUnits.exitAt, f.from),
    f.until === undefined ? undefined : lt(bookUnits.exitAt, f.until),
    f.way && eq(bookUnits.way, f.way),
    f.back === undefined ? undefined : f.back === 'yes' ? isNotNull(bookUnits.backAt) : isNull(bookUnits.backAt),
    f.school && eq(bookUnits.school, f.school),
    f.rig && eq(bookUnits.rig, f.rig),
    f.cause &&
      sql`${bookUnits.unitId} in (select f.unit_id from findings f where f.about = 'cause' and f.name = ${f.cause} and f.answer = 'yes')`,
    f.kit === undefined ? undefined : sql`${bookUnits.unitId} in (select g.unit_id from bags g where g.number = ${f.kit})`,
    f.lot === undefined ? undefined : sql`${bookUnits.unitId} in (select g.unit_id from bags g where g.lot_code = ${f.lot})`,
  );
