import { beforeAll, describe, expect, test } from 'vitest';
import { masterSingle } from '@/core/family/anatomy/master-single';
import { familyFaults } from '@/core/family/check-family';
import { FAMILIES } from '@/core/family/families';
import { partFacing } from '@/core/family/family';
import { VariantSchema } from '@/core/family/variant-schema';
import type { Result } from '@/core/result';
import { whyNotDone } from '@/core/route/why-not';
import { guideFor } from '@/core/strip/guide';
import { perhapsNone, toBeLookedAt } from '@/core/strip/tray';
import type { TrayPart } from '@/core/strip/tray-schema';
import { factsOf, routeOfUnit } from '@/core/unit/facts-of';
import type { SaveError } from '@/core/unit/save-error';
import { causeModel, find, finishedUnits, saveCauseModel } from '@/db/book-in/findings';
import { type NewTreatment, treat } from '@/db/clean/treatments';
import { currentVariants, saveVariant, variantById } from '@/db/family/variants';
import { tellStep } from '@/db/strip/guide';
import { addPart, dropPart, recordPart, recordRest } from '@/db/strip/tray';
import { calendarOf, calendarOwner, newCalendarKey } from '@/db/unit/calendar';
import { leave, signOff } from '@/db/unit/sign-off';
import { undoLast } from '@/db/unit/undo';
import { endWait, openWaits, ringWait, startWait } from '@/db/unit/waits';
import { openShop, PEOPLE, type Shop, START } from './shop';

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});

const reasons = (r: Result<unknown, SaveError>): readonly string[] => (!r.ok && r.error.code === 'refused' ? r.error.reasons : []);
const tell = async (unitId: string, stepId: string, more: Partial<Parameters<typeof tellStep>[2]> = {}) =>
  tellStep(shop.db, await shop.change(unitId, 'step-ticked'), { stepId, outcome: 'done', note: '', dims: {}, ...more });
const does = async (unitId: string, method: NewTreatment['method'], more: Partial<NewTreatment> = {}) =>
  treat(shop.db, await shop.change(unitId, 'treated', PEOPLE.tech, { version: null }), {
    method,
    state: null,
    pressureBar: null,
    minutes: null,
    result: 'done',
    note: '',
    drilling: null,
    ...more,
  });

describe('the strip guide', () => {
  test('a ticked step takes its parts out; taking it back leaves them on the tray', async () => {
    const unitId = await shop.book({ family: 'master-tandem', nominalMm: 22.225 });
    await tell(unitId, 'part-rear-piston', { note: 'stiff', dims: { overallMm: 61.5 } });
    const { tray, ticks } = await shop.record(unitId);
    expect(tray.filter((p) => p.found === 'present').map((p) => p.slotId)).toEqual(['rear-piston', 'secondary']);
    expect(ticks).toMatchObject([{ stepId: 'part-rear-piston', note: 'stiff', dims: { overallMm: 61.5 }, personId: 'tess' }]);
    await tell(unitId, 'part-rear-piston', { outcome: 'open' });
    const after = await shop.record(unitId);
    expect([after.ticks, after.tray.filter((p) => p.found === 'present').length]).toEqual([[], 2]);
  });

  test('a note after the tick does not record the parts again, nor change who did it', async () => {
    const unitId = await shop.book();
    await tell(unitId, 'part-left-boot');
    const part = (await shop.record(unitId)).tray.find((p) => p.slotId === 'left-boot');
    await recordPart(shop.db, await shop.change(unitId, 'part-recorded'), part?.id ?? '', { found: 'absent', condition: null, fate: null });
    const change = await shop.change(unitId, 'step-ticked', PEOPLE.other);
    await tellStep(shop.db, change, { stepId: 'part-left-boot', outcome: 'done', note: 'there was none', dims: {} });
    const after = await shop.record(unitId);
    expect(after.tray.find((p) => p.slotId === 'left-boot')?.found).toBe('absent');
    expect(after.ticks).toMatchObject([{ personId: 'tess', note: 'there was none' }]);
  });

  test('a unit that had no such part says so at the step', async () => {
    const unitId = await shop.book({ family: 'master-single' });
    await tell(unitId, 'part-residual-valve', { outcome: 'absent' });
    const { tray, ticks } = await shop.record(unitId);
    expect(tray.find((p) => p.slotId === 'residual-valve')).toMatchObject({ found: 'absent', fate: null });
    expect(ticks.map((t) => t.stepId)).toEqual(['part-residual-valve']);
  });

  test('all of it done, every part is out', async () => {
    const unitId = await shop.book({ family: 'master-valve', nominalMm: 19.05 });
    const { family, tray } = await shop.record(unitId);
    for (const step of guideFor(family, tray, [])) expect((await tell(unitId, step.id)).ok).toBe(true);
    expect((await shop.record(unitId)).tray.every((p) => p.found === 'present')).toBe(true);
    expect(reasons(await tell(unitId, 'no-such-step'))).toEqual(['There is no such step in this unit’s guide.']);
  });

  test('what holds it is one of the kinds that the family knows', async () => {
    const unitId = await shop.book({ family: 'master-single' });
    const clip = (await shop.record(unitId)).tray.find((p) => p.slotId === 'circlip');
    const say = async (kind: 'wire-ring' | 'spring') =>
      recordPart(shop.db, await shop.change(unitId, 'part-recorded'), clip?.id ?? '', { kind });
    expect((await say('wire-ring')).ok).toBe(true);
    expect(reasons(await say('spring'))).toEqual(['The circlip cannot be a spring in this family; add that as a part of its own.']);
    expect((await shop.record(unitId)).tray.find((p) => p.slotId === 'circlip')?.kind).toBe('wire-ring');
  });
});

describe('a part that the family does not know', () => {
  const add = async (unitId: string, name: string, behindSlot: string | null) => {
    const { tray } = await shop.record(unitId);
    const behindId = behindSlot === null ? null : (tray.find((p) => p.slotId === behindSlot)?.id ?? 'nowhere');
    const change = await shop.change(unitId, 'part-added');
    return addPart(shop.db, change, { partId: `${unitId}-${name}`, kind: 'o-ring', name, qty: 1, note: '', behindId });
  };
  const names = async (unitId: string) => (await shop.record(unitId)).tray.map((p) => p.name);

  test('lies where it came out, first, between or last, and can be taken off again', async () => {
    const unitId = await shop.book({ family: 'wheel-single' });
    await add(unitId, 'first', null);
    await add(unitId, 'packing', 'cup');
    await add(unitId, 'more packing', 'cup');
    await add(unitId, 'last', 'bleed-cap');
    expect(await names(unitId)).toEqual([
      'first',
      'boot',
      'piston',
      'cup',
      'more packing',
      'packing',
      'spring',
      'bleed screw',
      'bleed cap',
      'last',
    ]);
    const drop = async (partId: string) => dropPart(shop.db, await shop.change(unitId, 'part-added'), partId);
    expect((await drop(`${unitId}-packing`)).ok).toBe(true);
    expect(await names(unitId)).not.toContain('packing');
    expect(reasons(await drop(`${unitId}-cup`))).toEqual(['The cup belongs to this family: if there was none, mark it absent.']);
    await undoLast(shop.db, await shop.change(unitId, 'undone'));
    expect(await names(unitId)).toContain('packing');
  });

  test('needs a name and a place of its own', async () => {
    const unitId = await shop.book({ family: 'wheel-single' });
    expect(reasons(await add(unitId, 'cup', 'boot'))[0]).toMatch(/There is a cup on this tray already/);
    expect(reasons(await add(unitId, 'packing', 'no-such-slot'))[0]).toMatch(/not on this tray/);
  });

  test('must get a condition and a fate like any other before strip is done', async () => {
    const unitId = await shop.book({ family: 'wheel-single' });
    await add(unitId, 'packing', 'cup');
    expect(whyNotDone('strip', factsOf(await shop.record(unitId))).find((w) => w.code === 'no-fate')).toMatchObject({ parts: ['packing'] });
  });
});

describe('freeing and cleaning', () => {
  test('a soak starts its wait in the same change, and undo takes both back', async () => {
    const unitId = await shop.book();
    await does(unitId, 'soak-penetrant', { state: 'seized', result: 'waiting', minutes: 90 });
    const { treatments, timers, unit } = await shop.record(unitId);
    expect(treatments).toMatchObject([{ method: 'soak-penetrant', state: 'seized', minutes: 90 }]);
    expect(timers).toMatchObject([{ label: 'soak in penetrant', ownerId: 'tess', doneAt: null }]);
    expect((timers[0]?.endsAt ?? 0) - (timers[0]?.startedAt ?? 0)).toBe(90 * 60_000);
    expect(unit.version).toBe(2);
    await undoLast(shop.db, await shop.change(unitId, 'undone'));
    const after = await shop.record(unitId);
    expect([after.treatments, after.timers]).toEqual([[], []]);
  });

  test('petroleum that was used holds close-up until somebody rinses and signs', async () => {
    const unitId = await shop.at('close-up');
    await shop.worker(unitId).touch();
    await does(unitId, 'grease-gun', { state: 'seized', pressureBar: 80, result: 'freed' });
    const petroleum = 'Rinse and sign first, at Clean: grease gun left petroleum in it, and that ruins new rubber.';
    const [part] = (await shop.record(unitId)).tray.filter((p) => p.found === 'present' && p.kind !== 'cup');
    const goesIn = { piece: part?.fate === 'refitted' ? 'same' : 'new', faces: null } as const;
    const putIn = async () => recordPart(shop.db, await shop.change(unitId, 'part-in'), part?.id ?? '', { goesIn });
    expect(reasons(await putIn())).toEqual([petroleum]);
    expect((await shop.record(unitId)).tray.every((p) => p.goesIn === null)).toBe(true);
    const closeUp = { station: 'close-up', note: '', override: null } as const;
    expect(reasons(await signOff(shop.db, await shop.change(unitId, 'signed-off'), closeUp))).toContain(petroleum);
    await does(unitId, 'rinse');
    expect((await putIn()).ok).toBe(true);
    await shop.worker(unitId).closeUp();
    expect((await shop.record(unitId)).steps.some((s) => s.station === 'close-up')).toBe(true);
  });

  test('clean: something done, every drilling seen open; judge: looked at again', async () => {
    const unitId = await shop.book({ family: 'master-tandem', nominalMm: 22.225 });
    const worker = shop.worker(unitId);
    await worker.strip();
    const why = async (station: 'clean' | 'judge') => whyNotDone(station, factsOf(await shop.record(unitId))).map((w) => w.code);
    expect(await why('clean')).toEqual(['not-cleaned', 'uncleared']);
    await does(unitId, 'ultrasonic');
    await does(unitId, 'port-wire', { drilling: 'rear-compensating' });
    expect(await why('clean')).toEqual(['uncleared']);
    await does(unitId, 'port-wire', { drilling: 'front-compensating' });
    expect(await why('clean')).toEqual([]);
    await signOff(shop.db, await shop.change(unitId, 'signed-off'), { station: 'clean', note: '', override: null });
    await worker.gauge();
    expect(await why('judge')).toEqual(['not-looked-again']);
    await expect(worker.judge('sound')).rejects.toThrow(/Look at the bore again/);
    await does(unitId, 'looked-again');
    await worker.judge('sound');
    expect((await shop.record(unitId)).steps.map((s) => s.station)).toContain('judge');
  });
});

describe('what comes in beside the cylinders', () => {
  test.each([
    ['booster', ['strip', 'clean', 'kit', 'close-up', 'prove', 'release']],
    ['linkage', ['strip', 'clean', 'kit', 'close-up', 'release']],
  ] as const)('a %s has a tray and no bore to gauge, judge or cut', async (family, visited) => {
    const unitId = await shop.book({ family, nominalMm: null });
    const record = await shop.record(unitId);
    expect(record.unit.geometry).toBeNull();
    expect(record.tray.map((p) => p.slotId)).toEqual(FAMILIES[family].slots.map((s) => s.id));
    expect(
      routeOfUnit(record)
        .filter((s) => s.state === 'now' || s.state === 'ahead')
        .map((s) => s.station),
    ).toEqual(visited);
  });
});

describe('variants of a family', () => {
  const variant = (label: string, drop: string) =>
    VariantSchema.parse({
      base: 'master-single',
      label,
      slots: masterSingle.slots.filter((s) => s.id !== drop),
      drawing: masterSingle.drawing,
    });

  test('a unit keeps the form it came in by, also when that is changed later', async () => {
    const save = (id: string, replaces: string | null, drop: string) =>
      saveVariant(shop.db, PEOPLE.lead, START, { id, replaces, variant: variant('Yard master', drop) });
    expect(await save('v1', null, 'residual-valve')).toEqual({ ok: true, value: { id: 'v1' } });
    const saved = await variantById(shop.db, 'v1');
    const unitId = await shop.book({ family: 'master-single', variant: saved ?? null });
    expect((await save('v2', 'v1', 'spring-seat')).ok).toBe(true);
    const record = await shop.record(unitId);
    expect(record.family.label).toBe('Yard master');
    expect(record.tray.map((p) => p.slotId)).toEqual(variant('Yard master', 'residual-valve').slots.map((s) => s.id));
    expect(familyFaults(record.family)).toEqual([]);
    expect((await currentVariants(shop.db)).map((v) => v.id)).toEqual(['v2']);
  });

  test('two people on one variant: the second is told; a retry saves once; names are not used twice', async () => {
    const save = (id: string, replaces: string | null, label = 'Dock master') =>
      saveVariant(shop.db, PEOPLE.lead, START, { id, replaces, variant: variant(label, 'protector') });
    await save('d1', null);
    expect((await save('d2', 'd1')).ok).toBe(true);
    expect((await save('d2', 'd1')).ok).toBe(true);
    expect(reasons(await save('d3', 'd1'))).toEqual(['Somebody else saved this variant meanwhile: open it again.']);
    expect(reasons(await save('d4', null))).toEqual(['There is a variant “Dock master” already.']);
  });
});

describe('causes', () => {
  test('a confirmed cause teaches once its unit has left', async () => {
    const unitId = await shop.book({ complaints: ['spongy'] });
    const say = async (answer: 'yes' | 'no' | null) =>
      find(shop.db, await shop.change(unitId, 'found'), { about: 'cause', name: 'air', answer });
    await say('yes');
    expect(await finishedUnits(shop.db)).toMatchObject({ units: 0, behind: { air: 0 }, heard: { 'air spongy': 0 } });
    await leave(shop.db, await shop.change(unitId, 'exited', PEOPLE.lead), 'returned');
    expect(await finishedUnits(shop.db)).toMatchObject({ units: 1, behind: { air: 1 }, heard: { 'air spongy': 1 } });
    await say(null);
    expect(await finishedUnits(shop.db)).toMatchObject({ units: 0, behind: { air: 0 }, heard: { 'air spongy': 0 } });
  });

  test('tests that the counter had made are kept with the booking', async () => {
    const unitId = await shop.book({ tests: [{ name: 'boot-wet', answer: 'yes' }] });
    expect((await shop.record(unitId)).findings).toMatchObject([{ about: 'test', name: 'boot-wet', answer: 'yes', personId: 'cas' }]);
  });

  test('the shop’s numbers are versions; who worked on an older one is told', async () => {
    const { version, likelihoods } = await causeModel(shop.db);
    const changed = { ...likelihoods, air: { ...likelihoods.air, prior: 0.33 } };
    expect(await saveCauseModel(shop.db, PEOPLE.owner, START, { after: version, note: 'more air here', likelihoods: changed })).toEqual({
      version: version + 1,
    });
    expect(await saveCauseModel(shop.db, PEOPLE.lead, START, { after: version, note: 'late', likelihoods })).toBeUndefined();
    expect(await causeModel(shop.db)).toMatchObject({ version: version + 1, note: 'more air here', likelihoods: { air: { prior: 0.33 } } });
  });
});

describe('waits', () => {
  const begin = async (unitId: string, minutes: number, ownerId: string | null = null) => {
    const change = await shop.change(unitId, 'wait-started');
    await startWait(shop.db, change, { label: 'seal soak', minutes, ownerId });
    return { id: change.eventId, endsAt: (await shop.record(unitId)).timers.at(-1)?.endsAt ?? 0 };
  };

  test('have an owner: who is named, or else who starts it', async () => {
    const unitId = await shop.book();
    const [mine, theirs] = [await begin(unitId, 5), await begin(unitId, 5, 'odo')];
    const open = (await openWaits(shop.db)).filter((w) => w.unitId === unitId);
    expect(open.map((w) => [w.id, w.owner, w.rung])).toEqual([
      [mine.id, 'Tess', false],
      [theirs.id, 'Odo', false],
    ]);
  });

  test('ring once, at the first bench that says so, not before their time and not when ended', async () => {
    const unitId = await shop.book();
    const wait = await begin(unitId, 10);
    expect(await ringWait(shop.db, wait.id, wait.endsAt - 1)).toBe(false);
    const rings = await Promise.all([1, 2, 3].map(() => ringWait(shop.db, wait.id, wait.endsAt)));
    expect(rings.filter(Boolean)).toEqual([true]);
    expect((await openWaits(shop.db)).find((w) => w.id === wait.id)?.rung).toBe(true);
    expect((await shop.record(unitId)).unit.version).toBe(2);
    const ended = await begin(unitId, 10);
    await endWait(shop.db, await shop.change(unitId, 'wait-ended'), ended.id);
    expect(await ringWait(shop.db, ended.id, ended.endsAt)).toBe(false);
  });

  test('a calendar holds its owner’s waits and what is promised; a new key makes the old one stop', async () => {
    const unitId = await shop.book({ machine: 'Tram works car' });
    await begin(unitId, 30, 'odo');
    const old = await newCalendarKey(shop.db, 'odo', START);
    const key = await newCalendarKey(shop.db, 'odo', START + 1);
    expect([await calendarOwner(shop.db, old), await calendarOwner(shop.db, key), await calendarOwner(shop.db, 'x')]).toEqual([
      undefined,
      'odo',
      undefined,
    ]);
    const mine = await calendarOf(shop.db, 'odo');
    expect(mine.filter((e) => e.alarm && e.text === 'Tram works car')).toHaveLength(1);
    expect((await calendarOf(shop.db, 'lena')).filter((e) => e.alarm)).toEqual([]);
    expect(mine.find((e) => e.id === `due-${unitId}`)?.text).toBe('Tram works car, Aldwater Orchards');
  });
});

test('what is left is said in one word; a part that may not be there is another, and nobody’s word is written over', async () => {
  const unitId = await shop.book({ family: 'master-tandem', nominalMm: 22.225 });
  const { tray, family } = await shop.record(unitId);
  const [turned, ...others] = tray.filter((p) => p.kind === 'cup');
  const wrongWay = partFacing(family, turned as TrayPart) === 'open' ? 'blind' : 'open';
  const seen = { found: 'present', condition: 'hard', fate: 'replaced', faces: wrongWay } as const;
  await recordPart(shop.db, await shop.change(unitId, 'part-recorded'), turned?.id ?? '', seen);
  const open = toBeLookedAt(family, (await shop.record(unitId)).tray);
  const none = perhapsNone(family, tray);
  expect([open.map((p) => p.id).includes(turned?.id ?? ''), none.map((p) => p.name)]).toEqual([
    false,
    ['reservoir roll pins', 'outlet check valves'],
  ]);
  const say = async (parts: readonly TrayPart[], as: 'usual' | 'none') =>
    recordRest(
      shop.db,
      await shop.change(unitId, 'part-recorded'),
      parts.map((p) => p.id),
      as,
    );
  expect([(await say([...open, turned as TrayPart], 'usual')).ok, (await say(open, 'none')).ok]).toEqual([false, false]);
  expect([(await say(open, 'usual')).ok, (await say(none, 'none')).ok]).toEqual([true, true]);
  const after = (await shop.record(unitId)).tray;
  const of = (id: string | undefined) => after.find((p) => p.id === id);
  expect(of(turned?.id)).toMatchObject({ condition: 'hard', faces: wrongWay });
  // Rubber is said to be worn, and its lip to be right.
  for (const cup of others) expect(of(cup.id)).toMatchObject({ condition: 'worn', fate: 'replaced', faces: partFacing(family, cup) });
  expect(after.filter((p) => p.kind === 'piston').map((p) => [p.condition, p.fate])).toEqual([
    ['good', 'refitted'],
    ['good', 'refitted'],
  ]);
  expect(none.map((p) => of(p.id)?.found)).toEqual(['absent', 'absent']);
});
