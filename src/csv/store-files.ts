import { CHARGES, PRICE_KINDS, type Price, priceKey } from '@/core/cost/price';
import { Mail } from '@/core/customer/customer-schema';
import type { Dims } from '@/core/family/dims';
import { UNIT_KINDS } from '@/core/family/family-name';
import { PART_KIND_NAMES } from '@/core/family/part-kind';
import type { Fitment } from '@/core/identify/fitment';
import { amountOf, centsOf } from '@/core/quantity/cents';
import { fail, ok, type Result } from '@/core/result';
import type { FileProblem } from '@/core/schema/file-problem';
import { STATIONS } from '@/core/station';
import type { Article, BagItem } from '@/core/store/article';
import type { CustomerRow, Lined, StockRow, StoreRows, StoreRowsOf } from '@/core/store/store-rows';
import { WAYS } from '@/core/way';
import type { CsvTable, Line } from './read-table';
import { RowReader } from './row-reader';

/** What the store takes in and gives out as a table. */
export const STORE_FILES = {
  kits: 'Kits: a line for each part of the bag',
  sundries: 'Sundries: a line for each',
  fitments: 'Fitments: a line for each',
  stock: 'Stock: what is on the shelf, a line for each lot',
  customers: 'Customers: a line for each',
  prices: 'Price list: a line for each price',
} as const;
export type StoreFile = keyof typeof STORE_FILES;
export const STORE_FILE_NAMES = Object.keys(STORE_FILES) as readonly StoreFile[];

const LENGTHS = ['boreMm', 'idMm', 'odMm', 'csMm', 'lengthMm', 'thickMm', 'diaMm'] as const;
const WORDS = ['thread', 'tip', 'rubber'] as const;
const DIMS = [...LENGTHS, ...WORDS] as const;
const FEATURES = ['boreMm', 'strokeMm', 'bodyLengthMm', 'studPitchMm'] as const;
const ARTICLE = ['number', 'name', 'price', 'leadDays', 'reorderAt', 'note', 'supersededBy'] as const;

/** Columns in the order they are written; the first ones of each may not be left out. */
export const COLUMNS: { readonly [F in StoreFile]: { readonly all: readonly string[]; readonly needed: readonly string[] } } = {
  kits: { all: [...ARTICLE, 'part', 'kind', 'qty', ...DIMS], needed: ['number', 'name', 'price', 'part', 'kind', 'qty'] },
  sundries: { all: [...ARTICLE, 'kind', ...DIMS], needed: ['number', 'name', 'price', 'kind'] },
  fitments: {
    all: [
      'id',
      'maker',
      'machine',
      'yearFrom',
      'yearTo',
      'family',
      'position',
      ...FEATURES,
      'portThreads',
      'outletCount',
      'castingMark',
      'kits',
      'note',
    ],
    needed: ['id', 'maker', 'machine', 'family', 'position'],
  },
  stock: { all: ['number', 'lot', 'qty', 'expires'], needed: ['number', 'lot', 'qty'] },
  customers: { all: ['name', 'phone', 'mail', 'address'], needed: ['name'] },
  prices: {
    all: [
      'what',
      'family',
      'way',
      'station',
      'uptoMm',
      'number',
      'boreMm',
      'fitment',
      'supplier',
      'stock',
      'days',
      'price',
      'name',
      'on',
      'percent',
    ],
    needed: ['what', 'price'],
  },
};

/** A row as it is to be, and the line of the file it stands on. */
/** The rows of a file, or everything that is wrong with it. */
export const readStoreFile = (what: StoreFile, table: CsvTable): Result<StoreRows, readonly FileProblem[]> => {
  const lacking = COLUMNS[what].needed.filter((n) => !table.columns.includes(n));
  if (lacking.length > 0) return fail(lacking.map((column) => ({ line: 1, column, message: 'this column is not there' })));
  if (table.rows.length === 0) return fail([{ line: 2, column: '', message: 'there are no rows in it' }]);
  const reader = new RowReader(table.columns, table.dialect);
  const rows = rowsOf(what, table, reader);
  return reader.problems.length > 0
    ? fail(reader.problems)
    : ok({ ...rows, lacks: COLUMNS[what].all.filter((c) => !table.columns.includes(c)) });
};

const rowsOf = (what: StoreFile, { rows }: CsvTable, reader: RowReader): StoreRowsOf => {
  switch (what) {
    case 'kits':
      return { what, rows: kitsIn(rows, reader) };
    case 'sundries':
      return {
        what,
        rows: once(
          rows.map((row) => ({ line: row.line, row: sundryIn(row, reader) })),
          (s) => s.number,
          'number',
          reader,
        ),
      };
    case 'fitments':
      return {
        what,
        rows: once(
          rows.map((row) => ({ line: row.line, row: fitmentIn(row, reader) })),
          (f) => f.id,
          'id',
          reader,
        ),
      };
    case 'stock':
      return {
        what,
        rows: once(
          rows.map((row) => ({ line: row.line, row: stockIn(row, reader) })),
          (s) => `${s.number} ${s.lot}`,
          'lot',
          reader,
        ),
      };
    case 'customers':
      return {
        what,
        rows: once(
          rows.map((row) => ({ line: row.line, row: customerIn(row, reader) })),
          (c) => `${c.name} ${c.phone}`.trim(),
          'name',
          reader,
        ),
      };
    case 'prices':
      return { what, rows: once(pricesIn(rows, reader), priceKey, 'what', reader) };
  }
};

type Row = CsvTable['rows'][number];

const dimsIn = (row: Row, r: RowReader): Dims =>
  Object.fromEntries([
    ...LENGTHS.flatMap((d) => {
      const mm = r.number(row, d, [0.01, 10_000]);
      return mm === null ? [] : [[d, mm] as const];
    }),
    ...WORDS.flatMap((d) => {
      const text = r.text(row, d, 40);
      return text === '' ? [] : [[d, text] as const];
    }),
  ]);

const articleIn = (row: Row, r: RowReader, type: Article['type']): Omit<Article, 'id' | 'items'> => {
  const price = r.number(row, 'price', [0, 1e7]);
  if (price === null && (row.cells.price ?? '') === '') r.wrong(row, 'price', 'is empty');
  const supersededBy = r.text(row, 'supersededBy', 60);
  return {
    number: r.text(row, 'number', 60, 'needed'),
    type,
    name: r.text(row, 'name', 120, 'needed'),
    price: price ?? 0,
    leadDays: r.number(row, 'leadDays', [0, 3650], 'whole'),
    reorderAt: r.number(row, 'reorderAt', [0, 100_000], 'whole'),
    note: r.text(row, 'note', 500),
    supersededBy: supersededBy === '' ? null : supersededBy,
  };
};

/** Lines of one number are one kit; what they say of it as a whole is the same on each, or stands on its first alone. */
const kitsIn = (rows: readonly Row[], r: RowReader): readonly Lined<Omit<Article, 'id'>>[] => {
  const kits = new Map<string, { readonly first: Row; readonly items: BagItem[] }>();
  for (const row of rows) {
    const number = row.cells.number ?? '';
    const kit = kits.get(number) ?? { first: row, items: [] };
    kits.set(number, kit);
    for (const column of ARTICLE) {
      const [mine, first] = [row.cells[column] ?? '', kit.first.cells[column] ?? ''];
      if (mine !== '' && mine !== first) r.wrong(row, column, `is another than on line ${kit.first.line} of the same kit`);
    }
    const kind = r.oneOf(row, 'kind', PART_KIND_NAMES);
    const qty = r.number(row, 'qty', [1, 1000], 'whole');
    if (qty === null && (row.cells.qty ?? '') === '') r.wrong(row, 'qty', 'is empty');
    kit.items.push({ name: r.text(row, 'part', 80, 'needed'), kind: kind ?? 'cup', qty: qty ?? 1, dims: dimsIn(row, r) });
  }
  return [...kits.values()].map(({ first, items }) => ({ line: first.line, row: { ...articleIn(first, r, 'kit'), items } }));
};

const sundryIn = (row: Row, r: RowReader): Omit<Article, 'id'> => {
  const article = articleIn(row, r, 'sundry');
  const kind = r.oneOf(row, 'kind', PART_KIND_NAMES) ?? 'cup';
  return { ...article, items: [{ name: article.name, kind, qty: 1, dims: dimsIn(row, r) }] };
};

const fitmentIn = (row: Row, r: RowReader): Fitment => {
  const threads = r.list(row, 'portThreads');
  const mark = r.text(row, 'castingMark', 100);
  const [yearFrom, yearTo] = [r.number(row, 'yearFrom', [1900, 2100], 'whole'), r.number(row, 'yearTo', [1900, 2100], 'whole')];
  if (yearFrom !== null && yearTo !== null && yearTo < yearFrom) r.wrong(row, 'yearTo', 'is before yearFrom');
  return {
    id: r.text(row, 'id', 100, 'needed'),
    maker: r.text(row, 'maker', 80, 'needed'),
    machine: r.text(row, 'machine', 120, 'needed'),
    yearFrom,
    yearTo,
    family: r.oneOf(row, 'family', UNIT_KINDS) ?? 'master-single',
    position: r.text(row, 'position', 80, 'needed'),
    features: {
      ...Object.fromEntries(FEATURES.map((f) => [f, r.number(row, f, [0.01, 10_000])])),
      portThreads: threads.length === 0 ? null : threads,
      outletCount: r.number(row, 'outletCount', [0, 20], 'whole'),
      castingMark: mark === '' ? null : mark,
    },
    kits: r.list(row, 'kits'),
    note: r.text(row, 'note', 500),
  };
};

const stockIn = (row: Row, r: RowReader): StockRow => {
  const qty = r.number(row, 'qty', [0, 100_000], 'whole');
  if (qty === null && (row.cells.qty ?? '') === '') r.wrong(row, 'qty', 'is empty');
  return {
    number: r.text(row, 'number', 60, 'needed'),
    lot: r.text(row, 'lot', 60, 'needed'),
    qty: qty ?? 0,
    expiresAt: r.day(row, 'expires'),
  };
};

/** As they are entered at the counter: who has the same name and telephone is the same customer. */
const customerIn = (row: Row, r: RowReader): CustomerRow => {
  const mail = r.text(row, 'mail', 200);
  if (!Mail.safeParse(mail).success) r.wrong(row, 'mail', 'is no mail address, as name@example.org');
  return { name: r.text(row, 'name', 120, 'needed'), phone: r.text(row, 'phone', 40), mail, address: r.text(row, 'address', 300) };
};

const pricesIn = (rows: readonly Row[], r: RowReader): readonly Lined<Price>[] =>
  rows.flatMap((row) => {
    const price = priceIn(row, r);
    return price === undefined ? [] : [{ line: row.line, row: price }];
  });

/** A line of the price list; what it has no use for is passed over. */
const priceIn = (row: Row, r: RowReader): Price | undefined => {
  const what = r.oneOf(row, 'what', PRICE_KINDS);
  if (what === undefined) return undefined;
  const any = <T extends string>(column: string, words: readonly T[]): T | null =>
    (row.cells[column] ?? '') === '' ? null : (r.oneOf(row, column, words) ?? null);
  const needed = (column: string, [least, most]: readonly [number, number], kind: 'whole' | 'any' = 'any'): number => {
    if ((row.cells[column] ?? '') === '') r.wrong(row, column, 'is empty');
    return r.number(row, column, [least, most], kind) ?? least;
  };
  const cents = (): number => centsOf(needed('price', [0, 1e8]));
  switch (what) {
    case 'work':
      return { what, family: any('family', UNIT_KINDS), way: any('way', WAYS), station: any('station', STATIONS), cents: cents() };
    case 'sleeve':
      return {
        what,
        family: any('family', UNIT_KINDS),
        uptoMm: r.number(row, 'uptoMm', [1, 300]),
        supplier: r.text(row, 'supplier', 80, 'needed'),
        days: needed('days', [0, 3650], 'whole'),
        cents: cents(),
      };
    case 'exchange':
    case 'new': {
      const [supplier, fitment] = [r.text(row, 'supplier', 80), r.text(row, 'fitment', 100)];
      return {
        what,
        number: r.text(row, 'number', 60, 'needed'),
        family: r.oneOf(row, 'family', UNIT_KINDS) ?? 'master-single',
        boreMm: r.number(row, 'boreMm', [1, 300]),
        fitment: fitment === '' ? null : fitment,
        supplier,
        stock: r.number(row, 'stock', [0, 100_000], 'whole') ?? 0,
        // On the own shelf it is there at once.
        days: supplier === '' ? 0 : needed('days', [0, 3650], 'whole'),
        cents: cents(),
      };
    }
    case 'tax':
      return { what, name: r.text(row, 'name', 40, 'needed'), on: any('on', CHARGES), pct: needed('percent', [0, 100]) };
    case 'rounding':
      return { what, cents: Math.max(1, centsOf(needed('price', [0, 1e6]))) };
  }
};

/** Rows of which each comes once; a second is told at its line. */
const once = <T>(rows: readonly Lined<T>[], key: (row: T) => string, column: string, r: RowReader): readonly Lined<T>[] => {
  const first = new Map<string, number>();
  for (const { line, row } of rows) {
    const before = first.get(key(row));
    if (before === undefined) first.set(key(row), line);
    else r.wrong({ line }, column, `${key(row)} stands on line ${before} already`);
  }
  return rows;
};

/** A line of the price list in the columns of its file; money in the shop's own. */
export const priceLine = (p: Price): Line => {
  const { cents, pct, ...rest } = { cents: null, pct: null, ...p };
  return {
    ...Object.fromEntries(COLUMNS.prices.all.map((c) => [c, (rest as Readonly<Record<string, unknown>>)[c] ?? ''])),
    price: cents === null ? '' : amountOf(cents),
    percent: pct ?? '',
  };
};

const dimCells = (dims: Dims): Readonly<Record<string, unknown>> => Object.fromEntries(DIMS.map((d) => [d, dims[d] ?? '']));
const articleCells = (a: Article): Readonly<Record<string, unknown>> => ({
  ...a,
  leadDays: a.leadDays ?? '',
  reorderAt: a.reorderAt ?? '',
  supersededBy: a.supersededBy ?? '',
});

export const kitLines = (a: Article): readonly Readonly<Record<string, unknown>>[] =>
  a.items.map((i) => ({ ...articleCells(a), part: i.name, kind: i.kind, qty: i.qty, ...dimCells(i.dims) }));
export const sundryLine = (a: Article): Readonly<Record<string, unknown>> => ({
  ...articleCells(a),
  kind: a.items[0]?.kind ?? '',
  ...dimCells(a.items[0]?.dims ?? {}),
});
export const fitmentLine = ({ features, kits, ...f }: Fitment): Readonly<Record<string, unknown>> => ({
  ...f,
  yearFrom: f.yearFrom ?? '',
  yearTo: f.yearTo ?? '',
  ...Object.fromEntries([...FEATURES, 'outletCount', 'castingMark'].map((n) => [n, features[n as keyof typeof features] ?? ''])),
  portThreads: features.portThreads?.join(' ') ?? '',
  kits: kits.join(' '),
});
