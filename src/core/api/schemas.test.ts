import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { z } from 'zod';
import { RulesSchema } from '../rules/rule-schema';
import { RULE_NAMES, RULES, STANDARD_RULES, withRules } from '../rules/rule-set';
import { crossCheck, entriesOf, fieldOf } from '../schema/cross-check';
import { pathOf, problemsOf } from '../schema/problems';
import { uniqueIds } from '../schema/unique';
import { saySaveError } from '../unit/save-error';
import { CALCULATIONS } from './compute';
import { openApiDocument } from './openapi';

const wrong = async (name: string, body: unknown): Promise<readonly (readonly [string, string])[]> => {
  const result = await CALCULATIONS.get(name)?.run(body, STANDARD_RULES);
  if (result === undefined || result.ok) throw new Error('it was not refused');
  return result.error.map((p) => [p.path, p.message] as const);
};

describe('problems', async () => {
  test.each([
    [[], ''],
    [['readings', 0, 'diaMm'], 'readings[0].diaMm'],
    [['a', 'b', 3, 4], 'a.b[3][4]'],
    [[2, 'x'], '[2].x'],
  ])('%j is told as %s', (path, text) => expect(pathOf(path)).toBe(text));

  test('unknown fields are told one by one, at their own path', () => {
    const parsed = z.strictObject({ a: z.number() }).safeParse({ a: 1, b: 2, c: 3 });
    expect(parsed.success ? [] : problemsOf(parsed.error).map((p) => p.path)).toEqual(['b', 'c']);
  });

  test('a check across fields also runs when single fields are wrong, and on values of any form', () => {
    const schema = crossCheck(z.object({ from: z.number(), to: z.number() }), (value, report) => {
      if (fieldOf(value, 'from') === 9) report(['to'], 'not after nine');
    });
    const parsed = schema.safeParse({ from: 9, to: 'x' });
    expect(parsed.success ? [] : problemsOf(parsed.error).map((p) => p.path)).toEqual(['to', 'to']);
    expect(schema.safeParse(null).success).toBe(false);
    expect([entriesOf('x'), entriesOf([1, { a: 2 }, null]), fieldOf(7, 'a')]).toEqual([[], [{}, { a: 2 }, {}], undefined]);
  });

  test('an id that comes twice is told at the second', () => {
    const parsed = uniqueIds(z.array(z.object({ id: z.string() }))).safeParse([{ id: 'a' }, { id: 'b' }, { id: 'a' }]);
    expect(parsed.success ? [] : problemsOf(parsed.error)).toEqual([{ path: '[2].id', message: 'the id "a" comes twice' }]);
  });
});

describe('lists that may be left out', () => {
  test.each(['stack-check', 'kit-match'])('count as empty: %s', async (name) => {
    const { request } = JSON.parse(readFileSync(new URL(`../../../docs/contracts/${name}.example.json`, import.meta.url), 'utf8'));
    const optional = ['slots', 'removed', 'fitted', 'sundries'];
    const without = Object.fromEntries(Object.entries(request).filter(([key]) => !optional.includes(key)));
    const empty = { ...without, ...Object.fromEntries(optional.filter((key) => key in request).map((key) => [key, []])) };
    const [left, given] = [
      await CALCULATIONS.get(name)?.run(without, STANDARD_RULES),
      await CALCULATIONS.get(name)?.run(empty, STANDARD_RULES),
    ];
    expect(left?.ok).toBe(true);
    expect(left).toEqual(given);
  });
  test('rules of any chapter are taken everywhere; an unknown grit is told beside every other fault', async () => {
    const { request } = JSON.parse(readFileSync(new URL('../../../docs/contracts/air-check.example.json', import.meta.url), 'utf8'));
    expect(
      (await CALCULATIONS.get('air-check')?.run({ ...request, rules: { laneMarginMm: 2, spreadBoreMm: 0.1 } }, STANDARD_RULES))?.ok,
    ).toBe(true);
    const hone = JSON.parse(readFileSync(new URL('../../../docs/contracts/hone-plan.example.json', import.meta.url), 'utf8')).request;
    const passes = [{ ...hone.passes[0], grit: 321, strokes: -1 }];
    expect((await wrong('hone-plan', { ...hone, passes, rpm: 0 })).map(([path]) => path).sort()).toEqual([
      'passes[0].grit',
      'passes[0].strokes',
      'rpm',
    ]);
  });
});

describe('requests that are refused', () => {
  const hold = (times: readonly number[], more = {}) => ({
    trace: times.map((tS) => ({ tS, pBar: 80 })),
    complianceMlPerBar: 0.05,
    ...more,
  });
  const steady = Array.from({ length: 30 }, (_, i) => i);

  test('a hold whose clock stands still, runs back, or has a gap, each at its sample', async () => {
    const times = [...steady];
    times[5] = 4;
    times[20] = 40;
    expect((await wrong('hold-test', hold(times))).map(([path]) => path)).toEqual(['trace[5].tS', 'trace[20].tS', 'trace[21].tS']);
    const gap = steady.map((t) => (t > 10 ? t + 6 : t));
    expect(await wrong('hold-test', hold(gap))).toEqual([['trace[11].tS', 'a gap of 7 s, more than 5 times the usual step of 1 s']]);
  });

  test('a hold that is too short in time or samples', async () => {
    expect(await wrong('hold-test', hold(steady.map((t) => t / 5)))).toEqual([['trace', 'the hold must last 10 s at least']]);
    expect((await wrong('hold-test', hold(steady.slice(0, 19)))).length).toBe(1);
  });

  test('a fill at one pressure only', async () => {
    const fill = [
      { mlIn: 0, pBar: 0 },
      { mlIn: 1, pBar: 5 },
      { mlIn: 2, pBar: 5 },
    ];
    expect(await wrong('air-check', { fill })).toEqual([['fill', 'needs two distinct pressures above 0']]);
  });

  test('seals between chambers that are not neighbours, or in the wrong order', async () => {
    const chambers = ['a', 'b', 'c'].map((id) => ({ id, pressure: 'none' }));
    const seal = (id: string, between: readonly string[]) => ({ id, kind: 'cup', between });
    const seals = [seal('1', ['a', 'c']), seal('2', ['b', 'a']), seal('3', ['a', 'x']), seal('4', ['b', 'c'])];
    expect(await wrong('stack-check', { chambers, seals, removed: [], fitted: [] })).toEqual([
      ['seals[0].between', 'a and c are not neighbours'],
      ['seals[1].between', 'the chamber on the open-end side comes first'],
      ['seals[2].between', 'no such chamber: x'],
    ]);
  });

  test('dimensions that are no dimensions', async () => {
    const dims = { boreMm: '19', odMm: -1, thread: 10, note: true };
    const paths = (
      await wrong('kit-match', { needs: [{ id: 'n', kind: 'cup', qty: 1, dims, policy: 'replace' }], kits: [], sundries: [] })
    ).map((p) => p[0]);
    expect(paths.sort()).toEqual(['needs[0].dims.boreMm', 'needs[0].dims.note', 'needs[0].dims.odMm', 'needs[0].dims.thread']);
  });

  test.each(['1', true, Number.NaN, Number.POSITIVE_INFINITY, 1e12, null])('a diameter of %j is not coerced', async (diaMm) => {
    const readings = [{ xMm: 1, clockDeg: 0, diaMm }];
    expect((await wrong('gauge', { readings, material: 'alloy' })).map((p) => p[0])).toEqual(['readings[0].diaMm']);
  });

  test.each([...CALCULATIONS.keys()])('%s: an unknown rule, and a known one out of its range', async (name) => {
    const paths = (await wrong(name, { rules: { noSuchRule: 1, laneMarginMm: -1 } })).map((p) => p[0]);
    expect(paths).toEqual(expect.arrayContaining(['rules.noSuchRule', 'rules.laneMarginMm']));
  });
});

describe('rules', () => {
  test('the standard set is sound, and every rule says why', () => {
    expect(RulesSchema.parse(STANDARD_RULES)).toEqual(STANDARD_RULES);
    for (const name of RULE_NAMES) {
      expect(RULES[name].why).toMatch(/\.$/);
      expect(RULES[name].label).not.toBe('');
      expect(RULES[name].min).toBeLessThan(RULES[name].max);
    }
  });

  test('a request’s own go before the shop’s; null and absent leave them', () => {
    const shop = { ...STANDARD_RULES, airMaxMl: 0.5 };
    expect(withRules(shop, { airMaxMl: 0.2, cleanUpUm: null })).toEqual({ ...shop, airMaxMl: 0.2 });
    expect(withRules(shop, null)).toEqual(shop);
  });

  test('a stored set from before a rule takes its standard; one rule too many is refused', () => {
    const { airMaxMl: _, ...lacking } = STANDARD_RULES;
    expect(RulesSchema.parse(lacking)).toEqual(STANDARD_RULES);
    expect(RulesSchema.safeParse({ ...STANDARD_RULES, extra: 1 }).success).toBe(false);
  });
});

test('the document names every calculation, its refusals and its token', () => {
  const document = openApiDocument();
  const calculations = [...CALCULATIONS.keys()].map((n) => `/api/v1/compute/${n}`);
  expect(Object.keys(document.paths ?? {})).toEqual([
    '/api/v1/devices/{id}/readings',
    '/api/v1/units',
    '/api/v1/units/{tag}',
    '/api/v1/events',
    ...calculations,
  ]);
  const post = document.paths?.['/api/v1/compute/judge']?.post;
  expect(Object.keys(post?.responses ?? {})).toEqual(['200', '400', '401', '422']);
  expect(document.security).toEqual([{ token: [] }]);
});

describe('why something was not saved, in words', () => {
  test.each<[Parameters<typeof saySaveError>[0], string]>([
    [{ code: 'signed-out' }, 'You are signed out. Sign in again in another tab; what you typed stays here.'],
    [{ code: 'forbidden' }, 'Your role may not do this.'],
    [{ code: 'no-such-unit' }, 'There is no such unit.'],
    [{ code: 'refused', reasons: ['First: Strip.'] }, 'First: Strip.'],
    [{ code: 'invalid', problems: [{ path: 'machine', message: 'what is it off?' }] }, 'Machine: what is it off?'],
    [{ code: 'invalid', problems: [{ path: '', message: 'is not JSON' }] }, 'Is not JSON.'],
    [{ code: 'invalid', problems: [{ path: 'readings[2].diaMm', message: 'is missing' }] }, 'Diameter, row 3, is missing.'],
    [
      { code: 'invalid', problems: [{ path: 'nominalMm', message: 'a bore is 8 to 80 mm' }] },
      'Bore as cast or listed: a bore is 8 to 80 mm.',
    ],
    [{ code: 'invalid', problems: [{ path: 'data.before.longMm', message: 'must be above 0 mm' }] }, 'Hole, longest must be above 0 mm.'],
    [{ code: 'storage', message: 'the disk is full.' }, 'Not saved: the disk is full.'],
  ])('%j', (error, text) => expect(saySaveError(error)).toEqual([text]));
});
