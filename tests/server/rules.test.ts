import { beforeAll, expect, test } from 'vitest';
import { judgedOtherwise } from '@/core/judge/judged-otherwise';
import { EditedRulesSchema } from '@/core/rules/rule-schema';
import { RULE_NAMES, RULES, STANDARD_RULES } from '@/core/rules/rule-set';
import { currentVerdict } from '@/core/unit/facts-of';
import { judgedCases, rulesInForce, ruleVersions, saveRules } from '@/db/rules/rules';
import { leave } from '@/db/unit/sign-off';
import { openShop, PEOPLE, type Shop, START } from './shop';

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});

test('a preview names the units that new rules would judge otherwise, open and past, and changes nothing', async () => {
  const [sound, shallow, gone] = [await shop.at('judge'), await shop.at('judge'), await shop.at('judge')];
  await shop.worker(sound).judge('sound');
  await shop.worker(shallow).judge('shallow');
  await shop.worker(gone).judge('shallow');
  await leave(shop.db, await shop.change(gone, 'exited', PEOPLE.lead), 'returned');
  const cases = await judgedCases(shop.db);
  expect(judgedOtherwise(cases, STANDARD_RULES, {})).toEqual([]);
  // A limit with no room for cutting: what was to be honed needs a sleeve.
  const tight = judgedOtherwise(cases, { ...STANDARD_RULES, clearanceMaxMm: 0.075 }, {});
  const tagNo = async (id: string) => (await shop.record(id)).unit.tagNo;
  expect(tight.map((o) => [o.tagNo, o.from, o.to, o.exit])).toEqual([
    [await tagNo(shallow), 'hone', 'sleeve', null],
    [await tagNo(gone), 'hone', 'sleeve', 'returned'],
  ]);
  expect(currentVerdict(await shop.record(shallow))?.answer.outcome).toBe('hone');
});

test('a new version counts from now on; a judgement that was saved stays, and says what it was made under', async () => {
  const before = await shop.at('judge');
  await shop.worker(before).judge('shallow');
  const after = (await rulesInForce(shop.db)).version;
  const rules = { ...STANDARD_RULES, clearanceMaxMm: 0.075 };
  expect(await saveRules(shop.db, PEOPLE.lead, START + 1000, { after, note: 'a trial', rules, schools: {} })).toEqual({
    version: after + 1,
  });
  const later = await shop.at('judge');
  await shop.worker(later).judge('shallow');
  const verdictOf = async (id: string) => currentVerdict(await shop.record(id))?.answer;
  expect([(await verdictOf(before))?.outcome, (await verdictOf(later))?.outcome]).toEqual(['hone', 'sleeve']);
  expect([(await verdictOf(before))?.limitDiaMm, (await verdictOf(later))?.rulesUsed.clearanceMaxMm]).toEqual([22.31, 0.075]);
  expect((await ruleVersions(shop.db)).map((v) => [v.version, v.by, v.note])).toEqual([
    [after + 1, 'Lena', 'a trial'],
    [after, null, 'As delivered.'],
  ]);
});

test('of two who edit the same version the second is told, and nothing of theirs is kept', async () => {
  const { version } = await rulesInForce(shop.db);
  const entry = { after: version, note: 'mine', rules: STANDARD_RULES, schools: {} };
  const answers = await Promise.all([saveRules(shop.db, PEOPLE.lead, START, entry), saveRules(shop.db, PEOPLE.owner, START, entry)]);
  expect(answers.filter((a) => a === undefined)).toHaveLength(1);
  expect((await rulesInForce(shop.db)).version).toBe(version + 1);
});

test('what is out of range, no number, missing or no window is refused, all of it at once', () => {
  const wrong = { ...STANDARD_RULES, laneMarginMm: -1, toleratedSweptUm: 'five', ovalityLimitMm: null, windowMinMm: 2 };
  const paths = (rules: object) => {
    const read = EditedRulesSchema.safeParse(rules);
    return read.success ? [] : read.error.issues.map((i) => i.path.join('.')).sort();
  };
  expect(paths(wrong)).toEqual(['laneMarginMm', 'ovalityLimitMm', 'toleratedSweptUm']);
  expect(paths({ ...STANDARD_RULES, windowMinMm: 2 })).toEqual(['windowMaxMm']);
  expect(paths({ ...STANDARD_RULES, gapTargetMm: 1.5 })).toEqual(['gapTargetMm']);
  expect(paths({ ...STANDARD_RULES, unheardOf: 1 })).toEqual(['']);
  expect(paths(STANDARD_RULES)).toEqual([]);
  for (const name of RULE_NAMES) expect(paths({ ...STANDARD_RULES, [name]: RULES[name].max + 1e6 })).toContain(name);
});
