import { asc, eq } from 'drizzle-orm';
import { beforeAll, expect, test } from 'vitest';
import { storeLines } from '@/app/_server/store-lines';
import { UnitFile } from '@/core/book/unit-file';
import type { UnitRecord } from '@/core/unit/unit-record';
import { readMarks, writeMarks } from '@/csv/marks-csv';
import { type CsvTable, readTable, STORE_LIMITS, writeTable } from '@/csv/read-table';
import { readReadings, writeReadings } from '@/csv/readings-csv';
import { COLUMNS, readStoreFile, STORE_FILE_NAMES, type StoreFile } from '@/csv/store-files';
import { readTrace, writeTrace } from '@/csv/trace-csv';
import { readXlsx, writeXlsx } from '@/csv/xlsx';
import { foreignLife, takeForeign } from '@/db/book/foreign';
import { unitFileOf } from '@/db/book/unit-file';
import { type Db, migrateDb, openDb } from '@/db/engine/connection';
import { loadUnit } from '@/db/engine/load-unit';
import { addPerson } from '@/db/people/people';
import { runOf } from '@/db/prove/prove';
import { deliverRules } from '@/db/rules/deliver';
import { writeImport } from '@/db/store/import-file';
import { planImport } from '@/db/store/import-plan';
import { setReorder } from '@/db/store/stock';
import { articles, units } from '@/db/tables';
import { seedDemo } from '../../demo/seed';
import { ownFolder, PEOPLE, START } from './shop';

// The demo shop through every format in which something goes out and comes in: nothing is lost on the way.

const folder = ownFolder();
const opened = async (name: string): Promise<Db> => {
  const db = await openDb(`file:${folder}/${name}.db`);
  await migrateDb(db);
  return db;
};
const empty = async (name: string): Promise<Db> => {
  const db = await opened(name);
  await addPerson(db, { ...PEOPLE.counter, pin: '4417' }, START);
  await deliverRules(db, START);
  return db;
};

let demo: Db;
let records: readonly UnitRecord[];
beforeAll(async () => {
  demo = await opened('demo');
  await seedDemo(demo, START);
  const all = await demo.select({ id: units.id }).from(units).orderBy(asc(units.tagNo));
  records = (await Promise.all(all.map((u) => loadUnit(demo, u.id)))).filter((r) => r !== undefined);
  const [article] = await demo.select().from(articles).where(eq(articles.number, 'K-118'));
  await setReorder(demo, article?.id ?? '', 7, START);
  // A whole shop's work, on a machine that others use too.
}, 300_000);

const bytesOf: { readonly [F in 'csv' | 'xlsx']: (what: StoreFile, lines: Awaited<ReturnType<typeof storeLines>>) => Promise<CsvTable> } = {
  csv: async (what, lines) => tableOf(readTable(writeTable(COLUMNS[what].all, lines), STORE_LIMITS)),
  xlsx: async (what, lines) => tableOf(await readXlsx(await writeXlsx(what, COLUMNS[what].all, lines), STORE_LIMITS)),
};
const tableOf = (read: ReturnType<typeof readTable>): CsvTable => {
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};
/** What stands in the columns of the file, whatever the order of its lines. */
const shown = (what: StoreFile, lines: Awaited<ReturnType<typeof storeLines>>): readonly string[] =>
  lines.map((l) => JSON.stringify(COLUMNS[what].all.map((c) => l[c] ?? ''))).sort();

test.each(['csv', 'xlsx'] as const)(
  'the store, its customers and its price list go into an empty shop as %s and are all there',
  async (kind) => {
    const other = await empty(kind);
    for (const [i, what] of STORE_FILE_NAMES.entries()) {
      const lines = await storeLines(demo, what);
      expect([what, lines.length > 3]).toEqual([what, true]);
      const rows = readStoreFile(what, await bytesOf[kind](what, lines));
      if (!rows.ok) throw new Error(JSON.stringify(rows.error));
      // Read back by the shop that wrote it, nothing would change.
      const own = await planImport(demo, rows.value);
      expect([what, own.ok && own.value.fates.filter((f) => f.fate !== 'same')]).toEqual([what, []]);
      const planned = await planImport(other, rows.value);
      if (!planned.ok) throw new Error(JSON.stringify(planned.error));
      const written = await writeImport(
        other,
        { importId: `${kind}-${what}`, person: PEOPLE.counter, at: START + i, what, file: `${what}.${kind}` },
        planned.value,
        () => undefined,
      );
      expect([what, written.ok]).toEqual([what, true]);
      expect([what, shown(what, await storeLines(other, what))]).toEqual([what, shown(what, lines)]);
    }
  },
);

test('each unit with its history goes into another shop as a file, and stands there as it went out', async () => {
  const other = await empty('foreign');
  expect(records.length).toBeGreaterThan(50);
  for (const record of records) {
    const file = await unitFileOf(demo, record, 'Demo Works', START);
    const sent = UnitFile.parse(JSON.parse(JSON.stringify(file)));
    const taken = await takeForeign(other, { personId: PEOPLE.counter.id, at: START }, sent, 'Another Works');
    expect(await foreignLife(other, taken.ok ? taken.value.id : '')).toEqual(JSON.parse(JSON.stringify(file)));
  }
});

test('every reading, mark and run of the shop is the same figures after its file', async () => {
  const gaugings = records.flatMap((r) => r.gaugings).filter((g) => g.readings.length > 0);
  const readings = gaugings.map((g) => g.readings.map(({ xMm, clockDeg, diaMm }) => ({ xMm, clockDeg, diaMm })));
  for (const of of readings) expect(readReadings(writeReadings(of))).toMatchObject({ ok: true, value: { rows: of } });
  const marked = records.filter((r) => r.marks.length > 0);
  for (const { marks } of marked)
    expect(readMarks(writeMarks(marks))).toMatchObject({
      ok: true,
      value: {
        rows: marks.map(({ name, kind, x0Mm, x1Mm, clock0Deg, clock1Deg, depthUm, depthUncertaintyUm, cleaned, note }) => ({
          ...{ id: name, kind, x0Mm, x1Mm, clock0Deg, clock1Deg, depthUm, depthUncertaintyUm, cleaned, note },
        })),
      },
    });
  const runs = await Promise.all(records.flatMap((r) => r.runs).map((r) => runOf(demo, r.id)));
  const traces = runs.flatMap((r) => (r === undefined || r.samples.length < 2 ? [] : [r.samples]));
  for (const samples of traces) {
    const back = readTrace(writeTrace(samples, ['a run']));
    expect(back.ok && back.value.rows.map((s) => [s.tS, s.pBar, s.ml])).toEqual(samples.map((s) => [s.t, s.p, s.ml]));
  }
  // There was something to lose.
  expect([gaugings.length > 20, marked.length > 5, traces.length > 20]).toEqual([true, true, true]);
});
