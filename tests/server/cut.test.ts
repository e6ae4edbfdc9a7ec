import { beforeAll, describe, expect, test } from 'vitest';
import { FAMILIES } from '@/core/family/families';
import { cutsOfPasses, offBy, simulation } from '@/core/hone/simulation';
import { cautionsAt } from '@/core/route/cautions';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import { routeOfUnit } from '@/core/unit/facts-of';
import { gaugedSets } from '@/core/unit/gauged-before';
import { lastCut } from '@/core/unit/last-cut';
import { answerCustomer, askCustomer } from '@/db/customer/approval';
import { messagesOf } from '@/db/customer/outbox';
import { logPass } from '@/db/hone/hone';
import { historyOf } from '@/db/unit/history';
import { boreMapSvg, profileSvg } from '@/papers/bore-svg';
import { openShop, type Shop, START } from './shop';

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});

/** A unit whose bore was pitted in a lane, honed, gauged and judged again. */
const honed = async (): Promise<string> => {
  const unitId = await shop.at('judge');
  const work = shop.worker(unitId);
  await work.judge('pitted');
  await work.hone('pitted');
  return unitId;
};

describe('a cut that was made', () => {
  test('is held against the model: the bore before, its passes, and what was gauged after', async () => {
    const record = await shop.record(await honed());
    const cut = lastCut(record, STANDARD_RULES);
    expect(cut?.passes.length).toBeGreaterThan(1);
    const mean = (s: readonly { readonly meanMm: number }[]): number => s.reduce((sum, x) => sum + x.meanMm, 0) / s.length;
    expect(mean(cut?.after ?? [])).toBeGreaterThan(mean(cut?.before ?? []));
    const { lengthMm } = record.unit.geometry as NonNullable<typeof record.unit.geometry>;
    const stroke = { stoneLengthMm: 25, overrunMm: 25 / 3, strokeMm: lengthMm + 50 / 3 - 25 };
    const cuts = cutsOfPasses(cut?.passes ?? []);
    const stations = cut?.before ?? [];
    const narrowest = { atMm: stations.map((s) => s.xMm), mm: cut?.passes.at(-1)?.afterMm ?? 0 };
    const last = [...simulation({ stations, lengthMm, stroke, shortShare: 0, cuts, narrowest }, 50)].at(-1);
    expect(last?.strokes).toBe(cut?.passes.reduce((sum, p) => sum + p.strokes, 0));
    // The demo's gauge has a noise of 1.2 µm, and stones cut where the model says to a few more.
    expect(offBy(cut?.after ?? [], last?.profile as NonNullable<typeof last>['profile'])).toBeLessThan(0.012);
  });

  test('is none before it is gauged again, nor where nothing was cut', async () => {
    const sound = await shop.at('kit');
    expect(lastCut(await shop.record(sound), STANDARD_RULES)).toBeUndefined();
    const record = await shop.record(await honed());
    const newest = record.gaugings.at(-1);
    const ungauged = { ...record, gaugings: record.gaugings.filter((g) => g.id !== newest?.id) };
    expect(lastCut(ungauged, STANDARD_RULES)).toBeUndefined();
  });

  test('leaves every gauging to be laid over the next', async () => {
    const record = await shop.record(await honed());
    const sets = gaugedSets(record, STANDARD_RULES);
    expect(sets.map((s) => s.at)).toEqual(record.gaugings.map((g) => g.at));
    expect(gaugedSets(record, STANDARD_RULES, record.gaugings.at(-1)).map((s) => s.at)).toEqual([record.gaugings[0]?.at]);
    const { geometry } = record.unit;
    const profile = await profileSvg(record, geometry as NonNullable<typeof geometry>, STANDARD_RULES);
    expect(profile?.match(/<title>gauged /g)).toHaveLength(1);
  });

  test('shows on the map on paper: every mark by name, in true millimetres', async () => {
    const record = await shop.record(await honed());
    const { geometry } = record.unit;
    const svg = await boreMapSvg(record, geometry as NonNullable<typeof geometry>, STANDARD_RULES);
    for (const m of record.marks) expect(svg).toContain(`>${m.name}</text>`);
    const [, mm, px] = /width="([\d.]+)mm".*?viewBox="0 0 (\d+)/.exec(svg) ?? [];
    // The plot is 768 of the drawing's 830 units.
    expect((Number(mm) * 768) / Number(px)).toBeCloseTo(geometry?.lengthMm ?? 0, 6);
  });
});

describe('the customer', () => {
  const question = { price: 0, promisedAt: START + 9 * 86_400_000, text: 'It has to be honed. May we go on?' };
  const refusals = (result: Awaited<ReturnType<typeof askCustomer>>) =>
    result.ok || result.error.code !== 'refused' ? [] : result.error.reasons;

  test('is asked once for one save, and answers once; until the yes nothing is cut', async () => {
    const unitId = await shop.at('judge');
    await shop.worker(unitId).judge('pitted');
    const pass = {
      tool: 'stone',
      drive: 'press',
      grit: 220,
      strokes: 10,
      strokesPerMin: 60,
      rpm: 350,
      beforeMm: 22.24,
      afterMm: 22.25,
      bodyTempC: null,
      note: '',
    } as const;
    const asking = await shop.change(unitId, 'asked');
    await askCustomer(shop.db, asking, question);
    await askCustomer(shop.db, asking, question);
    expect((await messagesOf(shop.db, 200)).shown.filter((m) => m.message.text === question.text)).toHaveLength(1);
    const waiting = await logPass(shop.db, await shop.change(unitId, 'pass-logged'), pass);
    expect(refusals(waiting)).toEqual(['The customer has been asked, and has not said yes yet.']);
    expect(routeOfUnit(await shop.record(unitId)).find((s) => s.station === 'hone')).toMatchObject({
      state: 'now',
      why: [{ stands: 'waiting' }],
    });
    await answerCustomer(shop.db, await shop.change(unitId, 'answered'), asking.eventId, 'yes');
    const again = await answerCustomer(shop.db, await shop.change(unitId, 'answered'), asking.eventId, 'no');
    expect(refusals(again)).toEqual(['It was answered: yes.']);
    expect((await logPass(shop.db, await shop.change(unitId, 'pass-logged'), pass)).ok).toBe(true);
    const { unit, timers } = await shop.record(unitId);
    expect([unit.dueAt, timers.every((t) => t.doneAt !== null)]).toEqual([question.promisedAt, true]);
    expect((await historyOf(shop.db, unitId)).map((h) => h.kind).slice(0, 3)).toEqual(['pass-logged', 'answered', 'asked']);
  });

  test('who says no stops it, and the promise stays', async () => {
    const unitId = await shop.at('judge');
    await shop.worker(unitId).judge('pitted');
    const due = (await shop.record(unitId)).unit.dueAt;
    const asking = await shop.change(unitId, 'asked');
    await askCustomer(shop.db, asking, question);
    await answerCustomer(shop.db, await shop.change(unitId, 'answered'), asking.eventId, 'no');
    expect((await shop.record(unitId)).unit.dueAt).toBe(due);
    const stop = routeOfUnit(await shop.record(unitId)).find((s) => s.station === 'hone');
    expect(stop).toMatchObject({ state: 'now', why: [{ code: 'approval', stands: 'no' }] });
  });

  test('is not asked about a bore that nobody has judged', async () => {
    const unitId = await shop.at('judge');
    expect(refusals(await askCustomer(shop.db, await shop.change(unitId, 'asked'), question))).toEqual([
      'There is no judgement to ask about.',
    ]);
  });
});

test('stones are kept off a bottom only where there is one', () => {
  expect(cautionsAt('hone', FAMILIES['master-single'])).toContain('Blind end: keep the stone off the bottom.');
  expect(cautionsAt('hone', FAMILIES['wheel-double'])).toEqual(cautionsAt('hone', FAMILIES['master-single']).slice(0, -1));
  expect(cautionsAt('book-in', FAMILIES['master-single'])).toEqual([]);
  expect(cautionsAt('prove', FAMILIES.booster).join()).not.toMatch(/bar/);
});
