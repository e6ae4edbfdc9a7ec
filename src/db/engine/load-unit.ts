import { type AnyColumn, asc, eq, sql } from 'drizzle-orm';
import { newestOf } from '@/core/bench/bench-record';
import { withPots } from '@/core/family/pots';
import { familyOf, VariantSchema } from '@/core/family/variant-schema';
import { stored } from '@/core/schema/stored';
import { provableSince } from '@/core/unit/proving';
import type { UnitRecord } from '@/core/unit/unit-record';
import { programmeAt, programmeInForce } from '../prove/programmes';
import { HANGING, HANGING_FIELDS, type HangingField, type Row } from '../records/registry';
import { toUnit } from '../records/work';
import type { customers, jobs } from '../tables';
import type { Reader } from './connection';
import { prepared } from './prepared';

const Variant = stored(VariantSchema);

type Columns = Readonly<Record<string, AnyColumn>>;
/** What hangs on a unit, as the registry says, as parts of one statement. */
const hanging = Object.fromEntries(
  Object.values(HANGING).map((h) => [
    h.name,
    {
      columns: h.without === undefined ? undefined : Object.fromEntries(h.without.map((column) => [column, false])),
      orderBy: (columns: Columns) => asc(columns[h.by] as AnyColumn),
      ...(h.nested === undefined
        ? {}
        : {
            with: { [h.nested]: { columns: { xMm: true, clockDeg: true, diaMm: true }, orderBy: (r: Columns) => asc(r.seq as AnyColumn) } },
          }),
    },
  ]),
);

type Whole = Row<'units'> & {
  readonly job: typeof jobs.$inferSelect & { readonly customer: typeof customers.$inferSelect };
  readonly variant: { readonly variant: unknown } | null;
} & Readonly<Record<string, readonly never[]>>;

const unitQuery = prepared((db: Reader) =>
  db.query.units
    .findFirst({
      where: (u) => eq(u.id, sql.placeholder('unitId')),
      with: { job: { with: { customer: true } }, variant: { columns: { variant: true } }, ...hanging },
    })
    .prepare(),
);

/** Everything on record about a unit but its events and traces, and the programme that it is proved by; undefined when there is no such unit. */
export async function loadUnit(db: Reader, unitId: string): Promise<UnitRecord | undefined> {
  // The statement is made from the registry, so its type does not name what hangs on the unit.
  const whole = (await unitQuery(db).execute({ unitId })) as Whole | undefined;
  if (whole === undefined) return undefined;
  const { job, variant, ...row } = whole;
  const unit = toUnit(Object.fromEntries(Object.entries(row).filter(([name]) => !HANGING_TABLES.has(name))) as Row<'units'>);
  const record = {
    unit,
    job: {
      id: job.id,
      customer: job.customer.name,
      phone: job.customer.phone,
      customerId: job.customerId,
      mail: job.customer.mail,
      machine: job.machine,
      promisedAt: job.promisedAt,
    },
    family: withPots(familyOf(unit.family, variant === null ? null : Variant.parse(variant.variant)), 1 + unit.morePots.length),
    ...hangingOf((field) => (row[HANGING[field].name] ?? []).map(HANGING[field].read as (row: never) => unknown)),
  };
  const begun = begunBy(record);
  const programme = await (begun === undefined ? programmeInForce(db, unit.family) : programmeAt(db, unit.family, begun));
  return { ...record, programme };
}

const HANGING_TABLES: ReadonlySet<string> = new Set(Object.values(HANGING).map((h) => h.name));
/** Of these there is one at a time: the newest. */
const SINGLE: readonly HangingField[] = ['identity'];

export type Hanging = Pick<UnitRecord, HangingField>;
/** What hangs on a unit, by field of its record. @param listOf gives all rows of a field, read and in order */
export const hangingOf = (listOf: (field: HangingField) => readonly unknown[]): Hanging =>
  Object.fromEntries(
    HANGING_FIELDS.map((field) => [field, SINGLE.includes(field) ? (listOf(field).at(-1) ?? null) : listOf(field)]),
  ) as unknown as Hanging;
/** All of a field of a record, as a list. */
export const listIn = (r: Hanging, field: HangingField): readonly unknown[] => {
  const held: unknown = r[field];
  return Array.isArray(held) ? held : held === null ? [] : [held];
};

/** Version of the programme that the proving of a unit was begun by, as it is closed up now; undefined: nobody has begun. */
export const begunBy = (r: Pick<UnitRecord, 'steps' | 'tray' | 'runs' | 'bench'>): number | undefined => {
  const since = provableSince(r);
  if (since === undefined) return undefined;
  const run = r.runs.findLast((x) => x.startedAt >= since);
  const seen = newestOf(r.bench, 'proof', since);
  return run !== undefined && run.startedAt >= (seen?.at ?? 0) ? run.programme : seen?.programme;
};
