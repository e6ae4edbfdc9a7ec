import { beforeAll, describe, expect, test } from 'vitest';
import { stateRelease } from '@/core/release/statement';
import type { Result } from '@/core/result';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import { boresOf, inPot } from '@/core/unit/bores';
import { currentGauging, currentVerdict, factsOf, routeOfUnit } from '@/core/unit/facts-of';
import { potToDo } from '@/core/unit/pot-to-do';
import { namedNeeds } from '@/core/unit/ranked-kits';
import { sayUnit, tagOf } from '@/core/unit/unit-record';
import { answerCustomer, askCustomer } from '@/db/customer/approval';
import { unitOfTag } from '@/db/engine/cached-units';
import { saveGauging } from '@/db/gauge/gauging';
import { logPass } from '@/db/hone/hone';
import { type JudgementEntry, overruleVerdict, saveJudgement } from '@/db/judge/judgement';
import { setMakersLimit } from '@/db/judge/makers-limit';
import { backFromSleeving, sendOut } from '@/db/sleeve/sleeve';
import { tellStep } from '@/db/strip/guide';
import { recordPart } from '@/db/strip/tray';
import { noteAtBench } from '@/db/unit/bench';
import { boreCut, signOff } from '@/db/unit/sign-off';
import { undoLast } from '@/db/unit/undo';
import { demoReadings, trueBore } from '../../devices/hand/bore';
import { seeded } from '../../devices/hand/random';
import { openShop, PEOPLE, type Shop, START } from './shop';

// A caliper half with pots of 42.8625 and 38.1 mm: each is a bore of its own.

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});

const CALIPER = { family: 'caliper-half', nominalMm: 42.8625, morePotsMm: [38.1] } as const;
const reasons = (r: Result<unknown, { readonly code: string }>): readonly string[] =>
  r.ok ? [] : ((r.error as { readonly reasons?: readonly string[] }).reasons ?? [r.error.code]);
const now = async (unitId: string): Promise<string | undefined> =>
  routeOfUnit(await shop.record(unitId)).find((s) => s.state === 'now')?.station;

const gauge = async (unitId: string, pot: number) => {
  const { geometry } = inPot(await shop.record(unitId), pot).unit;
  if (geometry === null) throw new Error('no bore');
  const change = await shop.change(unitId, 'gauged');
  const readings = demoReadings(geometry, trueBore(geometry, 'sound'), seeded(pot));
  return saveGauging(shop.db, change, { gaugingId: change.eventId, pot, readings, bodyTempC: 20, gaugeTempC: 20 });
};
/** Judges a pot with one cleaned pit where its seal rests, of this depth; none where it is 0. */
const judge = async (unitId: string, pot: number, depthUm: number, more: Partial<JudgementEntry> = {}) => {
  const change = await shop.change(unitId, 'judged');
  const rest = inPot(await shop.record(unitId), pot).unit.geometry?.seals[0]?.restXMm ?? 0;
  const pit = {
    id: `${unitId}-${pot}-pit`,
    name: 'm1',
    kind: 'pit',
    x0Mm: rest - 0.3,
    x1Mm: rest + 0.3,
    clock0Deg: 170,
    clock1Deg: 176,
  } as const;
  const marks = depthUm === 0 ? [] : [{ ...pit, depthUm, depthUncertaintyUm: 1, cleaned: true, note: '', seenAt: null }];
  return saveJudgement(shop.db, change, { verdictId: change.eventId, pot, marks, school: null, wallMm: null, ...more });
};
const outcomes = async (unitId: string) => boresOf(await shop.record(unitId)).map((b) => currentVerdict(b.record)?.answer.outcome);

test('is booked in with its pots, and has places for each', async () => {
  const record = await shop.record(await shop.book(CALIPER));
  expect(sayUnit(record)).toBe('Caliper half, 2 pots, ⌀ 1 11/16 in and 1 1/2 in');
  expect(record.tray.map((p) => p.name)).toEqual([
    'dust seal 1',
    'dust seal 2',
    'piston 1',
    'piston 2',
    'pressure seal 1',
    'pressure seal 2',
    'cross-over seal',
    'bleed screw',
    'bleed cap',
  ]);
});

test('one with one pot is as it was', async () => {
  const record = await shop.record(await shop.book({ ...CALIPER, morePotsMm: [] }));
  expect(record.tray.map((p) => p.slotId)).toContain('piston');
  expect(boresOf(record).map((b) => b.record)).toEqual([record]);
});

describe('gauging and judging', () => {
  test('are done when every pot is; each by its own piston and size', async () => {
    const unitId = await shop.at('gauge', CALIPER);
    expect((await gauge(unitId, 1)).ok).toBe(true);
    expect([await now(unitId), potToDo(await shop.record(unitId), 'gauge')]).toEqual(['gauge', 2]);
    expect(
      reasons(await signOff(shop.db, await shop.change(unitId, 'signed-off'), { station: 'gauge', note: '', override: null })),
    ).toEqual(['Pot 2 has not been gauged as it is now.']);
    expect((await gauge(unitId, 2)).ok).toBe(true);
    expect(await now(unitId)).toBe('judge');
    expect((await judge(unitId, 2, 0)).ok).toBe(true);
    expect([await now(unitId), potToDo(await shop.record(unitId), 'judge')]).toEqual(['judge', 1]);
    expect((await judge(unitId, 1, 0)).ok).toBe(true);
    expect(await now(unitId)).toBe('kit');
    // By hand: pistons 0.045 under nominal, clearance 0.20 above 32 mm, cast iron at most 0.15 over nominal.
    const limits = boresOf(await shop.record(unitId)).map((b) => currentVerdict(b.record)?.answer.limitDiaMm ?? 0);
    expect(limits[0]).toBeCloseTo(Math.min(42.8175 + 0.2, 42.8625 + 0.15), 3);
    expect(limits[1]).toBeCloseTo(Math.min(38.055 + 0.2, 38.1 + 0.15), 3);
  });

  test('are refused for a pot that is not there, for readings of another size, and with the marks of another pot', async () => {
    const unitId = await shop.at('judge', CALIPER);
    expect(reasons(await gauge(unitId, 3))).toEqual(['It has no pot 3.']);
    expect(reasons(await judge(unitId, 3, 0))).toEqual(['It has no pot 3.']);
    const change = await shop.change(unitId, 'gauged');
    const ofFirst = {
      gaugingId: change.eventId,
      pot: 2,
      readings: [{ xMm: 10, clockDeg: 0, diaMm: 42.87 }],
      bodyTempC: null,
      gaugeTempC: null,
    };
    expect(reasons(await saveGauging(shop.db, change, ofFirst))[0]).toMatch(/^42\.870 mm is far from the listed bore of 38\.1/);
    expect((await judge(unitId, 1, 8)).ok).toBe(true);
    const { marks } = inPot(await shop.record(unitId), 1);
    expect(reasons(await judge(unitId, 2, 0, { marks }))).toEqual(['A mark of another pot is among them: load the page anew.']);
    expect(inPot(await shop.record(unitId), 2).marks).toEqual([]);
  });

  test('a piston that is thinner in one pot narrows the limit of that pot alone', async () => {
    const unitId = await shop.at('judge', CALIPER);
    const reopened = await shop.record(unitId);
    const second = reopened.tray.find((p) => p.name === 'piston 2');
    await recordPart(shop.db, await shop.change(unitId, 'part-recorded', PEOPLE.lead), second?.id ?? '', { dims: { diaMm: 38.0 } });
    await judge(unitId, 1, 0);
    await judge(unitId, 2, 0);
    const [one, two] = boresOf(await shop.record(unitId)).map((b) => currentVerdict(b.record)?.answer.limitDiaMm ?? 0);
    expect(one).toBeCloseTo(43.0125, 3);
    expect(two).toBeCloseTo(38.2, 6);
  });
});

test('one pot that is scrap is the whole half', async () => {
  const unitId = await shop.at('judge', CALIPER);
  await judge(unitId, 1, 0);
  const change = await shop.change(unitId, 'judged');
  const crack = { id: `${unitId}-crack`, name: 'm1', kind: 'crack', x0Mm: 5, x1Mm: 9, clock0Deg: 0, clock1Deg: 4 } as const;
  const marks = [{ ...crack, cleaned: true, note: '', seenAt: null }];
  expect((await saveJudgement(shop.db, change, { verdictId: change.eventId, pot: 2, marks, school: null, wallMm: null })).ok).toBe(true);
  const { unit } = await shop.record(unitId);
  expect([unit.outcome, unit.station, await now(unitId)]).toEqual(['scrap', 'judge', 'judge']);
});

test('a polished pot is gauged and judged again, the other is not touched; a sleeved one starts clean; undone it is as before', async () => {
  const unitId = await shop.at('judge', CALIPER);
  await judge(unitId, 1, 8);
  await judge(unitId, 2, 85);
  expect([await outcomes(unitId), await now(unitId)]).toEqual([['polish', 'sleeve'], 'hone']);
  const before = await shop.record(unitId);
  const work = { tool: 'paper', drive: 'hand', grit: 600, strokes: 20, strokesPerMin: 60, rpm: 100, bodyTempC: null, note: '' } as const;
  // Nothing is polished before the customer was asked about the sleeve.
  expect(reasons(await logPass(shop.db, await shop.change(unitId, 'pass-logged'), { ...work, beforeMm: 42.87, afterMm: 42.872 }))).toEqual([
    'It changes price or promise: ask the customer first, at Judge or by a quote.',
  ]);
  const asked = await shop.change(unitId, 'asked');
  await askCustomer(shop.db, asked, {
    pot: 2,
    price: 90,
    promisedAt: START + 20 * 86_400_000,
    text: 'One pot needs a sleeve. May we go on?',
  });
  await answerCustomer(shop.db, await shop.change(unitId, 'answered'), asked.eventId, 'yes');
  expect((await logPass(shop.db, await shop.change(unitId, 'pass-logged'), { ...work, pot: 1, beforeMm: 42.87, afterMm: 42.872 })).ok).toBe(
    true,
  );
  expect((await boreCut(shop.db, await shop.change(unitId, 'bore-changed'), 'polished')).ok).toBe(true);
  const cut = await shop.record(unitId);
  expect(boresOf(cut).map((b) => currentGauging(b.record) === undefined)).toEqual([true, false]);
  expect([factsOf(cut).ungauged, potToDo(cut, 'gauge'), cut.unit.morePots]).toEqual([['pot 1'], 1, before.unit.morePots]);
  await undoLast(shop.db, await shop.change(unitId, 'undone'));
  expect((await shop.record(unitId)).unit).toMatchObject({ boreChangedAt: before.unit.boreChangedAt, morePots: before.unit.morePots });
  await boreCut(shop.db, await shop.change(unitId, 'bore-changed'), 'polished');
  await gauge(unitId, 1);
  // The mark was in metal that has been cut: whoever judges has looked again.
  await judge(unitId, 1, 0);
  expect([await outcomes(unitId), await now(unitId)]).toEqual([['reuse', 'sleeve'], 'sleeve']);
  const sent = { shop: 'Quayside Boring', material: 'sleeve-stainless', wallMm: 5, promisedAt: START + 9 * 86_400_000, note: '' } as const;
  expect((await sendOut(shop.db, await shop.change(unitId, 'sent-out'), sent)).ok).toBe(true);
  expect((await shop.record(unitId)).sleevings.map((s) => s.pot)).toEqual([2]);
  expect((await backFromSleeving(shop.db, await shop.change(unitId, 'bore-changed'), '')).ok).toBe(true);
  const back = await shop.record(unitId);
  expect(boresOf(back).map((b) => [b.record.unit.material, b.record.marks.length])).toEqual([
    ['cast-iron', 0],
    ['sleeve-stainless', 0],
  ]);
  expect([factsOf(back).ungauged, factsOf(back).unjudged]).toEqual([['pot 2'], ['pot 2']]);
});

test('a pot that is to be honed does not pass with one that was polished', async () => {
  const unitId = await shop.at('judge', CALIPER);
  await judge(unitId, 1, 8);
  await judge(unitId, 2, 0);
  const over = { pot: 2, outcome: 'hone', targetDiaMm: 38.14, reason: 'rough to the finger' } as const;
  expect((await overruleVerdict(shop.db, await shop.change(unitId, 'overruled', PEOPLE.lead), over)).ok).toBe(true);
  expect([await outcomes(unitId), await now(unitId)]).toEqual([['polish', 'hone'], 'hone']);
  const sign = async () => signOff(shop.db, await shop.change(unitId, 'signed-off'), { station: 'hone', note: 'polished', override: null });
  expect(reasons(await sign())).toEqual(['Pot 2 is to be honed: it is gauged again once it is cut.']);
  const pass = { tool: 'stone', drive: 'press', grit: 400, strokes: 20, strokesPerMin: 60, rpm: 350, bodyTempC: null, note: '' } as const;
  await logPass(shop.db, await shop.change(unitId, 'pass-logged'), { ...pass, pot: 2, beforeMm: 38.12, afterMm: 38.14 });
  expect((await boreCut(shop.db, await shop.change(unitId, 'bore-changed'), 'honed')).ok).toBe(true);
  expect(factsOf(await shop.record(unitId)).ungauged).toEqual(['pot 2']);
  await gauge(unitId, 2);
  await judge(unitId, 2, 0);
  // What pot 1 asked for is still to be done.
  expect([await outcomes(unitId), await now(unitId)]).toEqual([['polish', 'reuse'], 'hone']);
  expect((await sign()).ok).toBe(true);
  expect(await now(unitId)).toBe('kit');
});

test('a maker’s limit holds for the pot that it is of', async () => {
  const unitId = await shop.at('judge', CALIPER);
  const limit = { scope: 'unit', pot: 2, maxDiaMm: 38.12, source: 'manual, page 4' } as const;
  expect((await setMakersLimit(shop.db, await shop.change(unitId, 'limit-set', PEOPLE.lead), limit)).ok).toBe(true);
  await judge(unitId, 1, 0);
  await judge(unitId, 2, 0);
  const limits = boresOf(await shop.record(unitId)).map((b) => currentVerdict(b.record)?.answer.limitDiaMm ?? 0);
  expect([limits[0]?.toFixed(3), limits[1]?.toFixed(3)]).toEqual(['43.012', '38.120']);
});

test('each seal is asked of the store at the size of its pot', async () => {
  const needs = namedNeeds(await shop.record(await shop.at('clean', CALIPER))).filter((n) => n.kind === 'square-seal');
  expect(needs.map((n) => n.dims.boreMm)).toEqual([42.8625, 38.1]);
});

test('all pistons are pumped out together, and the one that stands out least leaves first', async () => {
  const unitId = await shop.book(CALIPER);
  const tell = async (stepId: string, dims = {}) =>
    tellStep(shop.db, await shop.change(unitId, 'step-ticked'), { stepId, outcome: 'done', note: '', dims });
  expect((await tell('pump-out', { standsOut1Mm: 14, standsOut2Mm: 3 })).ok).toBe(true);
  expect((await tell('part-piston-pot2')).ok).toBe(true);
  expect((await shop.record(unitId)).tray.find((p) => p.name === 'piston 2')?.found).toBe('present');
});

test('is closed up once its halves are joined, and released with what each pot came to', async () => {
  const unitId = await shop.at('kit', CALIPER);
  const over = { station: 'kit', note: '', override: 'seals from the drawer' } as const;
  await signOff(shop.db, await shop.change(unitId, 'signed-off', PEOPLE.lead), over);
  const context = { number: 1, at: START, nameOf: (id: string) => id, rules: STANDARD_RULES };
  const work = shop.worker(unitId);
  const joined = {
    kind: 'joined',
    otherTag: 'SQ-0001',
    screws: 4,
    screwsAre: 'new',
    fastened: { how: 'torque', nm: 90, hand: 'right', source: 'manual' },
  } as const;
  const early = await noteAtBench(shop.db, await shop.change(unitId, 'joined'), joined);
  expect(reasons(early)[0]).toMatch(/^Not in yet/i);
  await work.closeUp();
  const own = tagOf((await shop.record(unitId)).unit);
  for (const otherTag of [own, 'SQ-9999'])
    expect(reasons(await noteAtBench(shop.db, await shop.change(unitId, 'joined'), { ...joined, otherTag })).join(' ')).toContain(
      `${otherTag} is not another half of this job`,
    );
  const record = await shop.record(unitId);
  expect([factsOf(record).halves, stateRelease(record, context).work]).toEqual([
    'joined',
    expect.arrayContaining(['Joined with its other half, 4 new screws: tightened to 95 Nm (workshop manual, brakes).']),
  ]);
  const stated = stateRelease(record, context);
  expect([stated.bore?.name, stated.pots?.map((p) => p.name)]).toEqual(['Pot 1', ['Pot 2']]);
  expect(stated.pots?.[0]).toMatchObject({ nominal: '1 1/2 in', pistonDiaMm: 38.055 });
  expect(stated.bore?.pistons).toEqual([{ name: 'piston 1', diaMm: 42.817 }]);
});

test('what was entered wrongly is put right: how many pots, and how large; the page shows it at once', async () => {
  const { correct } = await import('@/db/book-in/correct');
  const unitId = await shop.book({ ...CALIPER, morePotsMm: [] });
  const { job, unit } = await shop.record(unitId);
  await unitOfTag(shop.db, unit.tagNo);
  const entered = {
    ...{
      customer: job.customer,
      phone: job.phone,
      machine: 'Loader',
      promisedAt: job.promisedAt,
      family: unit.family,
      position: unit.position,
    },
    ...{
      nominalMm: 42.8625,
      morePotsMm: [38.1, 34.925],
      material: unit.material,
      complaints: unit.complaints,
      complaintText: '',
      identityMarks: '',
    },
  };
  expect((await correct(shop.db, await shop.change(unitId, 'corrected', PEOPLE.counter), entered)).ok).toBe(true);
  const shown = await unitOfTag(shop.db, unit.tagNo);
  expect([shown?.job.machine, shown?.tray.filter((p) => p.kind === 'piston').map((p) => p.name)]).toEqual([
    'Loader',
    ['piston 1', 'piston 2', 'piston 3'],
  ]);
  expect(shown?.family.slots.filter((s) => s.kind === 'piston').length).toBe(3);
});
