import { and, eq, gte, isNotNull, lt, not, type SQL, sql } from 'drizzle-orm';
import type { BookFilter } from '@/core/book/book-filter';
import { units } from '../tables';

/** Which units that left are asked for. Statements on other rows go by their indexes. */
export const bookWhere = (f: BookFilter): SQL | undefined =>
  and(
    isNotNull(units.exitAt),
    f.family && eq(units.family, f.family),
    f.material && eq(units.material, f.material),
    f.exit && eq(units.exit, f.exit),
    f.from === undefined ? undefined : gte(units.exitAt, f.from),
    f.until === undefined ? undefined : lt(units.exitAt, f.until),
    // A statement on one table alone names its columns without it, so they are written out here.
    f.way && sql`coalesce((select t.way from taught_units t where t.unit_id = units.id), units.outcome, 'no-bore') = ${f.way}`,
    f.back === undefined ? undefined : f.back === 'yes' ? cameBack : not(cameBack),
    f.kit === undefined ? undefined : sql`exists (select 1 from bags g where g.unit_id = units.id and g.number = ${f.kit})`,
    f.lot === undefined ? undefined : sql`exists (select 1 from bags g where g.unit_id = units.id and g.lot_code = ${f.lot})`,
  );

const cameBack = sql`exists (select 1 from units b where b.comes_back_from = units.id)`;
