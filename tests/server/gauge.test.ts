import { beforeAll, describe, expect, test, vi } from 'vitest';
import { POST } from '@/app/api/v1/devices/[id]/readings/route';
import type { SentReading } from '@/core/gauge/sent-reading';
import { saveGauging } from '@/db/gauge/gauging';
import { addInstrument, checkRing, checksOf, instruments, newToken, retireInstrument } from '@/db/gauge/instruments';
import { saveJudgement } from '@/db/judge/judgement';
import { makersLimitOf, setMakersLimit } from '@/db/judge/makers-limit';
import { layPhoto } from '@/db/judge/underlay';
import { addPhoto } from '@/db/unit/photos';
import { followGauge } from '@/ports/gauge-line';
import { drawPhoto } from '../../devices/hand/photo';
import { seeded } from '../../devices/hand/random';
import { openShop, PEOPLE, type Shop, START } from './shop';

const DAY = 86_400_000;
const readings = [0, 45, 90].flatMap((clockDeg) => [5, 15, 25].map((xMm) => ({ xMm, clockDeg, diaMm: 22.23 })));
let shop: Shop;
const gaugeId = 'gauge-1';
beforeAll(async () => {
  shop = await openShop();
});
const gauge = async (unitId: string, person: (typeof PEOPLE)[keyof typeof PEOPLE], more: object) => {
  const change = await shop.change(unitId, 'gauged', person, { at: START + 40 * DAY });
  const result = await saveGauging(shop.db, change, { gaugingId: change.eventId, readings, bodyTempC: null, gaugeTempC: null, ...more });
  return result.ok ? 'saved' : result.error.code === 'refused' ? result.error.reasons : result.error.code;
};

describe('a reading that cannot be', () => {
  test('far from the listed bore, or outside what the gauge measures, is refused with what to do', async () => {
    const unitId = await shop.at('gauge');
    const slip = (diaMm: number) => gauge(unitId, PEOPLE.tech, { readings: [...readings, { xMm: 30, clockDeg: 0, diaMm }] });
    for (const diaMm of [2.223, 12.22, 25.23])
      expect(await slip(diaMm)).toEqual([
        `${diaMm.toFixed(3)} mm is far from the listed bore of 22.225: read it again; if the list is wrong, it is corrected at Book in.`,
      ]);
    await addInstrument(shop.db, { id: 'three', name: 'Three-point', fromMm: 22, toMm: 22.2 }, START);
    expect(await gauge(unitId, PEOPLE.lead, { instrumentId: 'three', override: 'no other here' })).toEqual([
      '22.230 mm is outside what Three-point measures, 22 to 22.2 mm: take another gauge.',
    ]);
    await retireInstrument(shop.db, 'three', START);
  });
});

describe('a gauge on record', () => {
  test('is named, checked on its ring, and refused when that is overdue or off; a lead may pass over it', async () => {
    const unitId = await shop.at('gauge');
    const dial = { id: gaugeId, name: 'Dial bore gauge 1', fromMm: 18, toMm: 35 };
    expect([await addInstrument(shop.db, dial, START), await addInstrument(shop.db, dial, START)]).toEqual([true, true]);
    expect(await addInstrument(shop.db, { ...dial, id: 'another' }, START)).toBe(false);
    expect(await gauge(unitId, PEOPLE.tech, {})).toEqual(['Say which gauge it was.']);
    const never = 'Dial bore gauge 1 has never been held against its setting ring: check it first.';
    expect(await gauge(unitId, PEOPLE.tech, { instrumentId: gaugeId })).toEqual([never]);
    const check = { checkId: 'c1', instrumentId: gaugeId, ringMm: 22.225, readMm: 22.226 };
    await checkRing(shop.db, PEOPLE.tech, START + DAY, check);
    await checkRing(shop.db, PEOPLE.tech, START + DAY, check);
    expect((await checksOf(shop.db, gaugeId)).map((c) => [c.by, c.readMm])).toEqual([['Tess', 22.226]]);
    const overdue = 'Dial bore gauge 1 was last held against its ring 39 days ago; 30 are allowed. Check it first.';
    expect(await gauge(unitId, PEOPLE.tech, { instrumentId: gaugeId })).toEqual([overdue]);
    expect(await gauge(unitId, PEOPLE.tech, { instrumentId: gaugeId, override: 'the ring is out' })).toEqual([
      overdue,
      'Only a lead may gauge with it as it is.',
    ]);
    expect(await gauge(unitId, PEOPLE.lead, { instrumentId: gaugeId, override: 'the ring is out' })).toBe('saved');
    const { gaugings, steps } = await shop.record(unitId);
    expect([gaugings[0]?.instrumentId, gaugings[0]?.override]).toEqual([gaugeId, 'the ring is out']);
    expect(steps.find((s) => s.station === 'gauge')).toMatchObject({ override: 'the ring is out', unmet: [overdue] });
  });

  test('off its ring by more than the rule is set anew first', async () => {
    const unitId = await shop.at('gauge');
    await checkRing(shop.db, PEOPLE.tech, START + 39 * DAY, { checkId: 'c2', instrumentId: gaugeId, ringMm: 22.225, readMm: 22.231 });
    expect(await gauge(unitId, PEOPLE.tech, { instrumentId: gaugeId })).toEqual([
      'Dial bore gauge 1 was 6.0 µm off its ring; 4 are allowed. Set it anew and check it.',
    ]);
    await checkRing(shop.db, PEOPLE.tech, START + 39.5 * DAY, { checkId: 'c3', instrumentId: gaugeId, ringMm: 22.225, readMm: 22.225 });
    expect(await gauge(unitId, PEOPLE.tech, { instrumentId: gaugeId })).toBe('saved');
  });
});

describe('a gauge that posts', () => {
  const post = (id: string, token: string | undefined, body: unknown): Promise<Response> =>
    POST(
      new Request('http://shop/', {
        method: 'POST',
        headers: token === undefined ? {} : { authorization: `Bearer ${token}` },
        body: typeof body === 'string' ? body : JSON.stringify(body),
      }),
      { params: Promise.resolve({ id }) },
    );

  test('is heard by the grid that is open with it; without one, or without its token, it is told', async () => {
    const token = await newToken(shop.db, gaugeId);
    const one = { readings: [{ diaMm: 22.231, xMm: 5, clockDeg: 90 }] };
    expect((await post(gaugeId, undefined, one)).status).toBe(401);
    expect((await post(gaugeId, 'another', one)).status).toBe(401);
    expect((await post('no-such-gauge', token, one)).status).toBe(401);
    expect((await post(gaugeId, token, '{')).status).toBe(400);
    const wrong = await post(gaugeId, token, { readings: [{ diaMm: -1 }, { diaMm: '22' }] });
    expect([wrong.status, ((await wrong.json()) as { errors: unknown[] }).errors.length]).toEqual([422, 2]);
    expect((await post(gaugeId, token, one)).status).toBe(409);
    const heard = vi.fn<(readings: readonly SentReading[]) => void>();
    const leave = followGauge(gaugeId, heard);
    expect((await post(gaugeId, token, one)).status).toBe(202);
    expect(heard).toHaveBeenCalledWith(one.readings);
    leave();
    expect((await post(gaugeId, token, one)).status).toBe(409);
    const newer = await newToken(shop.db, gaugeId);
    expect((await post(gaugeId, token, one)).status).toBe(401);
    await retireInstrument(shop.db, gaugeId, START);
    expect((await post(gaugeId, newer, one)).status).toBe(401);
    expect(await instruments(shop.db)).toEqual([]);
  });
});

describe('a maker’s limit', () => {
  const judged = async (unitId: string) => {
    const change = await shop.change(unitId, 'judged');
    await saveJudgement(shop.db, change, { verdictId: change.eventId, marks: [], school: null, wallMm: null });
    return (await shop.record(unitId)).verdicts.at(-1)?.answer;
  };
  const limit = async (unitId: string, entry: Parameters<typeof setMakersLimit>[2]) =>
    setMakersLimit(shop.db, await shop.change(unitId, 'limit-set', PEOPLE.lead), entry);

  test('of a fitment holds for its units, of a unit goes before it, and is named in the reasons; taken back, the shop’s holds', async () => {
    const machine = { machine: 'Harbour crane', position: 'front left' };
    const [first, second, other] = [await shop.at('judge', machine), await shop.at('judge', machine), await shop.at('judge')];
    const usual = (await judged(other))?.limitDiaMm;
    const now = async (unitId: string) => (await makersLimitOf(shop.db, await shop.record(unitId)))?.maxDiaMm ?? null;
    await limit(first, { scope: 'fitment', maxDiaMm: 22.3, source: 'Crane manual, 4.2' });
    const answer = await judged(second);
    expect(answer?.limitDiaMm).toBe(22.3);
    expect(answer?.reasons).toContain("The limit of 22.300 mm is the maker's: Crane manual, 4.2.");
    await limit(second, { scope: 'unit', maxDiaMm: 22.24, source: 'Letter of the maker' });
    expect([await now(first), await now(second), await now(other)]).toEqual([22.3, 22.24, null]);
    await limit(second, { scope: 'unit', maxDiaMm: null, source: 'a mistake' });
    expect(await now(second)).toBe(22.3);
    await limit(first, { scope: 'fitment', maxDiaMm: null, source: 'for another casting' });
    expect(await now(second)).toBeNull();
    expect((await judged(first))?.limitDiaMm).toBe(usual);
  });
});

test('a photo is laid under the map only if it is the unit’s own, and taken away again', async () => {
  const unitId = await shop.at('judge');
  const points = [0, 1, 2, 3].map((i) => ({ u: i / 4, v: i / 4, xMm: i, clockDeg: i }));
  const wall = { kind: 'wall', points } as const;
  const change = () => shop.change(unitId, 'photo-laid');
  expect((await layPhoto(shop.db, await change(), { photoId: 'another’s', lies: wall })).ok).toBe(false);
  const taken = await shop.change(unitId, 'photo-added');
  const bytes = await drawPhoto('bore', seeded(1));
  await addPhoto(shop.db, taken, { caption: '', bytes, on: { kind: 'unit', id: unitId }, phase: 'out' });
  const photoId = taken.eventId;
  await layPhoto(shop.db, await change(), { photoId, lies: wall });
  expect((await shop.record(unitId)).underlays[0]).toMatchObject({ photoId, lies: wall });
  const ring = { u: 0.5, v: 0.4, ru: 0.3, rv: 0.31 };
  const down = {
    kind: 'down-bore',
    from: 'open-end',
    mouth: ring,
    deep: { ...ring, ru: 0.1, rv: 0.1 },
    deepMm: 40,
    twelveDeg: -20,
  } as const;
  await layPhoto(shop.db, await change(), { photoId, lies: down });
  expect((await shop.record(unitId)).underlays[0]?.lies).toEqual(down);
  await layPhoto(shop.db, await change(), null);
  expect((await shop.record(unitId)).underlays[0]).toBeUndefined();
});
