import { eq } from 'drizzle-orm';
import { beforeAll, describe, expect, test } from 'vitest';
import { stateRelease } from '@/core/release/statement';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import { currentVerdict, routeOfUnit } from '@/core/unit/facts-of';
import { type OverruleEntry, overruleVerdict } from '@/db/judge/judgement';
import { verdicts } from '@/db/tables';
import { undoLast } from '@/db/unit/undo';
import { openShop, PEOPLE, type Shop } from './shop';

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});

const judged = async (story: 'sound' | 'shallow'): Promise<string> => {
  const unitId = await shop.at('judge');
  await shop.worker(unitId).judge(story);
  return unitId;
};
const overrule = async (unitId: string, over: Partial<OverruleEntry>) =>
  overruleVerdict(shop.db, await shop.change(unitId, 'overruled', PEOPLE.lead), {
    outcome: 'reuse',
    targetDiaMm: null,
    reason: 'the mark is casting grain, seen under the glass',
    ...over,
  });
const answerOf = async (unitId: string) => currentVerdict(await shop.record(unitId));

describe('a lead decides against a judgement', () => {
  test('the unit follows the lead; what was computed stays in the database, word for word', async () => {
    const unitId = await judged('shallow');
    const [before] = await shop.db.select().from(verdicts).where(eq(verdicts.unitId, unitId));
    expect(await overrule(unitId, {})).toMatchObject({ ok: true });
    const record = await shop.record(unitId);
    expect([record.unit.station, record.unit.outcome, record.unit.targetDiaMm]).toEqual(['kit', 'reuse', null]);
    expect(routeOfUnit(record).find((s) => s.station === 'hone')).toMatchObject({ state: 'skipped' });
    const [after] = await shop.db.select().from(verdicts).where(eq(verdicts.unitId, unitId));
    expect(after).toEqual({
      ...before,
      overrule: { outcome: 'reuse', targetDiaMm: null, reason: expect.any(String), personId: 'lena', at: expect.any(Number) },
    });
    expect((await answerOf(unitId))?.answer.reasons[0]).toMatch(
      /^Decided by a lead: reuse\. Reason: the mark is casting grain, seen under the glass\. Computed was: hone to 22\.\d{3} mm\.$/,
    );
  });

  test('to a cut of its own, which Hone then works to', async () => {
    const unitId = await judged('sound');
    await overrule(unitId, { outcome: 'hone', targetDiaMm: 22.265, reason: 'cleaned up while it is here' });
    const record = await shop.record(unitId);
    expect([record.unit.station, record.unit.targetDiaMm]).toEqual(['hone', 22.265]);
    await shop.worker(unitId).cut();
    expect((await shop.record(unitId)).passes.at(-1)?.afterMm).toBeCloseTo(22.265, 2);
  });

  test('stands on the certificate beside the arithmetic', async () => {
    const unitId = await judged('shallow');
    await overrule(unitId, {});
    const statement = stateRelease(await shop.record(unitId), {
      number: 1,
      at: 0,
      nameOf: () => 'Lena',
      rules: STANDARD_RULES,
    });
    expect(statement.bore?.verdict[0]).toContain('Decided by a lead');
    expect(statement.bore?.verdict.length).toBeGreaterThan(1);
  });

  test('is taken back by undo, and the judgement counts again', async () => {
    const unitId = await judged('shallow');
    await overrule(unitId, {});
    await undoLast(shop.db, await shop.change(unitId, 'undone', PEOPLE.lead));
    expect(await answerOf(unitId)).toMatchObject({ overrule: null, answer: { outcome: 'hone' } });
    expect((await shop.record(unitId)).unit.station).toBe('hone');
  });

  test('is refused where there is nothing to decide on, and once the unit is past it', async () => {
    for (const station of ['judge', 'close-up', 'prove'] as const)
      expect(await overrule(await shop.at(station), {})).toMatchObject({ ok: false, error: { code: 'refused' } });
  });
});
