import { inArray, sql } from 'drizzle-orm';
import { PRICE_WORDS, type Price, priceKey, sayPrice } from '@/core/cost/price';
import { MOST_PRICES, withPrices } from '@/core/cost/price-list';
import { PriceSchema } from '@/core/cost/price-schema';
import { FAMILIES } from '@/core/family/families';
import type { UnitKind } from '@/core/family/family-name';
import type { Fitment } from '@/core/identify/fitment';
import type { Person } from '@/core/people/role';
import { isoDay } from '@/core/quantity/say-time';
import { fail, ok, type Result } from '@/core/result';
import type { FileProblem } from '@/core/schema/file-problem';
import { problemsOf } from '@/core/schema/problems';
import type { Article } from '@/core/store/article';
import type { Fate, FatedRow } from '@/core/store/import-record';
import type { CustomerRow, Lined, StoreRows } from '@/core/store/store-rows';
import { pricesInForce, setPrices } from '../cost/prices';
import type { Reader, Tx } from '../engine/connection';
import { mapInPieces } from '../engine/in-pieces';
import { storedFitments } from '../identify/fitments';
import { articles, customers, fitments, lots, stockMoves } from '../tables';
import { articleIndex, shelf } from './catalogue';

/** What the writing is to do, worked out before anything is written. */
export type ImportPlan = { readonly fates: readonly FatedRow[]; readonly write: (tx: Tx, by: By, told: Progress) => Promise<Undo> };
export type By = { readonly importId: string; readonly person: Person; readonly at: number };
export type Progress = (done: number, of: number) => void | Promise<void>;
/** What takes an import back: what it made, and what it changed as it was. */
export type Undo =
  | { readonly what: 'articles'; readonly made: readonly string[]; readonly before: readonly (typeof articles.$inferSelect)[] }
  | { readonly what: 'fitments'; readonly made: readonly string[]; readonly before: readonly (typeof fitments.$inferSelect)[] }
  | { readonly what: 'stock' | 'customers'; readonly made: readonly string[] }
  | { readonly what: 'prices'; readonly version: number; readonly before: readonly Price[] };

/** Rows that one statement writes or names: SQLite binds only so many values. */
export const CHUNK = 500;

/** Holds a file's rows against the store. Refused as a whole, with every row that cannot be. */
export const planImport = (db: Reader, file: StoreRows): Promise<Result<ImportPlan, readonly FileProblem[]>> => {
  switch (file.what) {
    case 'kits':
    case 'sundries':
      return planArticles(db, file.rows, file.lacks);
    case 'fitments':
      return planFitments(db, file.rows, file.lacks);
    case 'stock':
      return planStock(db, file.rows);
    case 'customers':
      return planCustomers(db, file.rows);
    case 'prices':
      return planPrices(db, file.rows);
  }
};

const planArticles = async (
  db: Reader,
  rows: readonly Lined<Omit<Article, 'id'>>[],
  lacks: readonly string[],
): Promise<Result<ImportPlan, readonly FileProblem[]>> => {
  const known = new Map((await articleIndex(db)).map((a) => [a.what.number, a.what]));
  const inFile = new Set(rows.map((r) => r.row.number));
  const problems = await mapInPieces(rows, ({ line, row }): readonly FileProblem[] => [
    ...(known.get(row.number) !== undefined && known.get(row.number)?.type !== row.type
      ? [{ line, column: 'number', message: `${row.number} is a ${known.get(row.number)?.type} in the store` }]
      : []),
    ...(row.supersededBy === null || known.has(row.supersededBy) || inFile.has(row.supersededBy)
      ? []
      : [{ line, column: 'supersededBy', message: `there is no ${row.supersededBy} in the store or the file` }]),
    ...(row.supersededBy === row.number ? [{ line, column: 'supersededBy', message: 'an article cannot take its own place' }] : []),
  ]);
  if (problems.some((p) => p.length > 0)) return fail(problems.flat());
  const planned = await mapInPieces(rows, ({ line, row: told }) => {
    const before = known.get(told.number);
    const row = before === undefined ? told : { ...told, ...kept(before, lacks), items: itemsKept(before, told.items, lacks) };
    const what =
      before === undefined ? [] : changesOf(before, row, ['name', 'price', 'leadDays', 'reorderAt', 'note', 'supersededBy', 'items']);
    const id = before?.id ?? `art-${row.number}`;
    return { line, row: { ...row, id }, fate: fateOf(before, what), what: what.join(', ') };
  });
  return ok({
    fates: planned.map(({ line, row, fate, what }) => ({ line, name: `${row.number} ${row.name}`, fate, what })),
    write: async (tx, { at }, told) => {
      const wanted = planned.filter((p) => p.fate !== 'same');
      const before = await rowsBefore(
        tx,
        articles,
        wanted.filter((p) => p.fate === 'changed').map((p) => p.row.id),
      );
      await inChunks(wanted, told, async (some) => {
        const { name, price, leadDays, reorderAt, note, supersededBy, items, changedAt } = excluded;
        await tx
          .insert(articles)
          .values(some.map((p) => ({ ...p.row, items: [...p.row.items], changedAt: at })))
          .onConflictDoUpdate({ target: articles.id, set: { name, price, leadDays, reorderAt, note, supersededBy, items, changedAt } });
      });
      return { what: 'articles', made: madeBy(wanted), before };
    },
  });
};

const planFitments = async (
  db: Reader,
  rows: readonly Lined<Fitment>[],
  lacks: readonly string[],
): Promise<Result<ImportPlan, readonly FileProblem[]>> => {
  const known = new Map((await storedFitments(db)).map((f) => [f.id, f]));
  const planned = await mapInPieces(rows, ({ line, row: told }) => {
    const before = known.get(told.id);
    const row =
      before === undefined ? told : { ...told, ...kept(before, lacks), features: { ...told.features, ...kept(before.features, lacks) } };
    const what =
      before === undefined
        ? []
        : changesOf(before, row, ['maker', 'machine', 'yearFrom', 'yearTo', 'family', 'position', 'features', 'kits', 'note']);
    return { line, row, fate: fateOf(before, what), what: what.join(', ') };
  });
  return ok({
    fates: planned.map(({ line, row, fate, what }) => ({ line, name: `${row.id}: ${row.maker} ${row.machine}`, fate, what })),
    write: async (tx, { at }, told) => {
      const wanted = planned.filter((p) => p.fate !== 'same');
      const before = await rowsBefore(
        tx,
        fitments,
        wanted.filter((p) => p.fate === 'changed').map((p) => p.row.id),
      );
      await inChunks(wanted, told, async (some) => {
        const { machine, maker, yearFrom, yearTo, family, position, features, kits, note, changedAt } = excluded;
        await tx
          .insert(fitments)
          .values(some.map((p) => ({ ...p.row, changedAt: at })))
          .onConflictDoUpdate({
            target: fitments.id,
            set: { machine, maker, yearFrom, yearTo, family, position, features, kits, note, changedAt },
          });
      });
      return { what: 'fitments', made: madeBy(wanted), before };
    },
  });
};

/** Of what is there, that which the file has no column for. */
const kept = <T extends object>(before: T, lacks: readonly string[]): Partial<T> =>
  Object.fromEntries(Object.entries(before).filter(([name]) => lacks.includes(name))) as Partial<T>;

/** What the file has no column for, of parts that are still what they were: dimensions, and what a sundry's piece is called. */
const itemsKept = ({ type, items }: Article, told: Article['items'], lacks: readonly string[]): Article['items'] =>
  told.map((item, i) => {
    const before = items[i];
    if (before?.kind !== item.kind) return item;
    return { ...item, name: type === 'sundry' ? before.name : item.name, dims: { ...item.dims, ...kept(before.dims, lacks) } };
  });

type StockLine = Extract<StoreRows, { what: 'stock' }>['rows'][number];

const planStock = async (db: Reader, rows: readonly StockLine[]): Promise<Result<ImportPlan, readonly FileProblem[]>> => {
  const known = new Map((await articleIndex(db)).map((a) => [a.what.number, a.what]));
  const onShelf = await shelf(db);
  const lotIn = (row: StockLine['row']) => onShelf.get(known.get(row.number)?.id ?? '')?.find((l) => l.code === row.lot);
  const problems = await mapInPieces(rows, ({ line, row }): readonly FileProblem[] => {
    const lot = lotIn(row);
    if (!known.has(row.number)) return [{ line, column: 'number', message: `there is no ${row.number} in the store` }];
    const other = lot !== undefined && lot.expiresAt !== null && row.expiresAt !== null && isoDay(lot.expiresAt) !== isoDay(row.expiresAt);
    return other
      ? [{ line, column: 'expires', message: `lot ${row.lot} is good until ${isoDay(lot.expiresAt as number)} in the store` }]
      : [];
  });
  if (problems.some((p) => p.length > 0)) return fail(problems.flat());
  const planned = await mapInPieces(rows, ({ line, row }, i) => {
    const lot = lotIn(row);
    const by = row.qty - (lot?.qty ?? 0);
    const fate: Fate = lot === undefined ? 'new' : by === 0 ? 'same' : 'changed';
    return { line, row, i, lot, articleId: known.get(row.number)?.id ?? '', by, fate };
  });
  return ok({
    fates: planned.map(({ line, row, fate, lot }) => ({
      line,
      name: `${row.number}, lot ${row.lot}`,
      fate,
      what: fate === 'changed' ? `${lot?.qty} → ${row.qty}` : fate === 'new' ? `${row.qty}` : '',
    })),
    write: async (tx, { importId, person, at }, told) => {
      const wanted = planned.filter((p) => p.fate !== 'same').map((p) => ({ ...p, lotId: p.lot?.id ?? `${importId}-lot-${p.i}` }));
      await inChunks(wanted, told, async (some) => {
        const fresh = some.filter((p) => p.lot === undefined);
        if (fresh.length > 0)
          await tx.insert(lots).values(
            fresh.map((p) => ({
              id: p.lotId,
              articleId: p.articleId,
              code: p.row.lot,
              receivedAt: at,
              expiresAt: p.row.expiresAt,
              fault: '',
              changedAt: at,
            })),
          );
        const moved = some.filter((p) => p.by !== 0);
        if (moved.length > 0)
          await tx.insert(stockMoves).values(
            moved.map((p) => ({
              id: `${importId}-${p.i}`,
              articleId: p.articleId,
              lotId: p.lotId,
              unitId: null,
              qty: p.by,
              reason: 'imported' as const,
              note: '',
              at,
              personId: person.id,
            })),
          );
      });
      return { what: 'stock', made: wanted.filter((p) => p.by !== 0).map((p) => `${importId}-${p.i}`) };
    },
  });
};

const planCustomers = async (
  db: Reader,
  rows: Extract<StoreRows, { what: 'customers' }>['rows'],
): Promise<Result<ImportPlan, readonly FileProblem[]>> => {
  const known = new Set((await db.select({ name: customers.name, phone: customers.phone }).from(customers)).map(sayCustomer));
  const planned = await mapInPieces(rows, ({ line, row }, i) => ({
    line,
    row,
    i,
    fate: (known.has(sayCustomer(row)) ? 'same' : 'new') as Fate,
  }));
  return ok({
    fates: planned.map(({ line, row, fate }) => ({ line, name: sayCustomer(row), fate, what: '' })),
    write: async (tx, { importId, at }, told) => {
      const wanted = planned.filter((p) => p.fate === 'new').map((p) => ({ id: `${importId}-${p.i}`, ...p.row, createdAt: at }));
      await inChunks(wanted, told, async (some) => {
        await tx.insert(customers).values([...some]);
      });
      return { what: 'customers', made: wanted.map((c) => c.id) };
    },
  });
};
const sayCustomer = ({ name, phone }: Pick<CustomerRow, 'name' | 'phone'>): string => [name, phone].filter((t) => t !== '').join(', ');

const labelOf = (kind: UnitKind): string => FAMILIES[kind].label;
const planPrices = async (
  db: Reader,
  rows: Extract<StoreRows, { what: 'prices' }>['rows'],
): Promise<Result<ImportPlan, readonly FileProblem[]>> => {
  const { version, prices } = await pricesInForce(db);
  const known = new Map(prices.map((p) => [priceKey(p), p]));
  const fitmentIds = new Set((await storedFitments(db)).map((f) => f.id));
  const problems = rows.flatMap(({ line, row }): readonly FileProblem[] => {
    // What could not be read again would take the whole list down.
    const read = PriceSchema.safeParse(row);
    if (!read.success) return problemsOf(read.error).map(({ path, message }) => ({ line, column: path, message }));
    return (row.what === 'exchange' || row.what === 'new') && row.fitment !== null && !fitmentIds.has(row.fitment)
      ? [{ line, column: 'fitment', message: `there is no fitment ${row.fitment}` }]
      : [];
  });
  if (problems.length > 0) return fail(problems);
  const planned = rows.map(({ line, row }) => {
    const before = known.get(priceKey(row));
    const what = before === undefined ? [] : changesOf(before, row as Partial<Price>, Object.keys(row) as (keyof Price)[]);
    return { line, row, fate: fateOf(before, what), what: what.join(', ') };
  });
  const after = withPrices(
    prices,
    rows.map((r) => r.row),
    priceKey,
  );
  if (after.length > MOST_PRICES) return fail([{ line: 0, column: '', message: `a price list has at most ${MOST_PRICES} lines` }]);
  return ok({
    fates: planned.map(({ line, row, fate, what }) => ({
      line,
      name: `${PRICE_WORDS[row.what]}, ${sayPrice(row, labelOf)}`,
      fate,
      what,
    })),
    write: async (tx, { person, at }, told) => {
      const wanted = planned.filter((p) => p.fate !== 'same');
      if (wanted.length === 0) return { what: 'prices', version, before: prices };
      // Prices that somebody set meanwhile stay, but for those that the file speaks of.
      const now = await pricesInForce(tx);
      const [only] = wanted.length === 1 ? wanted : [];
      const note = only === undefined ? `${wanted.length} lines of a file` : `${only.fate}: ${sayPrice(only.row, labelOf)}`;
      const made = await setPrices(
        tx,
        { personId: person.id, at },
        note,
        withPrices(
          now.prices,
          wanted.map((w) => w.row),
          priceKey,
        ),
      );
      await told(wanted.length, wanted.length);
      return { what: 'prices', version: made, before: now.prices };
    },
  });
};

/** What differs, in the columns' names. */
const changesOf = <T extends object>(before: T, after: Partial<T>, names: readonly (keyof T & string)[]): readonly string[] =>
  names.filter((n) => stable(before[n]) !== stable(after[n]));
/** The same for the same content, however its fields are ordered; what is not known is left out. */
const stable = (value: unknown): string =>
  JSON.stringify(value, (_, v: unknown) =>
    typeof v === 'object' && v !== null && !Array.isArray(v)
      ? Object.fromEntries(
          Object.entries(v)
            .filter(([, x]) => x != null)
            .sort(([a], [b]) => (a < b ? -1 : 1)),
        )
      : v,
  ) ?? '';
const fateOf = (before: unknown, what: readonly string[]): Fate => (before === undefined ? 'new' : what.length > 0 ? 'changed' : 'same');
const madeBy = (planned: readonly { readonly fate: Fate; readonly row: { readonly id: string } }[]): readonly string[] =>
  planned.filter((p) => p.fate === 'new').map((p) => p.row.id);

/** The values that a conflicting row would have had. */
const excluded = new Proxy({} as Record<string, ReturnType<typeof sql>>, {
  get: (_, name) =>
    sql.raw(
      `excluded.${String(name)
        .replace(/([a-z0-9])([A-Z])/g, '$1_$2')
        .toLowerCase()}`,
    ),
});

const inChunks = async <T>(all: readonly T[], told: Progress, work: (some: readonly T[]) => Promise<void>): Promise<void> => {
  for (let at = 0; at < all.length; at += CHUNK) {
    await work(all.slice(at, at + CHUNK));
    await told(Math.min(all.length, at + CHUNK), all.length);
  }
};

const rowsBefore = async <T extends typeof articles | typeof fitments>(
  tx: Tx,
  table: T,
  ids: readonly string[],
): Promise<T['$inferSelect'][]> => {
  const rows: T['$inferSelect'][] = [];
  for (let at = 0; at < ids.length; at += CHUNK)
    rows.push(
      ...((await tx
        .select()
        .from(table)
        .where(inArray(table.id, ids.slice(at, at + CHUNK)))) as T['$inferSelect'][]),
    );
  return rows;
};
