import { eq, isNotNull } from 'drizzle-orm';
import { beforeAll, describe, expect, test } from 'vitest';
import { keepPlan, worthier } from '@/core/day/keep';
import { type Schedule, schedule } from '@/core/day/schedule';
import { type DayFacts, dayRequest } from '@/core/plan/day-facts';
import { lateUnits, planOf } from '@/core/plan/day-plan';
import { planFor } from '@/core/plan/helps';
import { presuming } from '@/core/plan/presumed';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import { STANDARD_SHOP } from '@/core/shop/settings';
import { wayCounts } from '@/db/cost/way-counts';
import { type Db, migrateDb, openDb } from '@/db/engine/connection';
import { loadUnit } from '@/db/engine/load-unit';
import { dayFacts } from '@/db/plan/day-facts';
import { dayStamp } from '@/db/plan/day-stamp';
import { draftsOf, dropDraft, keepDraft } from '@/db/plan/drafts';
import { addPin, endPin, openPins } from '@/db/plan/pins';
import { promisesKept } from '@/db/plan/promises-kept';
import { learn, saidTimesOf, sayTime, taughtBy } from '@/db/plan/taught';
import { theShop } from '@/db/shop/settings';
import { people, taughtUnits, units } from '@/db/tables';
import { leave, reopen } from '@/db/unit/sign-off';
import { startWait } from '@/db/unit/waits';
import { seedDemo } from '../../demo/seed';
import { openShop, ownFolder, PEOPLE, type Shop, START } from './shop';

const MIN = 60_000;

describe('from the shop to the plan', () => {
  let shop: Shop;
  beforeAll(async () => {
    shop = await openShop();
  });
  const factsAt = (now: number) => dayFacts(shop.db, now, { settings: STANDARD_SHOP, rules: STANDARD_RULES, at: undefined });
  const unitIn = async (now: number, unitId: string) => (await factsAt(now)).units.find((u) => u.id === unitId);

  test('a unit gives the stations that its route has ahead: before the verdict by the likeliest way, then by it', async () => {
    const clean = await shop.at('clean');
    const asked = await unitIn(START, clean);
    expect([asked?.wayBy, asked?.way, asked?.ops[0]?.id]).toEqual(['likely', 'hone', 'clean']);
    expect(asked?.ops.map((o) => o.id)).toContain('gauge-again');
    const judged = await unitIn(START, await shop.at('kit'));
    expect([judged?.wayBy, judged?.wayChance, judged?.ops[0]?.id]).toEqual(['judged', 1, 'kit']);
    expect(judged?.ops.some((o) => o.station === 'hone' || o.id.endsWith('-again'))).toBe(false);
    const proving = await unitIn(START, await shop.at('prove'));
    expect(proving?.ops.filter((o) => o.kind === 'work').map((o) => [o.id, o.bench])).toEqual([
      ['prove', 'rig'],
      ['release', undefined],
      ['second', undefined],
    ]);
  });

  test('what runs holds it, and whoever made the last step is at it until the pause is too long', async () => {
    const unitId = await shop.at('gauge');
    const change = await shop.change(unitId, 'wait-started', PEOPLE.tech, { at: START + 30 * 86_400_000 });
    await startWait(shop.db, change, { label: 'parts on order', minutes: 600 });
    const last = (await shop.record(unitId)).unit.changedAt;
    const now = await unitIn(last + 5 * MIN, unitId);
    expect(now?.ops[0]).toMatchObject({ station: 'gauge', kind: 'work', personId: PEOPLE.tech.id });
    expect(now?.ops.find((o) => o.words === 'parts on order')?.kind).toBe('wait');
    expect((await unitIn(last + 40 * MIN, unitId))?.ops[0]).not.toHaveProperty('personId');
  });

  test('people work in the shop’s hours, or in their own; who has left, and an owner without a bench, do nothing', async () => {
    const work = {
      skills: ['prove'],
      hours: { ...STANDARD_SHOP.hours, monday: '14-15', tuesday: '' },
      daysOff: [{ from: '2026-05-06', until: '', why: 'away' }],
    };
    await shop.db.update(people).set({ work }).where(eq(people.id, PEOPLE.other.id));
    const facts = await factsAt(START);
    const of = (id: string) => facts.people.find((p) => p.id === id);
    expect([of('odo')?.skills, of('odo')?.shifts.length === of('tess')?.shifts.length, of('oona')?.skills]).toEqual([['prove'], false, []]);
    expect((of('odo')?.shifts[0]?.toMin ?? 0) - (of('odo')?.shifts[0]?.fromMin ?? 0)).toBe(60);
    await shop.db.update(people).set({ leftAt: START }).where(eq(people.id, PEOPLE.other.id));
    expect((await factsAt(START)).people.map((p) => p.id)).not.toContain('odo');
    await shop.db.update(people).set({ leftAt: null, work: null }).where(eq(people.id, PEOPLE.other.id));
  });

  test('units that left teach once, by hand the times between steps; one that comes back in teaches nothing', async () => {
    const unitId = await shop.at('release', { family: 'slave' });
    await shop.worker(unitId).release();
    const record = await shop.record(unitId);
    expect(record.unit.exit).toBe('released');
    await learn(shop.db, 20);
    await learn(shop.db, 20);
    const [row] = await shop.db.select().from(taughtUnits).where(eq(taughtUnits.unitId, unitId));
    const minutes = row?.minutes as Readonly<Record<string, number>>;
    expect([row?.way, (await taughtBy(shop.db)).length]).toEqual(['reuse', 1]);
    // All that was done in one go adds up to the time from the first step of a person to their last.
    expect(Object.values(minutes).reduce((a, b) => a + b, 0)).toBeGreaterThan(20);
    expect(Object.keys(minutes)).toEqual(expect.arrayContaining(['strip', 'close-up', 'prove']));
    const times = await factsAt(START);
    expect(times.usual.find((u) => u.family === 'slave')?.ops.find((o) => o.id === 'strip')?.minutes).not.toBe(24);
    await reopen(shop.db, await shop.change(unitId, 'reopened', PEOPLE.lead), 'prove');
    expect(await taughtBy(shop.db)).toEqual([]);
  });

  test('a time that the shop says goes before what was learned, until it is taken back', async () => {
    const time = { family: 'slave', way: 'hone', station: 'strip', minutes: 55 } as const;
    const by = { personId: PEOPLE.lead.id, at: START };
    await sayTime(shop.db, by, time);
    await sayTime(shop.db, by, { ...time, minutes: 66 });
    expect(await saidTimesOf(shop.db)).toEqual([{ ...time, minutes: 66 }]);
    expect((await factsAt(START)).usual.find((u) => u.family === 'slave')?.ops[0]?.minutes).toBe(66);
    await sayTime(shop.db, by, { ...time, minutes: null });
    expect(await saidTimesOf(shop.db)).toEqual([]);
  });

  test('pins are records: who and why; a newer one of a kind ends the one before; each bears on the plan, and the stamp tells', async () => {
    const unitId = await shop.at('clean');
    const by = (id: string, at = START) => ({ id, personId: PEOPLE.tech.id, at });
    const before = await dayStamp(shop.db);
    await addPin(shop.db, by('pin-1'), { kind: 'first', unitId, why: 'a fire tender' });
    expect(await dayStamp(shop.db)).not.toBe(before);
    await addPin(shop.db, by('pin-2'), { kind: 'first', unitId, why: 'still' });
    await addPin(shop.db, by('pin-3'), { kind: 'not-before', unitId, why: 'its other half', at: START + 60 * MIN });
    expect((await openPins(shop.db)).map((p) => [p.id, p.kind, p.by, p.why])).toEqual([
      ['pin-2', 'first', 'Tess', 'still'],
      ['pin-3', 'not-before', 'Tess', 'its other half'],
    ]);
    const facts = await factsAt(START);
    const first = planFor(facts).ops.find((o) => o.unitId === unitId);
    expect(first?.startAt).toBeGreaterThanOrEqual(START + 60 * MIN);
    await endPin(shop.db, by('', START + MIN), 'pin-2');
    await endPin(shop.db, by('', START + MIN), 'pin-3');
    expect(await openPins(shop.db)).toEqual([]);
    expect(await addPin(shop.db, by('pin-4'), { kind: 'first', unitId: 'nobody’s', why: 'none' })).toEqual({
      ok: false,
      error: { code: 'no-such-unit' },
    });
    await leave(shop.db, await shop.change(unitId, 'exited', PEOPLE.lead), 'returned');
    expect(await addPin(shop.db, by('pin-5'), { kind: 'first', unitId, why: 'gone' })).toMatchObject({ ok: false });
  });

  test('drafts are kept by name and dropped; they change nothing', async () => {
    const stamp = await dayStamp(shop.db);
    const supposed = [{ kind: 'more-hours', personId: PEOPLE.tech.id, minutes: 60 } as const];
    await keepDraft(shop.db, { id: 'draft-1', personId: PEOPLE.lead.id, at: START }, { name: 'One hour more', supposed });
    expect(await draftsOf(shop.db)).toEqual([{ id: 'draft-1', name: 'One hour more', supposed, by: 'Lena', at: START }]);
    expect(await dayStamp(shop.db)).toBe(stamp);
    await dropDraft(shop.db, 'draft-1');
    expect(await draftsOf(shop.db)).toEqual([]);
  });

  test('the book counts promises at 9 in 10 that were kept, of units that were released', async () => {
    const [kept, late] = [await shop.at('release', { heldAt: START + 90 * 86_400_000 }), await shop.at('release', { heldAt: START + MIN })];
    await shop.at('release', { heldAt: START + MIN });
    for (const id of [kept, late]) await shop.worker(id).release();
    expect(await promisesKept(shop.db)).toEqual({ asked: 2, kept: 1 });
  });

  test('units on their way, and other branches’ units and people, are not planned here', async () => {
    const branches = [
      { id: 'north', name: 'North' },
      { id: 'south', name: 'South' },
    ];
    const [mine, theirs, moving] = [await shop.at('clean'), await shop.at('clean'), await shop.at('clean')];
    await shop.db.update(units).set({ branch: 'south' }).where(eq(units.id, theirs));
    await shop.db.update(units).set({ goesTo: 'south' }).where(eq(units.id, moving));
    await shop.db.update(people).set({ branch: 'south' }).where(eq(people.id, PEOPLE.other.id));
    const places = [...STANDARD_SHOP.places, { id: 'rig-2', kind: 'rig' as const, name: 'Rig 2', holds: 1, branch: 'south' }];
    const at = async (id: string) =>
      dayFacts(shop.db, START, { settings: { ...STANDARD_SHOP, branches, places }, rules: STANDARD_RULES, at: { id, among: branches } });
    const [north, south] = [await at('north'), await at('south')];
    const has = (f: typeof north, id: string) => f.units.some((u) => u.id === id);
    expect([has(north, mine), has(north, theirs), has(north, moving), has(south, theirs), has(south, moving)]).toEqual([
      true,
      false,
      false,
      true,
      false,
    ]);
    expect([south.people.map((p) => p.id), south.benches]).toEqual([['odo'], [{ id: 'rig', places: 1, downMin: 0 }]]);
    // Where nobody is at the counter, whoever works asks the customers.
    expect(south.people[0]?.skills).toContain('book-in');
  });
});

describe('the demo’s day', () => {
  const folder = ownFolder();
  /** A Wednesday, 10:20 on the machine's clock. */
  const now = new Date(2026, 4, 6, 10, 20).getTime();
  let db: Db;
  beforeAll(async () => {
    db = await openDb(`file:${folder}/demo.db`);
    await migrateDb(db);
    await seedDemo(db, now);
  }, 180_000);
  const factsAt = async (at: number) => dayFacts(db, at, { settings: (await theShop(db)).settings, rules: STANDARD_RULES, at: undefined });
  const planned = async (at: number, before?: { readonly facts: DayFacts; readonly schedule: Schedule }) => {
    const seen = await factsAt(at);
    const facts = before === undefined ? seen : presuming(seen, before.schedule.ops, before.facts.now);
    const { request, leftOut } = dayRequest(facts, 'waited');
    return { facts, request, schedule: schedule(request, STANDARD_RULES), leftOut };
  };

  test('is lived-in: two late units, a wait through the night, somebody at something, all units planned', async () => {
    const { facts, schedule: made, leftOut } = await planned(now);
    const plan = planOf(facts, made, leftOut);
    expect([lateUnits(plan).length, plan.noRoom, leftOut]).toEqual([2, [], []]);
    const evening = new Date(2026, 4, 6, 17).getTime();
    expect(plan.ops.some((o) => o.op.kind === 'wait' && o.startAt < evening && o.endAt > evening + 12 * 60 * MIN)).toBe(true);
    expect(plan.ops.some((o) => o.stands === 'started' && o.personId !== null)).toBe(true);
    expect(plan.units.length).toBe(facts.units.filter((u) => u.ops.length > 0).length);
  });

  test('how its ways held is counted over the units that were released, as their own records tell', async () => {
    const ids = await db
      .select({ id: units.id })
      .from(taughtUnits)
      .innerJoin(units, eq(units.id, taughtUnits.unitId))
      .where(eq(units.exit, 'released'));
    const records = (await Promise.all(ids.map(({ id }) => loadUnit(db, id)))).filter((r) => r !== undefined);
    const said = (outcome: 'pass' | 'fail') => records.filter((r) => r.runs.some((run) => run.outcome === outcome));
    const counts = await wayCounts(db, now);
    const sum = (of: 'proved' | 'failed' | 'kept' | 'back') => counts.reduce((n, c) => n + c[of], 0);
    expect(records.length).toBeGreaterThan(5);
    expect(sum('failed')).toBe(said('fail').length);
    expect(sum('proved')).toBe(said('pass').filter((r) => !said('fail').includes(r)).length);
    const later = await wayCounts(db, now + 400 * 24 * 60 * MIN);
    const back = await db.select({ from: units.comesBackFrom, at: units.createdAt }).from(units).where(isNotNull(units.comesBackFrom));
    const inTime = records.filter((r) => back.some((b) => b.from === r.unit.id && b.at <= (r.unit.exitAt ?? 0) + 180 * 24 * 60 * MIN));
    expect(later.reduce((n, c) => n + c.back, 0)).toBe(inTime.length);
    expect(later.reduce((n, c) => n + c.kept + c.back, 0)).toBe(records.length);
  });

  /** Of what begins within four hours, how much another plan gives to another person, or moves by more than a quarter of an hour. */
  const movedShare = (before: Schedule, after: Schedule, minutes: number): number => {
    const was = new Map(before.ops.map((o) => [`${o.unitId} ${o.opId}`, o]));
    const soon = after.ops.flatMap((o) => {
      const old = was.get(`${o.unitId} ${o.opId}`);
      return old !== undefined && o.startMin >= 0 && o.startMin < 240 ? [{ o, old }] : [];
    });
    expect(soon.length).toBeGreaterThan(20);
    // What was to begin before now and did not begins now: that is time's doing.
    const isMoved = ({ o, old }: (typeof soon)[number]): boolean =>
      old.personId !== o.personId || Math.abs(o.startMin - Math.max(0, old.startMin - minutes)) > 15;
    return soon.filter(isMoved).length / soon.length;
  };

  test('where nothing but time has passed, at most one in ten changes its person or moves by a quarter of an hour', async () => {
    const before = await planned(now);
    const later = await planned(now + 5 * MIN, before);
    expect(movedShare(before.schedule, worthier(keepPlan(later.request, before.schedule.ops), later.schedule), 5)).toBeLessThanOrEqual(0.1);
  });

  test.each([10, 30, 60])('%d minutes on in a shop that keeps to its plan, at most one in ten moves', async (minutes) => {
    const before = await planned(now);
    const end = new Map(before.schedule.ops.map((o) => [`${o.unitId} ${o.opId}`, o]));
    const seen = await factsAt(now + minutes * MIN);
    // What was to be done by now is done.
    const done = seen.units.map((u) => ({
      ...u,
      ops: u.ops.filter((op) => (end.get(`${u.tag} ${op.id}`)?.endMin ?? 0) > minutes).map(({ startedMin: _, ...op }) => op),
    }));
    const facts = presuming({ ...seen, units: done as typeof seen.units }, before.schedule.ops, now);
    const { request } = dayRequest(facts);
    const after = worthier(keepPlan(request, before.schedule.ops), schedule(request, STANDARD_RULES));
    expect(movedShare(before.schedule, after, minutes)).toBeLessThanOrEqual(0.1);
  });
});
