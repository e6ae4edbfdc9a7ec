import { beforeAll, describe, expect, test } from 'vitest';
import { exerciseOf } from '@/core/practice/kinds';
import { NO_ASKS, type StationAsks } from '@/core/practice/skill-schemas';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import { STANDARD_SHOP } from '@/core/shop/settings';
import type { Station } from '@/core/station';
import { dayFacts } from '@/db/plan/day-facts';
import { answerCase, askablesOf, casesNow, endCase, makeCase } from '@/db/practice/cases';
import { answerExercise } from '@/db/practice/practice';
import { asksNow, endSkill, saveAsks, signedSkills, signSkill, standBy, standBysFor } from '@/db/practice/skills';
import { shopHistory } from '@/db/shop/shop-events';
import { historyOf } from '@/db/unit/history';
import { leave, signOff } from '@/db/unit/sign-off';
import { openShop, PEOPLE, type Shop, START } from './shop';

// Skills, signed off after real work was watched, asked for at the bench where the shop says so; and cases of the shop's own.

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});

const DAY_MS = 86_400_000;
const LEAD = { personId: PEOPLE.lead.id, at: START + 1000 };
const everybody = Object.values(PEOPLE);
const HELD: StationAsks = { ...NO_ASKS, kinds: { gap: 1 }, inARow: 2, lastsMonths: 12, gate: 'holds' };
const asks = (station: Station, more: Partial<StationAsks> = {}) => saveAsks(shop.db, LEAD, station, { ...HELD, ...more });
const sign = (id: string, personId: string, station: Station, by = LEAD) =>
  signSkill(shop.db, by, { id, personId, station, words: 'watched two of them' });
const reasons = (r: { readonly ok: boolean; readonly error?: unknown }): readonly string[] =>
  r.ok ? [] : ((r.error as { readonly reasons?: readonly string[] }).reasons ?? [String((r.error as { code: string }).code)]);
const done = async (unitId: string, station: Station, person = PEOPLE.tech as (typeof everybody)[number], at = START + DAY_MS) =>
  signOff(shop.db, await shop.change(unitId, 'signed-off', person, { at }), { station, note: '', override: null });

describe('a station that asks for a skill', () => {
  test('holds nobody up before a shop says so; then whoever lacks it is told what to do, and nothing of theirs is kept', async () => {
    const [free, held] = [await shop.at('gauge'), await shop.at('gauge')];
    expect((await asksNow(shop.db)).gauge).toEqual(NO_ASKS);
    await shop.worker(free).gauge();
    await asks('gauge');
    const before = (await shop.record(held)).unit.version;
    await expect(shop.worker(held).gauge()).rejects.toThrow(/not signed off for Gauge/);
    expect((await shop.record(held)).unit.version).toBe(before);
    // Another station is nobody's concern.
    const elsewhere = await shop.at('clean');
    await shop.worker(elsewhere).clean();
  });

  test('lets them work beside somebody who has it, by that one’s word, at that unit only, and on its record', async () => {
    const [unitId, other] = [await shop.at('gauge'), await shop.at('gauge')];
    const stand = async (id: string, helper: (typeof everybody)[number], person = PEOPLE.tech as (typeof everybody)[number]) =>
      standBy(shop.db, await shop.change(id, 'stood-by', person, { note: `${helper.name} at Gauge` }), 'gauge', helper);
    // Nobody has it yet: leads and the owner may, a technician may not.
    expect((await standBysFor(shop.db, 'gauge', PEOPLE.tech.id, everybody, START)).map((p) => p.id)).toEqual(['lena', 'oona']);
    expect(reasons(await stand(unitId, PEOPLE.other))).toEqual(['Odo is not signed off for Gauge either.']);
    expect((await sign('odo-gauge', PEOPLE.other.id, 'gauge')).ok).toBe(true);
    expect((await standBysFor(shop.db, 'gauge', PEOPLE.tech.id, everybody, START)).map((p) => p.id)).toEqual(['odo']);
    expect((await stand(unitId, PEOPLE.other)).ok).toBe(true);
    await shop.worker(unitId).gauge();
    await expect(shop.worker(other).gauge()).rejects.toThrow(/not signed off/);
    const told = (await historyOf(shop.db, unitId)).find((h) => h.kind === 'stood-by');
    expect([told?.by, told?.note]).toEqual(['Tess', 'Odo at Gauge']);
  });

  test('lets whoever is signed off, until the skill ends by itself or is ended', async () => {
    await asks('judge');
    const [unitId, later, ended] = [await shop.at('gauge'), await shop.at('gauge'), await shop.at('gauge')];
    await sign('tess-gauge', PEOPLE.tech.id, 'gauge');
    for (const id of [unitId, later, ended]) await shop.worker(id).gauge();
    await expect(shop.worker(unitId).judge('sound')).rejects.toThrow(/not signed off for Judge/);
    await sign('tess-judge', PEOPLE.tech.id, 'judge');
    await shop.worker(unitId).judge('sound');
    const [skill] = (await signedSkills(shop.db)).filter((s) => s.id === 'tess-judge');
    expect(Math.round(((skill?.until ?? 0) - START) / DAY_MS)).toBe(365);
    expect(reasons(await done(later, 'judge', PEOPLE.tech, START + 400 * DAY_MS))[0]).toMatch(/not signed off for Judge/);
    expect((await endSkill(shop.db, LEAD, 'tess-judge')).ok).toBe(true);
    expect(reasons(await endSkill(shop.db, LEAD, 'tess-judge'))).toEqual(['There is no such skill, or it has ended already.']);
    await expect(shop.worker(ended).judge('sound')).rejects.toThrow(/not signed off for Judge/);
    await asks('judge', { gate: 'open' });
    await shop.worker(ended).judge('sound');
  });

  test('is signed by somebody else, says whether what it asks was practised, and stands in the shop’s history', async () => {
    expect(reasons(await sign('own', PEOPLE.lead.id, 'strip'))).toEqual(['Somebody else watches you and signs.']);
    expect(reasons(await sign('nobody', 'nobody', 'strip'))).toEqual(['There is no such person in the shop.']);
    await asks('set');
    await sign('odo-set-1', PEOPLE.other.id, 'set');
    for (const seed of [1, 2]) {
      const { right } = exerciseOf('gap', 1, seed);
      const given = { id: `odo-${seed}`, kind: 'gap', level: 1, seed, answer: right, hints: 0, family: null } as const;
      await answerExercise(shop.db, { personId: PEOPLE.other.id, at: START + seed }, given);
    }
    await sign('odo-set-2', PEOPLE.other.id, 'set');
    // The same one again is signed once.
    await sign('odo-set-2', PEOPLE.other.id, 'set');
    const set = (await signedSkills(shop.db)).filter((s) => s.station === 'set');
    expect(set.map((s) => [s.id, s.practised]).sort()).toEqual([
      ['odo-set-1', false],
      ['odo-set-2', true],
    ]);
    const told = (await shopHistory(shop.db, undefined)).events.filter((e) => e.kind === 'skill-signed').flatMap((e) => e.lines);
    expect(told.filter((l) => l.startsWith('Odo, Set'))).toEqual([
      'Odo, Set: watched two of them',
      'Odo, Set: watched two of them; not all that it asks was practised',
    ]);
  });

  test('is planned for whoever has its skill', async () => {
    const facts = await dayFacts(shop.db, START, { settings: STANDARD_SHOP, rules: STANDARD_RULES, at: undefined });
    const able = facts.people.filter((p) => p.skills.includes('set')).map((p) => p.id);
    expect(able).toEqual(['odo']);
    expect(facts.people.filter((p) => p.skills.includes('strip')).map((p) => p.id)).toEqual(['lena', 'odo', 'tess']);
  });
});

describe('a case of the shop’s own', () => {
  test('is made of a unit that left, asks what its record answers, and names nobody', async () => {
    for (const station of ['gauge', 'judge', 'set'] as const) await asks(station, { gate: 'open' });
    const unitId = await shop.at('release', { customer: 'Widow Namely', machine: 'Machine Namely', identityMarks: 'Marks Namely' });
    const make = (of: string, more: { readonly id?: string; readonly photoIds?: string[] } = {}) =>
      makeCase(shop.db, LEAD, { id: `case-${of}`, unitId, of, photoIds: [], words: 'Look at its readings first.', ...more });
    expect(reasons(await make('tray'))).toEqual(['It has not left the shop yet: its answer is not known.']);
    await leave(shop.db, await shop.change(unitId, 'exited', PEOPLE.lead), 'scrapped');
    const record = await shop.record(unitId);
    const all = await askablesOf(shop.db, record);
    expect(all.map((a) => a.asked.asks)).toEqual([
      'What is done with this bore?',
      'Which of these did not go back?',
      ...record.runs.map(() => 'What did this run come to?'),
    ]);
    expect(JSON.stringify(all.map((a) => a.asked))).not.toMatch(/Namely|Tess|Lena|SQ-|unit-\d/);
    const [bore] = all;
    expect(reasons(await make('of another unit'))).toEqual(['There is nothing of that kind on its record.']);
    expect(reasons(await make('tray', { photoIds: ['another’s'] }))).toEqual(['One of these photos is not this unit’s.']);
    await make(bore?.of ?? '');
    await make(bore?.of ?? '');
    await make('tray');
    const { cases, all: count } = await casesNow(shop.db, PEOPLE.tech.id);
    expect([cases.length, count]).toEqual([2, 2]);
    // The record judged it sound: that is the answer, and no other.
    const sound = cases.find((c) => c.asked.form.kind === 'choose');
    if (sound?.asked.form.kind !== 'choose') throw new Error('no verdict to ask');
    expect(sound.asked.form.options[sound.asked.right as number]).toBe(record.unit.outcome);
    const answered = (id: string, answer: number, caseId = sound.id) =>
      answerCase(shop.db, { personId: PEOPLE.tech.id, at: START }, { id, caseId, answer });
    expect(await answered('a1', sound.asked.right as number)).toEqual({ ok: true, value: { right: true } });
    expect(await answered('a2', ((sound.asked.right as number) + 1) % 5)).toEqual({ ok: true, value: { right: false } });
    await answered('a2', 0);
    expect(reasons(await answered('a3', 0, 'nothing'))).toEqual(['There is no such case.']);
    const own = (await casesNow(shop.db, PEOPLE.tech.id)).cases.find((c) => c.id === sound.id);
    expect([own?.tried, own?.right]).toEqual([2, 1]);
    expect((await casesNow(shop.db, PEOPLE.other.id)).cases.map((c) => c.tried)).toEqual([0, 0]);
  });

  test('is taken away once, and is asked no more', async () => {
    const [first] = (await casesNow(shop.db, PEOPLE.tech.id)).cases;
    expect((await endCase(shop.db, START, first?.id ?? '')).ok).toBe(true);
    expect(reasons(await endCase(shop.db, START, first?.id ?? ''))).toEqual(['There is no such case, or it was taken away already.']);
    expect((await casesNow(shop.db, PEOPLE.tech.id)).all).toBe(1);
  });
});
