import { eq } from 'drizzle-orm';
import { beforeAll, describe, expect, test } from 'vitest';
import { currentVerdict } from '@/core/unit/facts-of';
import { logPass, type NewPass, ratesFor } from '@/db/hone/hone';
import { honePasses } from '@/db/tables';
import { boreCut } from '@/db/unit/sign-off';
import { undoLast } from '@/db/unit/undo';
import { openShop, PEOPLE, type Shop } from './shop';

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});

/** A unit whose bore is to be cut. */
const toCut = async (): Promise<string> => {
  const unitId = await shop.at('judge');
  await shop.worker(unitId).judge('shallow');
  expect(currentVerdict(await shop.record(unitId))?.answer.outcome).toBe('hone');
  return unitId;
};
const PASS: NewPass = {
  tool: 'stone',
  drive: 'press',
  grit: 220,
  strokes: 12,
  strokesPerMin: 60,
  rpm: 350,
  beforeMm: 22.236,
  afterMm: 22.242,
  bodyTempC: null,
  note: '',
};
const log = async (unitId: string, more: Partial<NewPass> = {}) =>
  logPass(shop.db, await shop.change(unitId, 'pass-logged', PEOPLE.tech, { version: null }), { ...PASS, ...more });

describe('a pass over the bore', () => {
  test('that was measured warm is kept as it is at 20 °C: warm metal reads wide of itself', async () => {
    const unitId = await toCut();
    expect((await log(unitId, { afterMm: 22.259, bodyTempC: 52 })).ok).toBe(true);
    const { passes, unit } = await shop.record(unitId);
    const perK = unit.material === 'cast-iron' ? 10.8e-6 : 23e-6;
    expect(passes.at(-1)).toMatchObject({ bodyTempC: 52, afterMm: expect.closeTo(22.259 * (1 - 32 * perK), 9) as number });
  });

  test('is kept with who, when and what it cut; sent twice it is there once', async () => {
    const unitId = await toCut();
    const change = await shop.change(unitId, 'pass-logged', PEOPLE.tech, { version: null });
    const answers = [await logPass(shop.db, change, PASS), await logPass(shop.db, change, PASS)];
    expect(answers[0]).toEqual(answers[1]);
    expect((await shop.record(unitId)).passes).toMatchObject([{ ...PASS, personId: 'tess', id: change.eventId }]);
    const rows = await shop.db.select().from(honePasses).where(eq(honePasses.unitId, unitId));
    expect(rows.map((r) => r.material)).toEqual(['cast-iron']);
  });

  test('does not clash with what somebody else did meanwhile, and is taken back by undo', async () => {
    const unitId = await toCut();
    await log(unitId);
    await log(unitId, { beforeMm: 22.242, afterMm: 22.247 });
    expect((await shop.record(unitId)).passes.map((p) => p.afterMm)).toEqual([22.242, 22.247]);
    await undoLast(shop.db, await shop.change(unitId, 'undone'));
    expect((await shop.record(unitId)).passes.map((p) => p.afterMm)).toEqual([22.242]);
  });

  test('is refused before its turn and after it, and leaves nothing', async () => {
    const early = await shop.at('judge');
    expect(await log(early)).toMatchObject({ ok: false, error: { code: 'refused' } });
    const done = await toCut();
    await boreCut(shop.db, await shop.change(done, 'bore-changed'), '220');
    expect(await log(done)).toMatchObject({ ok: false, error: { code: 'refused' } });
    expect([(await shop.record(early)).passes, (await shop.record(done)).passes]).toEqual([[], []]);
  });

  test('the shop learns from its stones, by material, and not from beads or paper', async () => {
    const unitId = await toCut();
    const before = (await ratesFor(shop.db, 'cast-iron', unitId)).all;
    await log(unitId, { grit: 400, strokes: 24, beforeMm: 22.25, afterMm: 22.255 });
    await log(unitId, { grit: 400, tool: 'bead', beforeMm: 22.255, afterMm: 22.3 });
    const { all: after, others } = await ratesFor(shop.db, 'cast-iron', unitId);
    expect(others).toEqual(before);
    expect(after.find((r) => r.grit === 400)?.passes).toBe((before.find((r) => r.grit === 400)?.passes ?? 0) + 1);
    expect(after.find((r) => r.grit === 400)?.umPer100Turns).toBeCloseTo(5 / 1.4, 6);
    expect((await ratesFor(shop.db, 'sleeve-brass', unitId)).all).toEqual([]);
  });
});

test('a unit is cut as the plan says until it is on size, gauged again, and found fit', async () => {
  const unitId = await toCut();
  await shop.worker(unitId).hone('shallow');
  const record = await shop.record(unitId);
  expect(record.passes.length).toBeGreaterThan(2);
  expect(record.passes.at(-1)?.afterMm).toBeCloseTo(record.verdicts[0]?.answer.targetDiaMm ?? 0, 2);
  expect(record.steps.find((s) => s.station === 'hone')?.note).toMatch(/stone hone \d+: \d+ strokes.*; 22\.\d{3} to 22\.\d{3} mm/);
  expect(['reuse', 'polish']).toContain(currentVerdict(record)?.answer.outcome);
});
