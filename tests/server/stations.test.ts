import { beforeAll, describe, expect, test } from 'vitest';
import type { MarkRecord } from '@/core/judge/mark-record';
import type { Person } from '@/core/people/role';
import { may } from '@/core/people/role';
import type { Run } from '@/core/prove/run';
import type { Result } from '@/core/result';
import type { STATIONS } from '@/core/station';
import type { PartNews } from '@/core/strip/part-news';
import { routeOfUnit } from '@/core/unit/facts-of';
import { undoable } from '@/core/unit/history';
import { judgeInputOf } from '@/core/unit/judge-input';
import { answerCustomer, askCustomer } from '@/db/customer/approval';
import { messagesOf } from '@/db/customer/outbox';
import type { ChangeError } from '@/db/engine/change-unit';
import { saveGauging } from '@/db/gauge/gauging';
import { saveJudgement } from '@/db/judge/judgement';
import { putBack } from '@/db/kit/kit';
import { setAside } from '@/db/kit/take';
import { breakLostRuns, endRun, keepPiece, runOf, startRun } from '@/db/prove/prove';
import { certificateOf, release, signForRelease } from '@/db/release/release';
import { backFromSleeving, sendOut } from '@/db/sleeve/sleeve';
import { wholeStore } from '@/db/store/catalogue';
import { recordPart } from '@/db/strip/tray';
import { historyOf } from '@/db/unit/history';
import { boreCut, leave, reopen, signOff } from '@/db/unit/sign-off';
import { undoLast } from '@/db/unit/undo';
import { endWait, openWaits, startWait } from '@/db/unit/waits';
import { seeded } from '../../devices/hand/random';
import { simulate } from '../../devices/hand/rig-trace';
import { SOUND } from '../../devices/rig/chamber';
import { openShop, PEOPLE, type Shop, START, type WorkedTo } from './shop';

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});

/** Why something was refused; fails when it was not. */
const reasons = (result: Result<unknown, ChangeError>): readonly string[] => {
  if (result.ok || result.error.code !== 'refused') throw new Error(`not refused: ${JSON.stringify(result)}`);
  return result.error.reasons;
};
const stationOf = async (unitId: string): Promise<string> => (await shop.record(unitId)).unit.station;
const done = (station: (typeof STATIONS)[number]) => ({ station, note: '', override: null });

const at = (station: WorkedTo, more = {}): Promise<string> => shop.at(station, more);

describe('strip', () => {
  test('is not done while a part has not been looked at, and says which', async () => {
    const unitId = await shop.book();
    const why = reasons(await signOff(shop.db, await shop.change(unitId, 'signed-off'), done('strip')));
    expect(why[0]).toMatch(/^Not yet recorded, present or absent: left boot, left piston/);
  });

  test('a lead may pass over what is missing, with a reason that stays; a technician may not', async () => {
    const unitId = await shop.book();
    const sign = { ...done('strip'), override: 'boots cut off at the machine' };
    expect(reasons(await signOff(shop.db, await shop.change(unitId, 'overridden'), sign))).toEqual([
      'Only a lead may override a condition.',
    ]);
    expect((await signOff(shop.db, await shop.change(unitId, 'overridden', PEOPLE.lead), sign)).ok).toBe(true);
    const step = (await shop.record(unitId)).steps.find((s) => s.station === 'strip');
    expect(step).toMatchObject({ override: 'boots cut off at the machine', personId: 'lena' });
    expect(step?.unmet[0]).toMatch(/Not yet recorded/);
  });

  test('one number is put right by a lead after the sign-off, while nothing rests on it', async () => {
    const unitId = await at('kit');
    const tell = async (slot: string, news: PartNews, person: Person = PEOPLE.lead) => {
      const part = (await shop.record(unitId)).tray.find((p) => p.slotId === slot);
      const result = await recordPart(shop.db, await shop.change(unitId, 'part-recorded', person), part?.id ?? '', news);
      return result.ok ? [] : reasons(result);
    };
    expect(await tell('expander', { dims: { freeMm: 21 } }, PEOPLE.tech)).toEqual([expect.stringMatching(/signed off/)]);
    expect(await tell('expander', { dims: { freeMm: 21 }, note: 'read off the drawing' })).toEqual([]);
    expect((await shop.record(unitId)).unit.station).toBe('kit');
    expect(await tell('left-piston', { dims: { diaMm: 22.1 } })).toEqual([
      'The judgement of the bore rests on the diameter of the left piston: a lead reopens Strip, and it is judged again.',
    ]);
    expect(await tell('left-boot', { fate: 'binned' })).toEqual(['Strip is signed off: a lead reopens it for that.']);
  });

  test('each piston counts where it runs; the thinner one is the unit’s', async () => {
    const unitId = await shop.book();
    const measure = async (slot: string, diaMm: number) =>
      recordPart(shop.db, await shop.change(unitId, 'part-recorded'), `${unitId}-${slot}`, { dims: { diaMm } });
    await measure('left-piston', 22.17);
    await measure('right-piston', 22.16);
    const record = await shop.record(unitId);
    expect(record.unit.pistonDiaMm).toBe(22.16);
    const gauged = { ...record, tray: record.tray.map((p) => ({ ...p, found: 'present' as const })) };
    const seals = judgeInputOf(gauged, { marks: [], school: null, wallMm: null })?.seals;
    expect(seals?.map((s) => [s.id, s.pistonDiaMm])).toEqual([
      ['left-cup', 22.17],
      ['right-cup', 22.16],
    ]);
    await measure('left-piston', 22.15);
    expect((await shop.record(unitId)).unit.pistonDiaMm).toBe(22.15);
  });

  test('once signed off its rows are closed', async () => {
    const unitId = await at('clean');
    const late = await recordPart(shop.db, await shop.change(unitId, 'part-recorded'), `${unitId}-left-boot`, { note: 'x' });
    expect(reasons(late)).toEqual(['Strip is signed off; a lead can reopen it.']);
  });

  test('a part of another unit is not on this tray', async () => {
    const [one, two] = [await shop.book(), await shop.book()];
    const wrong = await recordPart(shop.db, await shop.change(one, 'part-recorded'), `${two}-left-boot`, { note: 'x' });
    expect(reasons(wrong)).toEqual(['There is no such part on this tray.']);
  });
});

describe('the order of the route', () => {
  test('a station ahead is refused with what comes first', async () => {
    const unitId = await shop.book();
    expect(reasons(await signOff(shop.db, await shop.change(unitId, 'signed-off'), done('close-up')))).toEqual(['First: Strip.']);
    const gauging = { gaugingId: 'g', readings: [{ xMm: 1, clockDeg: 0, diaMm: 22 }], bodyTempC: null, gaugeTempC: null };
    expect(reasons(await saveGauging(shop.db, await shop.change(unitId, 'gauged'), gauging))).toEqual(['First: Strip.']);
    const run = { runId: 'r', stepId: 'hold', way: 'rig' } as const;
    expect(reasons(await startRun(shop.db, await shop.change(unitId, 'run-started'), run))).toEqual(['First: Strip.']);
    expect(reasons(await signForRelease(shop.db, await shop.change(unitId, 'signed'), PEOPLE.tech))).toEqual(['First: Strip.']);
  });

  test('a station that this unit does not visit is refused', async () => {
    const unitId = await at('kit');
    expect(reasons(await signOff(shop.db, await shop.change(unitId, 'signed-off'), done('hone')))).toEqual([
      'The verdict asks for no cutting.',
    ]);
  });

  test('a wheel cylinder has no pushrod gap: Set is passed over', async () => {
    const route = routeOfUnit(await shop.record(await at('prove')));
    expect(route.find((s) => s.station === 'set')).toEqual({ station: 'set', state: 'skipped', because: 'no-gap' });
  });
});

describe('gauge and judge', () => {
  const judgement = (verdictId: string, marks: Parameters<typeof saveJudgement>[2]['marks'] = []) => ({
    verdictId,
    marks,
    school: null,
    wallMm: null,
  });
  // A mark's id is its own in the whole shop.
  let drawn = 0;
  const mark = (name: string, more: object) =>
    ({
      id: `${name}-${++drawn}`,
      name,
      kind: 'pit',
      x0Mm: 24,
      x1Mm: 24.5,
      clock0Deg: 170,
      clock1Deg: 176,
      cleaned: true,
      note: '',
      seenAt: null,
      ...more,
    }) as const;

  test('the verdict is computed on the server and stored with its rule set, its input and its person', async () => {
    const unitId = await at('judge');
    await saveJudgement(shop.db, await shop.change(unitId, 'judged'), judgement('v1', [mark('m1', { depthUm: 12 })]));
    const { verdicts, marks, unit } = await shop.record(unitId);
    expect(verdicts[0]).toMatchObject({ id: 'v1', personId: 'tess', answer: { outcome: 'hone', limitDiaMm: 22.31 } });
    expect(marks.map((m) => [m.name, m.depthUm])).toEqual([['m1', 12]]);
    expect([unit.station, unit.outcome, unit.targetDiaMm]).toEqual(['hone', 'hone', verdicts[0]?.answer.targetDiaMm]);
  });

  test('an open question keeps the unit at Judge; its answer lets it go on', async () => {
    const unitId = await at('judge');
    await saveJudgement(shop.db, await shop.change(unitId, 'judged'), judgement('v2', [mark('m1', { cleaned: false })]));
    expect([await stationOf(unitId), (await shop.record(unitId)).unit.outcome]).toEqual(['judge', 'undecided']);
    await saveJudgement(shop.db, await shop.change(unitId, 'judged'), judgement('v3', []));
    expect((await shop.record(unitId)).marks).toEqual([]);
    expect(await stationOf(unitId)).toBe('kit');
  });

  test('scrap stays at Judge until a lead lets it leave', async () => {
    const unitId = await at('judge');
    await saveJudgement(shop.db, await shop.change(unitId, 'judged'), judgement('v4', [mark('m1', { kind: 'crack' })]));
    expect(reasons(await signOff(shop.db, await shop.change(unitId, 'signed-off'), done('judge')))).toEqual([
      'The body cannot be saved: scrap it or hand it back unrepaired.',
    ]);
    await leave(shop.db, await shop.change(unitId, 'exited', PEOPLE.lead), 'scrapped');
    expect((await shop.record(unitId)).unit.exit).toBe('scrapped');
  });

  test('cutting metal asks for gauging and judging again, and the old verdict decides nothing more', async () => {
    const unitId = await at('judge');
    await saveJudgement(shop.db, await shop.change(unitId, 'judged'), judgement('v5', [mark('m1', { depthUm: 12 })]));
    await boreCut(shop.db, await shop.change(unitId, 'bore-changed'), '220 then 400');
    const states = routeOfUnit(await shop.record(unitId)).map((s) => `${s.station} ${s.state}`);
    expect(states.slice(2, 7)).toEqual(['clean done', 'gauge now', 'judge ahead', 'hone done', 'sleeve skipped']);
    const early = await saveJudgement(shop.db, await shop.change(unitId, 'judged'), judgement('v6'));
    expect(reasons(early)).toEqual(['First: Gauge.']);
    await shop.worker(unitId).gauge('sound', 0.03);
    await saveJudgement(shop.db, await shop.change(unitId, 'judged'), judgement('v7'));
    expect(await stationOf(unitId)).toBe('kit');
  });

  test('a mark of before a cut is undecided until somebody has looked again: still there and how deep, or gone', async () => {
    const unitId = await at('judge');
    const judged = async (id: string, marks: readonly MarkRecord[]) => {
      await saveJudgement(shop.db, await shop.change(unitId, 'judged'), judgement(id, marks));
      return (await shop.record(unitId)).verdicts.at(-1)?.answer;
    };
    const pit = mark('m1', { depthUm: 12 });
    await judged('seen-1', [pit]);
    await boreCut(shop.db, await shop.change(unitId, 'bore-changed'), 'to size');
    await shop.worker(unitId).gauge('sound', 0.03);
    const [stored] = (await shop.record(unitId)).marks;
    const again = await judged('seen-2', [{ ...stored, depthUm: 12 } as MarkRecord]);
    // Half of the 0.03 mm that came off the diameter is more than the 12 µm that it was deep.
    expect([again?.outcome, again?.toDo[0]?.what, again?.toDo[0]?.text]).toEqual([
      'undecided',
      'look-again',
      'Look at mark m1 again: it was measured before the bore was cut, and should be gone.',
    ]);
    expect((await shop.record(unitId)).marks[0]?.seenAt).toBe(stored?.seenAt);
    expect((await judged('seen-3', [{ ...stored, depthUm: 1, depthUncertaintyUm: 0.5, seenAt: null } as MarkRecord]))?.outcome).toBe(
      'polish',
    );
    expect((await shop.record(unitId)).marks[0]?.seenAt).toBeGreaterThan(stored?.seenAt ?? Infinity);
  });

  test('without a piston diameter nothing can be judged', async () => {
    const unitId = await shop.book();
    const override = { ...done('strip'), override: 'pistons lost' };
    await signOff(shop.db, await shop.change(unitId, 'overridden', PEOPLE.lead), override);
    const work = shop.worker(unitId);
    await work.clean();
    await work.gauge();
    const why = reasons(await saveJudgement(shop.db, await shop.change(unitId, 'judged'), judgement('v8')));
    expect(why).toEqual(['Not every piston has been measured: record its diameter at Strip.']);
  });

  test('a sleeve changes what the bore is made of', async () => {
    const unitId = await at('judge');
    await saveJudgement(shop.db, await shop.change(unitId, 'judged'), judgement('v9', [mark('m1', { depthUm: 90 })]));
    expect(await stationOf(unitId)).toBe('sleeve');
    const promisedAt = START + 5 * 86_400_000;
    const sent = { shop: 'Quayside Boring', material: 'sleeve-brass', wallMm: 4, promisedAt, note: '' } as const;
    expect(reasons(await sendOut(shop.db, await shop.change(unitId, 'sent-out'), sent))).toEqual([
      'It changes price or promise: ask the customer first, at Judge or by a quote.',
    ]);
    await askCustomer(shop.db, await shop.change(unitId, 'asked'), { price: 85, promisedAt, text: 'It needs a sleeve. May we?' });
    expect((await messagesOf(shop.db, 200)).shown[0]?.message.text).toBe('It needs a sleeve. May we?');
    expect(reasons(await sendOut(shop.db, await shop.change(unitId, 'sent-out'), sent))).toEqual([
      'The customer has been asked, and has not said yes yet.',
    ]);
    const [asked] = (await shop.record(unitId)).approvals;
    await answerCustomer(shop.db, await shop.change(unitId, 'answered'), asked?.id as string, 'yes');
    expect((await shop.record(unitId)).unit.dueAt).toBe(promisedAt);
    expect(reasons(await sendOut(shop.db, await shop.change(unitId, 'sent-out'), { ...sent, wallMm: 2.5 }))).toEqual([
      'The wall of 2.5 mm is thinner than the 3 mm that a sleeve needs.',
    ]);
    expect(reasons(await sendOut(shop.db, await shop.change(unitId, 'sent-out'), { ...sent, promisedAt: promisedAt + 1 }))[0]).toMatch(
      /^It would be back after it is promised to the customer/,
    );
    expect(reasons(await sendOut(shop.db, await shop.change(unitId, 'sent-out'), { ...sent, promisedAt: START - 1 }))).toEqual([
      'It cannot have been promised back in the past.',
    ]);
    await sendOut(shop.db, await shop.change(unitId, 'sent-out'), sent);
    const [answer, sleeve] = (await shop.record(unitId)).timers;
    expect([answer?.label, answer?.doneAt === null]).toEqual(['answer from Aldwater Orchards', false]);
    expect([[sleeve?.label, sleeve?.endsAt, sleeve?.doneAt]]).toEqual([['sleeve from Quayside Boring', promisedAt, null]]);
    expect(reasons(await sendOut(shop.db, await shop.change(unitId, 'sent-out'), sent))).toEqual(['It is out already.']);
    await backFromSleeving(shop.db, await shop.change(unitId, 'bore-changed'), 'to size');
    const back = await shop.record(unitId);
    expect([back.unit.station, back.sleevings[0]?.backAt === null, back.timers[1]?.doneAt === null]).toEqual(['gauge', false, false]);
    expect((await shop.record(unitId)).unit.material).toBe('sleeve-brass');
    // The pit was in the metal that is gone.
    expect(back.marks).toEqual([]);
  });
});

describe('kit', () => {
  const stockOf = async (number: string): Promise<number> =>
    (await wholeStore(shop.db, START)).find((k) => k.number === number)?.stock ?? -1;

  test('set aside leaves the shelf, put back returns', async () => {
    const unitId = await at('kit');
    const before = await stockOf('K-132');
    await setAside(shop.db, await shop.change(unitId, 'kit-set-aside'), { articleId: 'art-K-132', qty: 1 });
    expect(await stockOf('K-132')).toBe(before - 1);
    const [aside] = (await shop.record(unitId)).setAside;
    await putBack(shop.db, await shop.change(unitId, 'kit-put-back'), aside?.id ?? '');
    expect(await stockOf('K-132')).toBe(before);
  });

  test('two people take the last one at once: one gets it, the other is told', async () => {
    const units = [
      await at('kit', { family: 'master-tandem', nominalMm: 23.8125 }),
      await at('kit', { family: 'master-tandem', nominalMm: 23.8125 }),
    ];
    expect(await stockOf('K-122')).toBe(1);
    const changes = await Promise.all(units.map((u) => shop.change(u, 'kit-set-aside')));
    const results = await Promise.all(changes.map((c) => setAside(shop.db, c, { articleId: 'art-K-122', qty: 1 })));
    expect(results.filter((r) => r.ok).length).toBe(1);
    expect(reasons(results.find((r) => !r.ok) as Result<unknown, ChangeError>)).toEqual(['K-122 is gone: none on the shelf.']);
    expect(await stockOf('K-122')).toBe(0);
  });

  test('is not complete while a needed part is covered by nothing', async () => {
    const unitId = await at('kit');
    expect(reasons(await signOff(shop.db, await shop.change(unitId, 'signed-off'), done('kit')))).toEqual([
      'No kit has been set aside for this unit.',
    ]);
    await setAside(shop.db, await shop.change(unitId, 'kit-set-aside'), { articleId: 'art-K-132', qty: 1 });
    expect(reasons(await signOff(shop.db, await shop.change(unitId, 'signed-off'), done('kit')))[0]).toMatch(
      /^Nothing set aside covers: left boot, left cup/,
    );
  });

  test('a kit whose parts are in the unit cannot go back to the shelf', async () => {
    const unitId = await at('close-up');
    await shop.worker(unitId).touch();
    await recordPart(shop.db, await shop.change(unitId, 'part-in'), `${unitId}-left-boot`, { goesIn: { piece: 'new', faces: null } });
    const [aside] = (await shop.record(unitId)).setAside;
    expect(reasons(await putBack(shop.db, await shop.change(unitId, 'kit-put-back'), aside?.id ?? ''))).toEqual([
      'Parts of it are in the unit already.',
    ]);
  });
});

describe('prove and release', () => {
  const start = async (unitId: string, stepId = 'hold') => {
    const begun = await shop.change(unitId, 'run-started');
    return { runId: begun.eventId, result: await startRun(shop.db, begun, { runId: begun.eventId, stepId, way: 'rig' }) };
  };
  const newest = async (unitId: string) => runOf(shop.db, (await shop.record(unitId)).runs.at(-1)?.id ?? '');

  test('a leak on the rig holds the unit at Prove, and names the step', async () => {
    const unitId = await at('prove');
    await shop.worker(unitId).prove({ ...SOUND, leakMlPerMinAt80: 0.3 });
    expect(await stationOf(unitId)).toBe('prove');
    expect(reasons(await signOff(shop.db, await shop.change(unitId, 'signed-off'), done('prove')))).toEqual([
      'It failed: hold, 80 bar. Find out why and prove it again.',
    ]);
    const run = await newest(unitId);
    expect([run?.state, run?.outcome, run?.samples.filter((x) => x.phase === 'hold').length]).toEqual(['finished', 'fail', 241]);
  });

  test('an aborted run is kept whole and proves nothing', async () => {
    const unitId = await at('prove');
    const { runId } = await start(unitId);
    const samples = simulate(SOUND, seeded(5)).slice(0, 60);
    const { step } = (await shop.record(unitId)).runs.at(-1) as Run;
    const end = { runId, rig: 'model', state: 'aborted', because: 'let down by Tess', step, samples, analysis: null } as const;
    await endRun(shop.db, await shop.change(unitId, 'run-ended'), end);
    const run = await newest(unitId);
    expect([run?.state, run?.because, run?.outcome, run?.samples.length]).toEqual(['aborted', 'let down by Tess', null, 60]);
    expect(await stationOf(unitId)).toBe('prove');
  });

  test('a run that a stopped server left behind is marked when the next one starts, with what it had', async () => {
    const unitId = await at('prove');
    const { runId } = await start(unitId);
    const samples = simulate(SOUND, seeded(5));
    await keepPiece(shop.db, runId, samples.slice(0, 100));
    await keepPiece(shop.db, runId, samples.slice(100, 180));
    const now = START + 90_000_000;
    expect(await breakLostRuns(shop.db, now)).toBe(1);
    expect(await breakLostRuns(shop.db, now + 1)).toBe(0);
    const run = await newest(unitId);
    expect([run?.state, run?.because, run?.outcome]).toEqual(['interrupted', 'the server stopped during the run', null]);
    expect(run?.samples).toEqual(samples.slice(0, 180));
    expect(run?.sentence).toMatch(/^Held 4\d s from \d+\.\d bar/);
  });

  test('once proved, no later run can slip under the signatures', async () => {
    expect(reasons((await start(await at('release'))).result)).toEqual(['Prove is signed off; a lead can reopen it.']);
  });

  test('two people sign, never the same one twice, and then it is released with a chained certificate', async () => {
    const [first, second] = [await at('release'), await at('release')];
    const sign = async (unitId: string, person: (typeof PEOPLE)[keyof typeof PEOPLE]) =>
      signForRelease(shop.db, await shop.change(unitId, 'signed', person), person);
    await sign(first, PEOPLE.tech);
    expect(reasons(await sign(first, PEOPLE.tech))[0]).toMatch(/Tess has signed already/);
    expect(reasons(await release(shop.db, await shop.change(first, 'released')))).toEqual([
      '1 of 2 signatures; brake parts are signed by two people.',
    ]);
    for (const unitId of [first, second]) {
      await sign(unitId, unitId === first ? PEOPLE.lead : PEOPLE.tech);
      if (unitId === second) await sign(unitId, PEOPLE.owner);
      expect((await release(shop.db, await shop.change(unitId, 'released'))).ok).toBe(true);
    }
    const [one, two] = [await certificateOf(shop.db, first), await certificateOf(shop.db, second)];
    expect([one?.number, one?.previousHash, two?.previousHash]).toEqual([1, '', one?.hash]);
    expect(one?.statement.signatures.map((s) => s.name)).toEqual(['Tess', 'Lena']);
    expect(one?.statement.proved.at(-1)).toMatch(/^Hold, 80 bar: Held .* It holds\.$/);
    expect((await shop.record(first)).unit).toMatchObject({ exit: 'released' });
  });

  test('a released unit is closed to work; reopened and released again, its certificate takes the place of the first', async () => {
    const unitId = await at('release');
    await shop.worker(unitId).release();
    const before = await certificateOf(shop.db, unitId);
    expect(reasons(await startWait(shop.db, await shop.change(unitId, 'wait-started'), { label: 'x', minutes: 1 }))).toEqual([
      'This unit has left the shop: released.',
    ]);
    await reopen(shop.db, await shop.change(unitId, 'reopened', PEOPLE.lead), 'release');
    const { unit, signatures } = await shop.record(unitId);
    expect([unit.exit, unit.station, signatures]).toEqual([null, 'release', []]);
    for (const person of [PEOPLE.lead, PEOPLE.owner]) await signForRelease(shop.db, await shop.change(unitId, 'signed', person), person);
    await release(shop.db, await shop.change(unitId, 'released'));
    const after = await certificateOf(shop.db, unitId);
    expect([after?.supersedes, after?.number]).toEqual([before?.number, (before?.number ?? 0) + 1]);
  });
});

describe('undo and reopen', () => {
  test('takes back one’s own last step, row by row, and marks the event', async () => {
    const unitId = await shop.book();
    const boot = { found: 'present', condition: 'split', fate: 'replaced' } as const;
    await recordPart(shop.db, await shop.change(unitId, 'part-recorded'), `${unitId}-left-boot`, boot);
    const before = await shop.record(unitId);
    await recordPart(shop.db, await shop.change(unitId, 'part-recorded'), `${unitId}-left-boot`, { ...boot, fate: 'binned' });
    expect(undoable(await historyOf(shop.db, unitId), PEOPLE.tech)?.kind).toBe('part-recorded');
    expect((await undoLast(shop.db, await shop.change(unitId, 'undone'))).ok).toBe(true);
    const after = await shop.record(unitId);
    expect(after.tray).toEqual(before.tray);
    expect(after.unit.version).toBe(before.unit.version + 2);
  });

  test('a gauging that is undone is gone, and the unit is back at Gauge', async () => {
    const unitId = await at('judge');
    await undoLast(shop.db, await shop.change(unitId, 'undone'));
    expect([await stationOf(unitId), (await shop.record(unitId)).gaugings]).toEqual(['gauge', []]);
  });

  test('another person’s step is not mine to undo, nor is one that left the shop', async () => {
    const unitId = await at('gauge');
    expect(undoable(await historyOf(shop.db, unitId), PEOPLE.other)).toBeUndefined();
    expect(reasons(await undoLast(shop.db, await shop.change(unitId, 'undone', PEOPLE.other)))[0]).toMatch(/not yours to undo/);
    const fresh = await shop.book();
    expect(undoable(await historyOf(shop.db, fresh), PEOPLE.counter)).toBeUndefined();
  });

  test('a kit put back cannot be taken back once another unit has the last one', async () => {
    const more = { family: 'master-tandem', nominalMm: 23.8125 } as const;
    const [one, two] = [await at('kit', more), await at('kit', more)];
    const store = await wholeStore(shop.db, START);
    const kit = store.find((k) => k.number === 'K-121');
    for (let left = kit?.stock ?? 0; left > 1; left--)
      await setAside(shop.db, await shop.change(await at('kit', more), 'kit-set-aside'), { articleId: 'art-K-121', qty: 1 });
    await setAside(shop.db, await shop.change(one, 'kit-set-aside'), { articleId: 'art-K-121', qty: 1 });
    const [aside] = (await shop.record(one)).setAside;
    await putBack(shop.db, await shop.change(one, 'kit-put-back'), aside?.id ?? '');
    await setAside(shop.db, await shop.change(two, 'kit-set-aside'), { articleId: 'art-K-121', qty: 1 });
    expect(reasons(await undoLast(shop.db, await shop.change(one, 'undone')))[0]).toMatch(/went to another unit/);
  });

  test('reopening takes its own sign-off and all later ones, signatures, and the parts that are in', async () => {
    const unitId = await at('release');
    await signForRelease(shop.db, await shop.change(unitId, 'signed'), PEOPLE.tech);
    await reopen(shop.db, await shop.change(unitId, 'reopened', PEOPLE.lead), 'gauge');
    const { steps, signatures, tray } = await shop.record(unitId);
    expect(steps.map((s) => s.station)).toEqual(['book-in', 'strip', 'clean']);
    expect([signatures, tray.filter((p) => p.goesIn !== null)]).toEqual([[], []]);
  });

  test('reopening at close-up leaves what is in where it is', async () => {
    const unitId = await at('prove');
    await reopen(shop.db, await shop.change(unitId, 'reopened', PEOPLE.lead), 'close-up');
    expect((await shop.record(unitId)).tray.every((p) => p.found === 'absent' || p.goesIn !== null)).toBe(true);
  });

  test('a unit scrapped by mistake comes back to where it stood', async () => {
    const unitId = await shop.book();
    await leave(shop.db, await shop.change(unitId, 'exited', PEOPLE.lead), 'scrapped');
    expect(reasons(await leave(shop.db, await shop.change(unitId, 'exited', PEOPLE.lead), 'returned'))[0]).toMatch(/has left the shop/);
    await reopen(shop.db, await shop.change(unitId, 'reopened', PEOPLE.lead), 'strip');
    expect((await shop.record(unitId)).unit).toMatchObject({ exit: null, station: 'strip' });
  });
});

test('a clock that is set back puts nothing before what was done already', async () => {
  const unitId = await at('judge');
  const early = { at: 1000 };
  const change = async (kind: 'judged' | 'bore-changed' | 'gauged') => shop.change(unitId, kind, PEOPLE.tech, early);
  const pit = {
    id: 'm',
    name: 'm1',
    kind: 'pit',
    x0Mm: 24,
    x1Mm: 24.5,
    clock0Deg: 0,
    clock1Deg: 5,
    depthUm: 12,
    cleaned: true,
    note: '',
    seenAt: null,
  } as const;
  await saveJudgement(shop.db, await change('judged'), { verdictId: `${unitId}-v`, marks: [pit], school: null, wallMm: null });
  await boreCut(shop.db, await change('bore-changed'), '');
  const before = await shop.record(unitId);
  const readings = before.gaugings[0]?.readings ?? [];
  await saveGauging(shop.db, await change('gauged'), { gaugingId: `${unitId}-g`, readings, bodyTempC: null, gaugeTempC: null });
  const after = await shop.record(unitId);
  expect(after.unit.station).toBe('judge');
  expect(after.gaugings.at(-1)?.at).toBeGreaterThan(after.unit.boreChangedAt);
});

test('waits run until they are ended, the next to ring first', async () => {
  const unitId = await shop.book();
  await startWait(shop.db, await shop.change(unitId, 'wait-started'), { label: 'paint, air cure', minutes: 4000 });
  await startWait(shop.db, await shop.change(unitId, 'wait-started'), { label: 'seal soak', minutes: 10 });
  const mine = async () => (await openWaits(shop.db)).filter((w) => w.unitId === unitId).map((w) => w.label);
  expect(await mine()).toEqual(['seal soak', 'paint, air cure']);
  const [paint] = (await shop.record(unitId)).timers;
  await endWait(shop.db, await shop.change(unitId, 'wait-ended'), paint?.id ?? '');
  expect(await mine()).toEqual(['seal soak']);
  expect(reasons(await endWait(shop.db, await shop.change(unitId, 'wait-ended'), 'no such'))).toEqual(['There is no such wait.']);
});

test('only leads and owners override, reopen and scrap', () => {
  const who = (doing: 'override' | 'reopen' | 'exit') =>
    (['technician', 'lead', 'counter', 'owner'] as const).filter((role) => may(role, doing));
  expect([who('override'), who('reopen'), who('exit')]).toEqual([
    ['lead', 'owner'],
    ['lead', 'owner'],
    ['lead', 'owner'],
  ]);
});
