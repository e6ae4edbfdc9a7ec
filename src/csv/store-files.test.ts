import ExcelJS from 'exceljs';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { PART_KIND_NAMES } from '@/core/family/part-kind';
import type { Fitment } from '@/core/identify/fitment';
import type { Result } from '@/core/result';
import type { FileProblem } from '@/core/schema/file-problem';
import { localeOf, STANDARD_SHOP } from '@/core/shop/settings';
import type { Article } from '@/core/store/article';
import type { StoreRows } from '@/core/store/store-rows';
import { PRICES } from '../../demo/prices';
import { type CsvTable, STORE_LIMITS as MOST, readTable, writeTable } from './read-table';
import { COLUMNS, fitmentLine, kitLines, priceLine, readStoreFile, type StoreFile, sundryLine } from './store-files';
import { readXlsx, writeXlsx } from './xlsx';

const MANY = { rows: 50_000, characters: 20_000_000 };
const read = (what: StoreFile, text: string): Result<StoreRows, readonly FileProblem[]> => {
  const table = readTable(text, MANY);
  return table.ok ? readStoreFile(what, table.value) : table;
};
const rows = (what: StoreFile, text: string): readonly unknown[] => {
  const got = read(what, text);
  if (!got.ok) throw new Error(JSON.stringify(got.error));
  return got.value.rows.map((r) => r.row);
};
const wrong = (what: StoreFile, text: string) => {
  const got = read(what, text);
  return got.ok ? [] : got.error.map((p) => [p.line, p.column, p.message]);
};

describe('kits', () => {
  const head = 'number,name,price,leadDays,part,kind,qty,boreMm,idMm,odMm,thread\n';

  test('lines of one number are one kit, wherever they stand; what is said once holds for all', () => {
    const text = `${head}K-1,Master,12.50,3,cup,cup,2,19.05,,,\nK-2,Slave,8,,cup,cup,1,19.05,,,\nK-1,,,,boot,boot,1,,10,26,\nK-1,Master,12.50,3,screw,bleed-screw,1,,,,M10x1\n`;
    expect(rows('kits', text)).toEqual([
      {
        number: 'K-1',
        type: 'kit',
        name: 'Master',
        price: 12.5,
        leadDays: 3,
        reorderAt: null,
        note: '',
        supersededBy: null,
        items: [
          { name: 'cup', kind: 'cup', qty: 2, dims: { boreMm: 19.05 } },
          { name: 'boot', kind: 'boot', qty: 1, dims: { idMm: 10, odMm: 26 } },
          { name: 'screw', kind: 'bleed-screw', qty: 1, dims: { thread: 'M10x1' } },
        ],
      },
      expect.objectContaining({ number: 'K-2', leadDays: null, items: [{ name: 'cup', kind: 'cup', qty: 1, dims: { boreMm: 19.05 } }] }),
    ]);
  });

  test('semicolons, decimal commas and a byte order mark are understood', () => {
    const text = '\uFEFFnumber;name;price;part;kind;qty;boreMm\nK-1;Master;12,5;cup;cup;2;19,05\n';
    expect(rows('kits', text)[0]).toMatchObject({ price: 12.5, items: [{ dims: { boreMm: 19.05 } }] });
  });

  test('all that is wrong is told at once', () => {
    const text = `${head},Master,,three,,hat,0,wide,-1,,\nK-2,S,8,1.5,cup,cup,1.5,,,,\n`;
    expect(wrong('kits', text)).toEqual([
      [2, 'kind', '“hat” is none of those known'],
      [2, 'qty', '0 is not between 1 and 1000'],
      [2, 'part', 'is empty'],
      [2, 'boreMm', '“wide” is not a number'],
      [2, 'idMm', '-1 is not between 0.01 and 10000'],
      [3, 'qty', '1.5 is not a whole number'],
      [2, 'price', 'is empty'],
      [2, 'number', 'is empty'],
      [2, 'leadDays', '“three” is not a number'],
      [3, 'leadDays', '1.5 is not a whole number'],
    ]);
  });

  test('what the file has no column for is named, so that it can stay', () => {
    const got = read('kits', `${head}K-1,Master,1,,cup,cup,1,,,,\n`);
    expect(got.ok && got.value.lacks).toEqual([
      'reorderAt',
      'note',
      'supersededBy',
      'csMm',
      'lengthMm',
      'thickMm',
      'diaMm',
      'tip',
      'rubber',
    ]);
  });

  test('too many rows, too many characters, and text that is too long', () => {
    const many = readTable(`a\n${'1\n'.repeat(30)}`, { rows: 20, characters: 1000 });
    expect(many.ok ? [] : many.error.map((p) => [p.line, p.message])).toEqual([[22, 'more than 20 rows']]);
    const long = readTable('a'.repeat(2000), { rows: 20, characters: 1000 });
    expect(long.ok ? '' : long.error[0]?.message).toMatch(/^the file is larger than/);
    expect(wrong('kits', `${head}K-1,${'x'.repeat(130)},1,,cup,cup,1,,,,\n`)).toEqual([[2, 'name', 'is longer than 120 characters']]);
  });
});

describe('fitments and stock', () => {
  test('lists stand in a cell with spaces, bars or semicolons; what is empty is not known', () => {
    const text =
      'id,maker,machine,yearFrom,yearTo,family,position,boreMm,portThreads,outletCount,castingMark,kits\nf,Tarn,cutter,1980,,slave,clutch,,M10x1 3/8-24,2,,K-1|K-2\n';
    expect(rows('fitments', text)).toEqual([
      {
        id: 'f',
        maker: 'Tarn',
        machine: 'cutter',
        yearFrom: 1980,
        yearTo: null,
        family: 'slave',
        position: 'clutch',
        features: {
          boreMm: null,
          strokeMm: null,
          bodyLengthMm: null,
          studPitchMm: null,
          portThreads: ['M10x1', '3/8-24'],
          outletCount: 2,
          castingMark: null,
        },
        kits: ['K-1', 'K-2'],
        note: '',
      },
    ]);
    expect(wrong('fitments', text.replace('1980,,', '1980,1970,').replace('slave', 'toaster'))).toEqual([
      [2, 'yearTo', 'is before yearFrom'],
      [2, 'family', expect.stringMatching(/^“toaster” is none of those known: master-single, /)],
    ]);
  });

  test('a shop with decimal commas parts its cells by semicolons, and reads its own files back', () => {
    globalThis.eddrinLocale = localeOf({ ...STANDARD_SHOP, decimalMark: ',' }, []);
    const line = { number: 'K-1', name: 'Cup; small', price: 15.1, part: 'cup', kind: 'cup', qty: 2, boreMm: 22.225 };
    const text = writeTable(COLUMNS.kits.all, [line]);
    // A figure below nought is a figure; what looks like one and is more is a text.
    const written = writeTable(
      ['a', 'b'],
      [
        { a: -3.25, b: -1e-7 },
        { a: '-3+1', b: '=A1' },
      ],
    );
    globalThis.eddrinLocale = undefined;
    expect(text.split('\r\n')[1]).toMatch(/^K-1;"Cup; small";15,1;.*;22,225;/);
    expect(written).toBe('a;b\r\n-3,25;-1e-7\r\n"\'-3+1";"\'=A1"\r\n');
    expect(rows('kits', text)).toMatchObject([{ number: 'K-1', name: 'Cup; small', price: 15.1, items: [{ dims: { boreMm: 22.225 } }] }]);
  });

  test('a lot counts to its last day', () => {
    const [row] = rows('stock', 'number,lot,qty,expires\nK-1,A,3,2030-02-28\n') as [{ readonly expiresAt: number }];
    expect(new Date(row.expiresAt).toLocaleDateString('sv-SE')).toBe('2030-02-28');
    expect(new Date(row.expiresAt + 1000).toLocaleDateString('sv-SE')).toBe('2030-03-01');
    expect(wrong('stock', 'number,lot,qty,expires\nK-1,A,-1,2030-02-31\nK-1,B,,soon\nK-1,B,1,\n')).toEqual([
      [2, 'qty', '-1 is not between 0 and 100000'],
      [2, 'expires', '“2030-02-31” is not a day such as 2027-05-31'],
      [3, 'qty', 'is empty'],
      [3, 'expires', '“soon” is not a day such as 2027-05-31'],
      [4, 'lot', 'K-1 B stands on line 3 already'],
    ]);
  });
});

describe('prices', () => {
  test('lines of every kind come out as they went in, with the shop’s own marks and money', () => {
    globalThis.eddrinLocale = localeOf({ ...STANDARD_SHOP, decimalMark: ',' }, ['SQ']);
    const text = writeTable(COLUMNS.prices.all, PRICES.map(priceLine));
    const back = rows('prices', text);
    globalThis.eddrinLocale = undefined;
    expect(text.split('\r\n')[4]).toMatch(/^sleeve;;;;32;;;;Quayside Boring;;8;74;/);
    expect(back).toEqual(PRICES);
  });

  test('all that is wrong with them is told at once; a line of a kind stands once', () => {
    const head = 'what,family,way,station,number,supplier,days,price,name,on,percent\n';
    expect(
      wrong('prices', `${head}work,hat,,hone,,,,-1,,,\ngift,,,,,,,1,,,\nexchange,slave,,,,Spares,,5,,,\ntax,,,,,,,,VAT,all,120\n`),
    ).toEqual([
      [2, 'family', expect.stringMatching(/^“hat” is none of those known/)],
      [2, 'price', '-1 is not between 0 and 100000000'],
      [3, 'what', expect.stringMatching(/^“gift” is none of those known: work, sleeve/)],
      [4, 'number', 'is empty'],
      [4, 'days', 'is empty'],
      [5, 'on', expect.stringMatching(/^“all” is none of those known/)],
      [5, 'percent', '120 is not between 0 and 100'],
    ]);
    expect(wrong('prices', `${head}work,,,hone,,,,5,,,\nwork,,,hone,,,,6,,,\n`)).toEqual([
      [3, 'what', 'work any any hone stands on line 2 already'],
    ]);
  });
});

const word = fc.stringMatching(/^[A-Za-z0-9][A-Za-z0-9 "'.,;é⌀-]{0,20}[A-Za-z0-9]$/);
const size = fc.integer({ min: 10, max: 90_000 }).map((n) => n / 1000);
const dims = fc
  .record({ boreMm: size, idMm: size, odMm: size, thread: fc.constantFrom('M10x1', '3/8-24') }, { requiredKeys: [] })
  .map((d) => d as Article['items'][number]['dims']);
const item = fc.record({ kind: fc.constantFrom(...PART_KIND_NAMES), name: word, qty: fc.integer({ min: 1, max: 9 }), dims });
const article = (type: Article['type']): fc.Arbitrary<Article> =>
  fc.record({
    id: fc.constant('a'),
    number: fc.uuid(),
    type: fc.constant(type),
    name: word,
    price: fc.integer({ min: 0, max: 90_000 }).map((c) => c / 100),
    leadDays: fc.option(fc.integer({ min: 0, max: 90 })),
    note: fc.oneof(fc.constant(''), word),
    supersededBy: fc.option(fc.uuid()),
    reorderAt: fc.option(fc.integer({ min: 0, max: 900 })),
    items: type === 'kit' ? fc.array(item, { minLength: 1, maxLength: 5 }) : item.map((i) => [{ ...i, qty: 1 }]),
  });
const fitment: fc.Arbitrary<Fitment> = fc.record({
  id: fc.uuid(),
  maker: word,
  machine: word,
  yearFrom: fc.constantFrom(null, 1970),
  yearTo: fc.constantFrom(null, 1990),
  family: fc.constantFrom('slave', 'master-tandem'),
  position: word,
  features: fc.record({
    boreMm: fc.option(size),
    strokeMm: fc.option(size),
    bodyLengthMm: fc.constant(null),
    studPitchMm: fc.constant(null),
    portThreads: fc.option(fc.array(fc.constantFrom('M10x1', 'M12x1'), { minLength: 1, maxLength: 3 })),
    outletCount: fc.option(fc.integer({ min: 0, max: 4 })),
    castingMark: fc.option(word),
  }),
  kits: fc.uniqueArray(fc.constantFrom('K-1', 'K-2', 'K-3')),
  note: fc.oneof(fc.constant(''), word),
});

describe('what goes out comes in as it was', () => {
  const back = (what: StoreFile, lines: readonly Readonly<Record<string, unknown>>[]): readonly unknown[] =>
    rows(what, writeTable(COLUMNS[what].all, lines));
  /** As a file can tell it: without what only the store knows. */
  const told = ({ id: _, ...rest }: Article) => rest;

  test('kits', () => {
    fc.assert(
      fc.property(fc.uniqueArray(article('kit'), { minLength: 1, maxLength: 6, selector: (a) => a.number }), (all) => {
        expect(back('kits', all.flatMap(kitLines))).toEqual(all.map(told));
      }),
      { numRuns: 60 },
    );
  });

  test('sundries, whose piece is called as they are', () => {
    fc.assert(
      fc.property(fc.uniqueArray(article('sundry'), { minLength: 1, maxLength: 6, selector: (a) => a.number }), (all) => {
        expect(back('sundries', all.map(sundryLine))).toEqual(
          all.map((a) => ({ ...told(a), items: a.items.map((i) => ({ ...i, name: a.name })) })),
        );
      }),
      { numRuns: 60 },
    );
  });

  test('fitments', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fitment, { minLength: 1, maxLength: 6, selector: (f) => f.id }), (all) => {
        expect(back('fitments', all.map(fitmentLine))).toEqual(all);
      }),
      { numRuns: 60 },
    );
  });

  test('as a workbook too', async () => {
    const all = fc.sample(article('kit'), { numRuns: 12, seed: 7 });
    const bytes = await writeXlsx('kits', COLUMNS.kits.all, all.flatMap(kitLines));
    const table = await readXlsx(bytes, MOST);
    const got = table.ok ? readStoreFile('kits', table.value) : table;
    expect(got.ok && got.value.rows.map((r) => r.row)).toEqual(all.map(told));
  });
});

describe('a workbook', () => {
  const bookOf = async (cells: readonly (readonly unknown[])[]): Promise<Uint8Array> => {
    const book = new ExcelJS.Workbook();
    const sheet = book.addWorksheet('one');
    for (const row of cells) sheet.addRow([...row]);
    return new Uint8Array((await book.xlsx.writeBuffer()) as ArrayBuffer);
  };
  const tableOf = async (cells: readonly (readonly unknown[])[], rows = 5000): Promise<CsvTable | readonly FileProblem[]> => {
    const got = await readXlsx(await bookOf(cells), { ...MOST, rows });
    return got.ok ? got.value : got.error;
  };

  test('gives numbers with a point, days, results of formulas and rich text; empty rows are passed over, lines kept', async () => {
    const rich = { richText: [{ text: 'K-' }, { text: '1' }] };
    const table = (await tableOf([
      ['number', 'qty', 'expires', 'lot'],
      [rich, 12.5, new Date(Date.UTC(2030, 1, 28)), 'A'],
      [],
      ['K-2', { formula: '1+1', result: 2 }, null, { text: 'B', hyperlink: 'http://x.example' }],
    ])) as CsvTable;
    expect(table.columns).toEqual(['number', 'qty', 'expires', 'lot']);
    expect(table.rows).toEqual([
      { line: 2, cells: { number: 'K-1', qty: '12.5', expires: '2030-02-28', lot: 'A' } },
      { line: 4, cells: { number: 'K-2', qty: '2', expires: '', lot: 'B' } },
    ]);
  });

  test('that is none, or too long, is told', async () => {
    const none = await readXlsx(new Uint8Array([0x50, 0x4b, 3, 4, 9, 9]), MOST);
    expect(none.ok ? '' : none.error[0]?.message).toBe('this is no Excel workbook that can be read');
    expect(await tableOf([['number'], ...Array.from({ length: 12 }, () => ['K'])], 10)).toEqual([
      { line: 12, column: '', message: 'more than 10 rows' },
    ]);
  });
});
