import { join } from 'node:path';
import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { analysed } from '@/app/_server/analysed';
import { piecesOf } from '@/core/close-up/piece';
import { FAMILIES } from '@/core/family/families';
import { fillPressures, goneReadings, holdReadings, readingTimes } from '@/core/prove/by-hand';
import type { Seen } from '@/core/prove/programme/seen';
import type { RunStep, Step } from '@/core/prove/programme/step';
import { usualSteps } from '@/core/prove/programme/usual';
import type { RigSample } from '@/core/prove/rig-sample';
import { travellerOf } from '@/core/release/traveller';
import type { Result } from '@/core/result';
import type { TrayPart } from '@/core/strip/tray-schema';
import { factsOf, shortOf } from '@/core/unit/facts-of';
import { keptBarOf, nextStep, provingOf, stepsFor } from '@/core/unit/proving';
import { stationPicture } from '@/core/unit/station-picture';
import { unitOfTag } from '@/db/engine/cached-units';
import type { ChangeError } from '@/db/engine/change-unit';
import { putBack, spoilPiece } from '@/db/kit/kit';
import { setAside } from '@/db/kit/take';
import { programmeInForce } from '@/db/prove/programmes';
import { noteSeen, reopenAfterFail, startStanding } from '@/db/prove/proof';
import { breakLostRuns, earlierRuns, newestRunOf, startRun, storeRun } from '@/db/prove/prove';
import { leaveRigQueue, queueForRig, rigQueued } from '@/db/prove/rig-queue';
import { programmeVersions, saveProgramme } from '@/db/prove/save-programme';
import { lotFindings } from '@/db/store/findings';
import { runPieces } from '@/db/tables';
import { addPhoto } from '@/db/unit/photos';
import { signOff } from '@/db/unit/sign-off';
import { openWaits } from '@/db/unit/waits';
import { must } from '../../devices/hand/must';
import { drawPhoto } from '../../devices/hand/photo';
import { seeded } from '../../devices/hand/random';
import { SOUND } from '../../devices/rig/chamber';
import { spawnNode } from '../children';
import { openShop, PEOPLE, type Shop, START } from './shop';
import { type StandIn, startStandIn } from './stand-in';

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});

const tandem = { family: 'master-tandem' } as const;
const reasons = (result: Result<unknown, ChangeError>): readonly string[] => {
  if (result.ok || result.error.code !== 'refused') throw new Error(`not refused: ${JSON.stringify(result)}`);
  return result.error.reasons;
};
const stands = async (unitId: string) =>
  Object.fromEntries(provingOf(await shop.record(unitId)).map((s) => [s.step.id, s.stands])) as Readonly<Record<string, string>>;
const see = async (unitId: string, stepId: string, seen: Partial<Seen>, at?: number) => {
  const change = await shop.change(unitId, 'step-seen', PEOPLE.tech, at === undefined ? {} : { at });
  return noteSeen(shop.db, change, { answer: null, readings: null, wet: null, note: '', ...seen, stepId });
};
/** A run read by eye: the way up to a share of the step's pressure, then a hold that falls by so many bar a minute. */
const byHand = async (unitId: string, stepId: string, barPerMin: number, readings = 21, share = 1) => {
  const record = await shop.record(unitId);
  const asked = stepsFor(record).find((s) => s.id === stepId) as RunStep;
  const step = { ...asked, targetBar: share * asked.targetBar };
  const fill = fillPressures(step.targetBar).map((bar) => ({ bar, ml: 0.05 * bar }));
  const times = readingTimes('holdS' in step ? step.holdS : 60).slice(0, readings);
  const samples: readonly RigSample[] =
    step.kind === 'port'
      ? goneReadings(step.targetBar, [{ tS: step.withinS, bar: 0.2 }])
      : holdReadings(
          step,
          fill,
          times.map((tS) => ({ tS, bar: Math.round((step.targetBar - (barPerMin * tS) / 60) * 4) / 4 })),
        );
  const change = await shop.change(unitId, 'run-read', PEOPLE.tech, { version: null });
  const run = { runId: change.eventId, stepId, way: 'by-hand' as const, samples, readTo: { bar: 0.25, ml: 0.05 } };
  return storeRun(shop.db, change, run, analysed);
};

describe('step by step', () => {
  test('the programme is worked in its order; what must pass holds Prove by name until it has', async () => {
    const unitId = await shop.at('prove', tandem);
    expect(nextStep(provingOf(await shop.record(unitId)))?.step.id).toBe('low-hold');
    expect(await stands(unitId)).toMatchObject({ 'dry-stroke': 'pass', 'low-hold': 'open', port: 'open', weep: 'open' });
    expect(stationPicture(await shop.record(unitId), 'prove')).toEqual({ marked: [], pressed: null });
    const picture = stationPicture(await shop.record(unitId), 'prove', 'hold-rear');
    expect(picture.pressed).toBe('rear');
    await shop.worker(unitId).prove(SOUND);
    expect(Object.values(await stands(unitId)).filter((s) => s === 'open').length).toBe(5);
    expect((await shop.record(unitId)).unit.station).toBe('release');
  });

  test('a port wants both: the pressure gone, and the drop seen', async () => {
    const unitId = await shop.at('prove', tandem);
    await see(unitId, 'port', { answer: 'good' });
    expect((await stands(unitId)).port).toBe('open');
    await byHand(unitId, 'port', 0);
    expect((await stands(unitId)).port).toBe('pass');
    await see(unitId, 'port', { answer: 'bad' });
    expect((await stands(unitId)).port).toBe('fail');
  });

  test('a port that is shut asks for another gap: Set is not signed off with the one it was tried with', async () => {
    const unitId = await shop.at('prove', tandem);
    await see(unitId, 'port', { answer: 'bad' });
    await must(reopenAfterFail(shop.db, await shop.change(unitId, 'reopened'), 'The rod holds the cup over the port: no gap left'));
    const set = async () => signOff(shop.db, await shop.change(unitId, 'signed-off'), { station: 'set', note: '', override: null });
    expect([(await shop.record(unitId)).unit.station, factsOf(await shop.record(unitId)).gap]).toEqual(['set', null]);
    expect((await set()).ok).toBe(false);
    await shop.worker(unitId).set();
    expect((await shop.record(unitId)).unit.station).toBe('prove');
  });

  test('without the rig: the same programme by hand, and the record says how it was read', async () => {
    const unitId = await shop.at('prove');
    expect((await byHand(unitId, 'low-hold', 0.1)).ok).toBe(true);
    expect((await byHand(unitId, 'hold', 0.2)).ok).toBe(true);
    expect(await stands(unitId)).toMatchObject({ 'low-hold': 'pass', hold: 'pass' });
    const run = await newestRunOf(shop.db, await shop.record(unitId), 'hold');
    expect([run?.way, run?.readToBar, run?.readToMl, run?.samples.length, run?.state]).toEqual(['by-hand', 0.25, 0.05, 25, 'finished']);
    expect(run?.sentence).toMatch(/Read to 0\.25 bar/);
    await byHand(unitId, 'hold', 4);
    expect((await stands(unitId)).hold).toBe('fail');
    const [again] = [await newestRunOf(shop.db, await shop.record(unitId), 'hold')];
    expect(again === undefined ? [] : (await earlierRuns(shop.db, again)).map((s) => s.length)).toEqual([25]);
  });

  test('too few readings are not judged, and nothing is kept of them', async () => {
    const unitId = await shop.at('prove');
    expect(reasons(await byHand(unitId, 'hold', 0.2, 4))[0]).toMatch(/^These readings are too few/);
    expect(reasons(await byHand(unitId, 'hold', 0.2, 21, 0.5))[0]).toMatch(
      /^This was 40(\.\d)? bar for 120 s; its programme asks for 80 bar for 120 s\.$/,
    );
    expect((await shop.record(unitId)).runs).toEqual([]);
  });

  test('a step that is not of its programme, one that is seen and not run, and the other way round', async () => {
    const unitId = await shop.at('prove');
    const start = async (stepId: string) =>
      startRun(shop.db, await shop.change(unitId, 'run-started'), { runId: `no-${stepId}`, stepId, way: 'rig' });
    expect(reasons(await start('hold-rear'))).toEqual(['Its programme has no such step.']);
    expect(reasons(await start('weep'))).toEqual(['That step is seen, not run.']);
    expect(reasons(await see(unitId, 'hold', { answer: 'good' }))).toEqual(['That step is run, not seen.']);
    expect(reasons(await see(unitId, 'air-hold', {}))).toEqual(['Say what was seen.']);
    expect(reasons(await see(await shop.at('close-up'), 'weep', { answer: 'good' }))[0]).toMatch(/^First: Close up/);
  });

  test('a residual valve is tried only where one goes back in', async () => {
    const unitId = await shop.at('prove', { family: 'master-single', nominalMm: 20.6375 });
    const record = await shop.record(unitId);
    const valve = record.tray.find((p) => p.kind === 'residual-valve');
    expect([valve?.found, stepsFor(record).some((s) => s.kind === 'residual')]).toEqual(['present', true]);
    const without = { ...valve, found: 'absent', fate: null, goesIn: null } as TrayPart;
    const record2 = { ...record, tray: record.tray.map((p) => (p === valve ? without : p)) };
    expect([stepsFor(record2).some((s) => s.kind === 'residual'), keptBarOf(record), keptBarOf(record2)]).toEqual([false, 1.5, 0]);
  });
});

describe('a failed step leads back', () => {
  test('to the stations that it names, by whoever proves; the drawing shows where', async () => {
    const unitId = await shop.at('prove');
    const back = async (what: string) => reopenAfterFail(shop.db, await shop.change(unitId, 'reopened', PEOPLE.tech, { note: what }), what);
    expect(reasons(await back('The left cup: cut, turned, hardened or dirty'))).toEqual(['No step of its programme fails now.']);
    await shop.worker(unitId).prove({ ...SOUND, leakMlPerMinAt80: 0.4 });
    expect(await stands(unitId)).toMatchObject({ 'low-hold': 'pass', hold: 'fail' });
    expect(new Set(stationPicture(await shop.record(unitId), 'prove').marked)).toEqual(new Set(['left-cup', 'right-cup', 'bleed-screw']));
    expect(stationPicture(await shop.record(unitId), 'prove', 'low-hold').marked).toEqual([]);
    expect(reasons(await back('The weather'))[0]).toMatch(/a lead can reopen any/);
    expect(reasons(await back('The bench itself: its hose or union, or air that was not bled'))[0]).toMatch(/run the step again/);
    expect((await back('The left cup: cut, turned, hardened or dirty')).ok).toBe(true);
    const reopened = await shop.record(unitId);
    expect([reopened.unit.station, reopened.steps.some((s) => s.station === 'kit')]).toEqual(['close-up', true]);
    // It comes out, with what is in its way, and no more.
    const out = reopened.tray.filter((p) => p.found === 'present' && p.goesIn === null).map((p) => p.slotId);
    expect(out).toEqual(['left-boot', 'left-piston', 'left-cup']);
    expect(new Set(Object.values(await stands(unitId)).filter((s) => s !== 'pass'))).toEqual(new Set(['open']));
  });

  test('a new cup that is found cut is put away, and another is asked for at Kit; its bag says so, its lot does not', async () => {
    const unitId = await shop.at('prove');
    const cup = `${unitId}-left-cup`;
    const spoil = async () => spoilPiece(shop.db, await shop.change(unitId, 'piece-spoilt'), cup);
    await shop.worker(unitId).prove({ ...SOUND, leakMlPerMinAt80: 0.4 });
    expect(reasons(await spoil())).toEqual(['The left cup is said to be in: take it out first.']);
    const what = 'The left cup: cut, turned, hardened or dirty';
    await reopenAfterFail(shop.db, await shop.change(unitId, 'reopened'), what);
    expect((await spoil()).ok).toBe(true);
    const record = await shop.record(unitId);
    expect([record.unit.station, shortOf(record).map((n) => [n.id, n.qty])]).toEqual(['kit', [['left-cup', 1]]]);
    const [bag] = record.setAside;
    expect(bag?.spoilt).toEqual([{ item: 0, qty: 1 }]);
    expect((await lotFindings(shop.db)).filter((f) => f.lotId === bag?.lotId)).toEqual([]);
    // The cup that is in keeps its piece; the other comes from the next bag.
    await must(setAside(shop.db, await shop.change(unitId, 'kit-set-aside'), { articleId: bag?.articleId ?? '', qty: 1 }));
    const second = await shop.record(unitId);
    expect(shortOf(second)).toEqual([]);
    const from = new Map([...piecesOf(second)].flatMap(([slot, p]) => (p.kind === 'bag' ? [[slot, p.bag.id]] : [])));
    expect([from.get('left-cup'), from.get('right-cup')]).toEqual([second.setAside.find((b) => b.id !== bag?.id)?.id, bag?.id]);
  });

  test('a bag of which a piece was spoilt does not go back on the shelf, and an old part is never spoilt new', async () => {
    const unitId = await shop.at('close-up');
    const spoil = async (slot: string) => spoilPiece(shop.db, await shop.change(unitId, 'piece-spoilt'), `${unitId}-${slot}`);
    expect(reasons(await spoil('left-piston'))).toEqual(['No new left piston is set aside for this unit.']);
    await must(spoil('left-cup'));
    const [bag] = (await shop.record(unitId)).setAside;
    const back = await putBack(shop.db, await shop.change(unitId, 'kit-put-back'), bag?.id ?? '');
    expect(reasons(back)).toEqual(['Parts of it were spoilt: it is no whole bag any more.']);
  });

  test('to the bore: it comes apart again, and nothing that was proved counts', async () => {
    const unitId = await shop.at('prove');
    await shop.worker(unitId).prove({ ...SOUND, leakMlPerMinAt80: 0.4 });
    const score = 'The bore under left cup, right cup: a pit or a score';
    expect((await reopenAfterFail(shop.db, await shop.change(unitId, 'reopened'), score)).ok).toBe(true);
    const record = await shop.record(unitId);
    expect([record.unit.station, record.tray.every((p) => p.goesIn === null)]).toEqual(['gauge', true]);
    expect(provingOf(record).every((s) => s.stands === 'open')).toBe(true);
  });
});

describe('proved by standing', () => {
  const photo = async (unitId: string, stepId: string, phase: 'out' | 'in') =>
    addPhoto(shop.db, await shop.change(unitId, 'photo-added', PEOPLE.tech, { version: null }), {
      caption: 'paper',
      bytes: await drawPhoto('body', seeded(3)),
      on: { kind: 'proof', id: stepId },
      phase,
    });
  const stand = async (unitId: string, stepId: string, startMm: number | null = null) =>
    startStanding(shop.db, await shop.change(unitId, 'stands'), { stepId, startMm });

  test('a night on paper: photo, wait, photo, answer; the wait rings and ends with the answer', async () => {
    const unitId = await shop.at('prove');
    expect(reasons(await stand(unitId, 'weep'))).toEqual(['Take a photo of the unit on its dry paper first.']);
    expect(reasons(await see(unitId, 'weep', { answer: 'good' }))).toEqual(['Set it on paper first, with a photo of the dry paper.']);
    expect((await photo(unitId, 'nothing', 'out')).ok).toBe(false);
    await photo(unitId, 'weep', 'out');
    expect((await stand(unitId, 'weep')).ok).toBe(true);
    expect(reasons(await stand(unitId, 'weep'))).toEqual(['It stands already.']);
    const wait = (await openWaits(shop.db)).find((w) => w.unitId === unitId);
    expect([wait?.label, (wait?.endsAt ?? 0) > START]).toEqual(['overnight weep check', true]);
    expect(reasons(await see(unitId, 'weep', { answer: 'good' }))[0]).toMatch(/^It has 1[34] h.* to stand yet\.$/);
    const after = (wait?.endsAt ?? 0) + 1000;
    expect(reasons(await see(unitId, 'weep', { answer: 'good' }, after))).toEqual(['Take a photo of the paper as it is now first.']);
    await photo(unitId, 'weep', 'in');
    expect((await see(unitId, 'weep', { answer: 'good' }, after + 1000)).ok).toBe(true);
    expect((await stands(unitId)).weep).toBe('pass');
    expect((await openWaits(shop.db)).some((w) => w.unitId === unitId)).toBe(false);
  });

  test('wet paper need not wait; it fails, and says where', async () => {
    const unitId = await shop.at('prove');
    await photo(unitId, 'weep', 'out');
    await stand(unitId, 'weep');
    await photo(unitId, 'weep', 'in');
    expect((await see(unitId, 'weep', { answer: 'bad', wet: 'open-end' })).ok).toBe(true);
    const stood = provingOf(await shop.record(unitId)).find((s) => s.step.id === 'weep');
    expect([stood?.stands, stood?.wet, stood?.texts]).toEqual(['fail', 'open-end', ['Wet. Wet: at the open end or a boot.']]);
    expect((await shop.record(unitId)).unit.station).toBe('prove');
  });

  test('a slow sink: the rod before and after', async () => {
    const unitId = await shop.at('prove', tandem);
    expect(reasons(await stand(unitId, 'sink'))).toEqual(['Read where the rod stands first.']);
    expect(reasons(await stand(unitId, 'hold-rear'))).toEqual(['That step is run, not seen.']);
    await stand(unitId, 'sink', 12.3);
    expect(reasons(await see(unitId, 'sink', { answer: 'good' }))).toEqual(['Read the rod before and after.']);
    await see(unitId, 'sink', { readings: [12.3, 12.6] });
    expect((await stands(unitId)).sink).toBe('pass');
  });
});

describe('programmes of the shop', () => {
  const save = (steps: readonly Step[], after: number, family: 'wheel-double' | 'booster' = 'wheel-double') =>
    saveProgramme(shop.db, PEOPLE.lead, START, { family, after, note: 'after a comeback', steps });
  const usual = usualSteps(FAMILIES['wheel-double']);

  test('a version takes hold of units whose proving nobody has begun; the others end by theirs', async () => {
    const [begun, fresh] = [await shop.at('prove'), await shop.at('prove')];
    await byHand(begun, 'low-hold', 0.1);
    const tagNo = (await shop.record(fresh)).unit.tagNo;
    expect((await unitOfTag(shop.db, tagNo))?.programme.version).toBe(0);
    const cycled = usual.map((s): Step => (s.kind === 'cycles' ? { ...s, need: 'must' } : s));
    expect(await save(cycled, 0)).toEqual({ ok: true, value: { version: 1 } });
    expect((await unitOfTag(shop.db, tagNo))?.programme).toEqual({ version: 1, steps: cycled });
    expect((await shop.record(begun)).programme.version).toBe(0);
    await byHand(fresh, 'low-hold', 0.1);
    expect((await shop.record(fresh)).runs[0]?.programme).toBe(1);
    expect(reasons(await save(usual, 0))).toEqual(['Somebody else saved this programme meanwhile: open it again.']);
    await save(usual, 1);
    expect([(await programmeInForce(shop.db, 'wheel-double')).version, (await shop.record(fresh)).programme.version]).toEqual([2, 1]);
    expect((await programmeVersions(shop.db, 'wheel-double')).map((v) => [v.version, v.by])).toEqual([
      [2, 'Lena'],
      [1, 'Lena'],
    ]);
  });

  test('one that cannot be worked by is refused with every reason, and not kept', async () => {
    const { version } = await programmeInForce(shop.db, 'wheel-double');
    const bad = usual.map((s): Step => ({ ...s, need: 'may', chamber: s.kind === 'hold' ? 'attic' : null }));
    expect(reasons(await save(bad, version)).length).toBe(3);
    expect(reasons(await save(usual, 0, 'booster'))[0]).toMatch(/not proved on a rig/);
    expect((await programmeInForce(shop.db, 'wheel-double')).version).toBe(version);
  });
});

test('units wait for the rig in their order; one that is run, or has gone on, waits no more', async () => {
  const [a, b, c] = [await shop.at('prove'), await shop.at('prove'), await shop.at('kit')];
  await queueForRig(shop.db, PEOPLE.tech, a, START + 1);
  await queueForRig(shop.db, PEOPLE.other, b, START + 2);
  await queueForRig(shop.db, PEOPLE.tech, a, START + 3);
  await queueForRig(shop.db, PEOPLE.tech, c, START);
  expect((await rigQueued(shop.db)).map((q) => [q.unitId, q.by])).toEqual([
    [a, 'Tess'],
    [b, 'Odo'],
  ]);
  await startRun(shop.db, await shop.change(a, 'run-started'), { runId: 'queued', stepId: 'hold', way: 'rig' });
  expect((await rigQueued(shop.db)).map((q) => q.unitId)).toEqual([b]);
  await leaveRigQueue(shop.db, b);
  expect(await rigQueued(shop.db)).toEqual([]);
});

test('the traveller: route, tray and programme as they stand, with boxes for what is still to be done', async () => {
  const t = travellerOf(await shop.record(await shop.at('prove', tandem)));
  expect(t.route.filter((r) => r.tick === 'none').map((r) => r.name)).toEqual(['Hone', 'Sleeve']);
  expect(t.route.find((r) => r.tick === 'open')).toMatchObject({ name: 'Prove', text: expect.stringMatching(/^Not proved yet/) });
  expect(t.tray.find((r) => r.name === 'floating rear cup')).toMatchObject({
    tick: 'done',
    text: expect.stringMatching(/lip to the open end/),
  });
  expect(t.proving.map((r) => r.tick)).toEqual(['done', ...Array.from({ length: 10 }, () => 'open')]);
  const early = travellerOf(await shop.record(await shop.book()));
  expect([early.tray.every((r) => r.tick === 'open'), early.lines.some((l) => l.startsWith('Bore'))]).toEqual([true, false]);
});

describe('a server that is killed in the middle of a run', () => {
  let rig: StandIn;
  beforeAll(async () => {
    rig = await startStandIn(20);
  });
  afterAll(() => rig.stop());

  test('the rig vents; the next start marks the run as interrupted, with what it had', async () => {
    const unitId = await shop.at('prove');
    const holder = spawnNode(['--import', 'tsx', join('tests', 'server', 'holder.ts'), unitId, 'hold'], { EDDRIN_RIG: rig.address });
    await new Promise<void>((resolve) => holder.stdout.on('data', () => resolve()));
    // Long enough for a piece to be stored since; the hold goes on for longer.
    await expect.poll(async () => (await shop.db.select().from(runPieces)).length, { timeout: 5000 }).toBeGreaterThan(3);
    holder.kill('SIGKILL');
    await new Promise<void>((resolve) => holder.on('exit', () => resolve()));
    await expect.poll(rig.said).toMatch(/line lost, vented from [78]\d\.\d bar/);
    expect(await breakLostRuns(shop.db, Date.now())).toBeGreaterThanOrEqual(1);
    const run = await newestRunOf(shop.db, await shop.record(unitId), 'hold');
    expect([run?.state, run?.because, run?.outcome]).toEqual(['interrupted', 'the server stopped during the run', null]);
    expect((run?.samples ?? []).filter((s) => s.phase === 'hold').length).toBeGreaterThan(100);
    expect(run?.sentence).toMatch(/^Held \d+ s from/);
    expect(
      (
        await shop.db
          .select()
          .from(runPieces)
          .where(eq(runPieces.runId, run?.id ?? ''))
      ).length,
    ).toBe(0);
    expect((await stands(unitId)).hold).toBe('open');
  }, 30_000);
});
