import { eq, sql } from 'drizzle-orm';
import { beforeAll, expect, test } from 'vitest';
import { bookAddress, bookFilterIn, isFiltered } from '@/core/book/book-filter';
import { comebacks } from '@/core/book/comebacks';
import { GROUPING_NAMES, sayGroup } from '@/core/book/grouping';
import { spareOf } from '@/core/judge/spare';
import { judgedLives } from '@/db/book/judged-lives';
import { causesHeard, lotFaults, rowsBehind, timedPasses, whatFreed } from '@/db/book/learned';
import { asLives, livesBy, ownersOf, statisticsOf } from '@/db/book/lives-by';
import { passagesOf } from '@/db/book/passages';
import { bookIn } from '@/db/book-in/book-in';
import { leftUnits } from '@/db/rack/rack';
import { bags, bookUnits, taughtUnits, units } from '@/db/tables';
import { leave, reopen } from '@/db/unit/sign-off';
import { openShop, PEOPLE, type Shop, START } from './shop';

// What held and what came back, as the records say it.

const DAY_MS = 86_400_000;
const NOW = START + 400 * DAY_MS;
let shop: Shop;
let held: string;
let back: string;
beforeAll(async () => {
  shop = await openShop();
  [held, back] = [await shop.at('release'), await shop.at('release', { customer: 'Came Again', phone: '0150', machine: 'Hay rake' })];
  for (const id of [held, back]) await shop.worker(id).release();
  await shop.at('judge');
  const { exitAt } = (await shop.record(back)).unit;
  await bookIn(shop.db, PEOPLE.counter, (exitAt ?? 0) + 60 * DAY_MS, {
    unitId: 'again',
    customer: 'Came Again',
    phone: '0150',
    machine: 'Hay rake',
    family: 'wheel-double',
    position: '',
    nominalMm: 22.225,
    material: 'cast-iron',
    complaints: ['wet-boot'],
    complaintText: '',
    identityMarks: '',
    promisedAt: NOW,
    comesBackFrom: back,
  });
});

test('a unit is out from its release until it comes back, or until today; what is in the shop is not among them', async () => {
  const { lived, inAll } = await livesBy(shop.db, 'family');
  expect(inAll).toBe(2);
  expect(lived.map((l) => [l.unitId, l.group, l.backAt === null]).sort()).toEqual(
    [
      [back, 'wheel-double', false],
      [held, 'wheel-double', true],
    ].sort(),
  );
  const lives = asLives(lived, NOW);
  const cameBack = lives.find((l) => l.cameBack);
  expect(cameBack?.days).toBeCloseTo(60, 6);
  expect(lives.find((l) => !l.cameBack)?.days).toBeGreaterThan(398);
  const { groups, overallRate } = comebacks({ units: [...lives] } as never);
  expect([groups[0]?.n, groups[0]?.events, overallRate]).toEqual([2, 1, 0.5]);
});

test('each grouping has a group for every unit, in words; a unit of several lots is in each of them, and in one once', async () => {
  for (const by of GROUPING_NAMES) {
    const { lived } = await livesBy(shop.db, by);
    expect([by, new Set(lived.map((l) => l.unitId)).size]).toEqual([by, 2]);
    for (const l of lived) expect([by, sayGroup(by, l.group)]).not.toEqual([by, '']);
    expect(new Set(lived.map((l) => `${l.unitId} ${l.group}`)).size).toBe(lived.length);
  }
  const said = async (by: (typeof GROUPING_NAMES)[number]) => [
    ...new Set((await livesBy(shop.db, by)).lived.map((l) => sayGroup(by, l.group))),
  ];
  expect(await said('way')).toEqual(['as it is']);
  expect(await said('rig')).toEqual(['passed at once']);
  expect(await said('rules')).toEqual(['version 1']);
  const bag = (await shop.record(held)).setAside[0];
  expect(await said('lot')).toContain(`${bag?.number}, lot ${bag?.lotCode}`);
});

test('whom to call about what is still out', async () => {
  expect(await ownersOf(shop.db, [back])).toMatchObject([{ machine: 'Hay rake', customer: 'Came Again', phone: '0150' }]);
  expect(await ownersOf(shop.db, [])).toEqual([]);
});

test('judgements of what was out long enough, each with what came of it', async () => {
  const { lives, inAll } = await judgedLives(shop.db, NOW, 180);
  expect(lives.map((l) => l.came).sort()).toEqual(['came-back', 'held']);
  expect([inAll, lives.every((l) => (l.input.readings ?? []).length > 0)]).toEqual([2, true]);
  expect((await judgedLives(shop.db, START + 30 * DAY_MS, 180)).lives).toEqual([]);
  // A comeback after that time is none within it.
  expect((await judgedLives(shop.db, NOW, 30)).lives.map((l) => l.came)).toEqual(['held', 'held']);
});

test('the ways of released units through the shop, station by station, in the order of time', async () => {
  const { passages, inAll } = await passagesOf(shop.db);
  expect([passages.length, inAll]).toEqual([2, 2]);
  for (const p of passages) {
    expect(p.steps.map((s) => s.station)).toEqual(['strip', 'clean', 'gauge', 'judge', 'kit', 'close-up', 'prove', 'release']);
    expect(p.steps.every((s, i) => i === 0 || s.at >= (p.steps[i - 1]?.at ?? 0))).toBe(true);
    expect(p.exitAt).toBeGreaterThan(p.bookedInAt);
  }
});

test('the Book is filtered by any of what is known, by its address, and counted', async () => {
  const ask = async (address: string) => {
    const { units, inAll } = await leftUnits(shop.db, null, 50, undefined, bookFilterIn(Object.fromEntries(new URLSearchParams(address))));
    expect(inAll).toBe(units.length);
    return units.map((u) => u.id).sort();
  };
  const both = [held, back].sort();
  expect(await ask('')).toEqual(both);
  expect(await ask('family=wheel-double&material=cast-iron&exit=released&way=reuse')).toEqual(both);
  expect(await ask('family=slave')).toEqual([]);
  expect([await ask('back=yes'), await ask('back=no')]).toEqual([[back], [held]]);
  const bag = (await shop.record(held)).setAside[0];
  expect(await ask(`kit=${bag?.number}`)).toEqual(both);
  expect(await ask(`kit=${bag?.number}&lot=nothing`)).toEqual([]);
  const { exitAt } = (await shop.record(held)).unit;
  expect(await ask(`from=${(exitAt ?? 0) + DAY_MS}`)).toEqual([]);
  expect(await ask(`until=${(exitAt ?? 0) + DAY_MS}`)).toEqual(both);
  // What an address says wrongly is left out; what it says stands in it again.
  const odd = bookFilterIn({ family: 'nothing', from: 'x', back: ['yes'], kit: '  ', exit: 'scrapped' });
  expect([odd.exit, isFiltered(odd), bookAddress(odd, { sort: '-when' })]).toEqual(['scrapped', true, 'exit=scrapped&sort=-when']);
  expect(isFiltered(bookFilterIn({ behind: '1.2' }))).toBe(false);
});

test('what the work taught is counted over units, and names nobody', async () => {
  const unitId = await shop.book({ complaints: ['wet-boot', 'pulls'] });
  const work = shop.worker(unitId);
  await work.treat('soak-penetrant', 'no', { state: 'seized' });
  await work.treat('low-air', 'freed', { state: 'seized', bar: 1.5 });
  await work.treat('low-air', 'no', { state: 'seized', bar: 1.9 });
  await work.itWas('bore-marked');
  expect((await whatFreed(shop.db)).rows).toEqual([
    { method: 'low-air', state: 'seized', tried: 2, freed: 1, mostBar: 1.5 },
    { method: 'soak-penetrant', state: 'seized', tried: 1, freed: 0, mostBar: null },
  ]);
  // A cause counts once its unit has left.
  expect((await causesHeard(shop.db)).rows).toEqual([]);
  await leave(shop.db, await shop.change(unitId, 'exited', PEOPLE.lead), 'returned');
  expect((await causesHeard(shop.db)).rows).toEqual([
    { complaint: 'pulls', cause: 'bore-marked', units: 1 },
    { complaint: 'wet-boot', cause: 'bore-marked', units: 1 },
  ]);
  expect(await lotFaults(shop.db)).toEqual({ rows: [], inAll: 0 });
  const [bag] = (await shop.record(held)).setAside;
  const finds = (findings: readonly unknown[]) =>
    shop.db
      .update(bags)
      .set({ findings })
      .where(eq(bags.id, bag?.id ?? ''));
  await finds([{ finding: 'missing', item: 0 }]);
  expect(await lotFaults(shop.db)).toEqual({ rows: [{ number: bag?.number, lot: bag?.lotCode, opened: 2, faulty: 1 }], inAll: 1 });
  const ofLot = await rowsBehind(shop.db, { of: 'lot', number: bag?.number ?? '', lot: bag?.lotCode ?? '' });
  expect([ofLot.inAll, ofLot.rows.map((r) => r.what).sort()]).toEqual([2, ['all as stated', 'something missing or wrong']]);
  await finds([]);
  const { tagNo } = (await shop.record(unitId)).unit;
  expect((await rowsBehind(shop.db, { of: 'cause', cause: 'bore-marked', complaint: 'pulls' })).rows.map((r) => r.tagNo)).toEqual([tagNo]);
  const freed = await rowsBehind(shop.db, { of: 'freed', state: 'seized', method: 'low-air' });
  expect(freed.rows.map((r) => [r.tagNo, r.what]).sort()).toEqual([
    [tagNo, 'freed'],
    [tagNo, 'no'],
  ]);
  expect(await rowsBehind(shop.db, { of: 'stones', material: 'cast-iron', grit: '220' })).toEqual({ rows: [], inAll: 0 });
  const byCause = await leftUnits(shop.db, null, 50, undefined, bookFilterIn({ cause: 'bore-marked' }));
  expect([byCause.units.map((u) => u.tagNo), byCause.inAll]).toEqual([[tagNo], 1]);
  expect(await timedPasses(shop.db)).toEqual([]);
});

test('one person’s work stands beside all others’, for whoever teaches', async () => {
  const groups = async (personId: string) => (await livesBy(shop.db, { personId })).lived.map((l) => l.group);
  expect([await groups(PEOPLE.tech.id), await groups(PEOPLE.other.id)]).toEqual([
    ['theirs', 'theirs'],
    ['others', 'others'],
  ]);
});

test('statistics have a line for each released unit, with all that is known of it but names', async () => {
  const { lines, inAll } = await statisticsOf(shop.db, NOW);
  expect([lines.length, inAll]).toEqual([2, 2]);
  expect(lines.map((l) => [l.family, l.way, l.rig, l.cameBack]).sort()).toEqual([
    ['wheel-double', 'reuse', 'passed', 'no'],
    ['wheel-double', 'reuse', 'passed', 'yes'],
  ]);
  expect(lines.find((l) => l.cameBack === 'yes')?.days).toBe(60);
  expect(JSON.stringify(lines)).not.toMatch(/Came Again|Orchard|Tess|unit-/);
});

test('what the Book goes by is at every moment what the records say: left, opened again, taught, come back', async () => {
  const both = async () => {
    const of = (name: string) => shop.db.all(sql.raw(`select * from ${name} order by unit_id`));
    return [await of('book_units'), await of('book_now')] as const;
  };
  const agrees = async (rows: number): Promise<void> => {
    const [kept, now] = await both();
    expect(kept).toEqual(now);
    expect(kept).toHaveLength(rows);
  };
  const start = (await both())[0].length;
  await agrees(start);
  const third = await shop.at('release');
  await agrees(start);
  await shop.worker(third).release();
  await agrees(start + 1);
  await shop.db.insert(taughtUnits).values({ unitId: third, way: 'polish', minutes: {}, waits: {}, at: NOW });
  await agrees(start + 1);
  await shop.db.update(taughtUnits).set({ way: 'hone' }).where(eq(taughtUnits.unitId, third));
  await agrees(start + 1);
  expect((await leftUnits(shop.db, null, 50, undefined, { way: 'hone' })).units.map((u) => u.id)).toEqual([third]);
  await shop.db.delete(taughtUnits).where(eq(taughtUnits.unitId, third));
  await agrees(start + 1);
  await reopen(shop.db, await shop.change(third, 'reopened', PEOPLE.lead), 'prove');
  await agrees(start);
  await shop.db.update(units).set({ comesBackFrom: held }).where(eq(units.id, 'again'));
  await agrees(start);
  expect((await livesBy(shop.db, 'family')).lived.flatMap((l) => (l.backAt === null ? [] : [l.unitId]))).toEqual([held]);
  await shop.db.update(units).set({ comesBackFrom: back }).where(eq(units.id, 'again'));
  await agrees(start);
});

test('what was to spare at Judge is said of a bore that may be used as it is, as at its judgement; its confidence is that of its cut', async () => {
  const { verdicts } = await shop.record(held);
  const last = verdicts.at(-1);
  const spareMm = last === undefined ? null : spareOf(last.answer);
  expect([last?.answer.marginMm, spareMm !== null && spareMm > 0.01]).toEqual([null, true]);
  const [row] = await shop.db.select().from(bookUnits).where(eq(bookUnits.unitId, held));
  expect(row?.marginMm).toBeCloseTo(spareMm ?? Number.NaN, 9);
  expect(row?.confidence).toBeNull();
  const { lived } = await livesBy(shop.db, 'margin');
  expect(lived.find((l) => l.unitId === held)?.group).toBe((spareMm ?? 0) < 0.03 ? 'some' : 'ample');
});
