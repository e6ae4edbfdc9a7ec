import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { STANDARD_RULES } from '../rules/rule-set';
import { CALCULATIONS } from './compute';

const example = (name: string): { request: Record<string, unknown>; response: unknown } =>
  JSON.parse(readFileSync(new URL(`../../../docs/contracts/${name}.example.json`, import.meta.url), 'utf8'));

const answer = (name: string, body: unknown) => CALCULATIONS.get(name)?.run(body, STANDARD_RULES);

/** Every path at which two values differ: numbers by more than 1e-6 of their size (or 1e-6), everything else at all. */
const differences = (want: unknown, have: unknown, path = ''): string[] => {
  if (typeof want === 'number' && typeof have === 'number')
    return Math.abs(want - have) <= 1e-6 * Math.max(1, Math.abs(want)) ? [] : [`${path}: ${want} ≠ ${have}`];
  if (typeof want !== 'object' || want === null || typeof have !== 'object' || have === null)
    return want === have ? [] : [`${path}: ${JSON.stringify(want)} ≠ ${JSON.stringify(have)}`];
  const names = new Set([...Object.keys(want), ...Object.keys(have)]);
  return [...names].flatMap((name) =>
    differences((want as Record<string, unknown>)[name], (have as Record<string, unknown>)[name], `${path}.${name}`),
  );
};

describe('worked examples of the contract', () => {
  test.each([...CALCULATIONS.keys()])('%s', async (name) => {
    const { request, response } = example(name);
    const result = await answer(name, request);
    expect(result?.ok).toBe(true);
    const told = differences(response, result?.ok ? result.value : undefined);
    // What is fitted may differ by what another fair computation gives, the leak by no more than its standard error.
    const fitted = /^\.(leakMlPerMin|leakCi\.[01]|seMlPerMin|settledBar|rmsBar):/;
    // Another plan may be as good, and promises are drawn.
    const otherPlan = /^\.(ops\.|units\.|flow:)/;
    const may = name === 'hold-test' ? fitted : name === 'schedule' ? otherPlan : /^$/;
    expect(told.filter((t) => !may.test(t))).toEqual([]);
  });
});

test('the worked hold: what is fitted lies within what another fair computation gives', async () => {
  const { request, response } = example('hold-test') as { request: Record<string, unknown>; response: Record<string, number> };
  const result = await answer('hold-test', request);
  const said = (result?.ok ? result.value : {}) as Record<string, number>;
  const off = (name: string): number => Math.abs((said[name] ?? Number.NaN) - (response[name] ?? Number.NaN));
  expect(off('leakMlPerMin')).toBeLessThan(response.seMlPerMin ?? 0);
  for (const name of ['seMlPerMin', 'settledBar', 'rmsBar']) expect([name, off(name) / (response[name] ?? 1) < 0.1]).toEqual([name, true]);
});

describe('bad requests', () => {
  const paths = async (name: string, change: Record<string, unknown>): Promise<readonly string[]> => {
    const result = await answer(name, { ...example(name).request, ...change });
    return result === undefined || result.ok ? [] : result.error.map((p) => p.path);
  };

  test('everything wrong is listed at once, by path', async () => {
    const readings = [
      { xMm: '9', clockDeg: 0, diaMm: 20.6 },
      { xMm: 9, clockDeg: true, diaMm: -1 },
    ];
    expect(await paths('gauge', { readings, material: 'wood', rules: { gaugeRepeatability: 1 } })).toEqual([
      'readings[0].xMm',
      'readings[1].clockDeg',
      'readings[1].diaMm',
      'material',
      'rules.gaugeRepeatability',
    ]);
  });

  test('a mark that ends before it starts is told beside its other faults', async () => {
    const marks = [
      { id: 'a', kind: 'hole', x0Mm: 5, x1Mm: 4, clock0Deg: 0, clock1Deg: 1, cleaned: true },
      { id: 'a', kind: 'pit', x0Mm: 5, x1Mm: 6, clock0Deg: 0, clock1Deg: 1, cleaned: 'yes' },
    ];
    expect([...(await paths('judge', { marks, pistonDiaMm: null }))].sort()).toEqual([
      'marks[0].kind',
      'marks[0].x1Mm',
      'marks[1].cleaned',
      'marks[1].id',
      'pistonDiaMm',
    ]);
  });

  test('extra fields pass at the top only', async () => {
    expect(await paths('stack-check', { note: 'bench 2' })).toEqual([]);
    expect(await paths('stack-check', { fitted: [{ id: 'a', slot: 'boot', note: '' }] })).toEqual(['fitted[0].note']);
  });

  test('chambers of a seal must be neighbours, the open one first', async () => {
    const seal = (between: readonly string[]) => ({ id: between.join(), kind: 'cup', between, faces: null });
    const seals = [seal(['feed', 'outside']), seal(['outside', 'pressure']), seal(['outside', 'feed']), seal(['feed', 'sump'])];
    expect(await paths('stack-check', { seals })).toEqual(['seals[0].between', 'seals[1].between', 'seals[3].between']);
  });

  test('a trace must run forward without holes, long enough', async () => {
    const trace = Array.from({ length: 24 }, (_, i) => ({ tS: i, pBar: 50 - i / 100 }));
    trace[4] = { tS: 3, pBar: 50 };
    expect(await paths('hold-test', { trace })).toEqual(['trace[4].tS']);
    expect(await paths('hold-test', { trace: trace.map((s, i) => ({ ...s, tS: i < 12 ? i : i + 7 })) })).toEqual(['trace[12].tS']);
    expect(await paths('hold-test', { trace: trace.map((s, i) => ({ ...s, tS: i / 10 })) })).toEqual(['trace']);
  });

  test.each([null, [], 'text', 7])('a body that is no object is refused whole: %j', async (body) => {
    const result = await answer('gauge', body);
    expect(result?.ok === false && result.error.map((p) => p.path)).toEqual(['']);
  });
});
