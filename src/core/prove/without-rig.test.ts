import { describe, expect, test } from 'vitest';
import { type Random, seeded } from '../../../devices/hand/random';
import { simulate, simulateStep } from '../../../devices/hand/rig-trace';
import { leakAt, SOUND, type Truth } from '../../../devices/rig/chamber';
import { readTrace, writeTrace } from '../../csv/trace-csv';
import { wheelDouble } from '../family/anatomy/wheel-double';
import { STANDARD_RULES } from '../rules/rule-set';
import { fillPressures, goneReadings, goneTimes, holdReadings, readingTimes, readOn } from './by-hand';
import { portAnalysis, residualAnalysis } from './gone-analysis';
import { FINE, type HoldAnalysis, type HoldContext, holdAnalysis, type ReadTo } from './hold-analysis';
import { type LoggedRow, loggedSamples, partsOf, writtenTo } from './logged';
import { newStep } from './programme/new-step';
import type { RunStep, StepOf } from './programme/step';
import { ReadRunSchema } from './read-run-schema';
import type { RigSample } from './rig-sample';
import { analyseRun, fallsShort } from './run-analysis';
import { traceWindow } from './trace';

const LIMIT = STANDARD_RULES.limitMlPerMin;
const hold = newStep(wheelDouble, 'hold', 'hold') as StepOf<'hold'>;
const port = newStep(wheelDouble, 'port', 'port') as StepOf<'port'>;
const residual = newStep(wheelDouble, 'residual', 'residual') as StepOf<'residual'>;

const BY_RIG: HoldContext = { limitMlPerMin: LIMIT, stepBar: 80, rules: STANDARD_RULES, readTo: FINE, way: 'rig' };
const byHand = (readTo: ReadTo): HoldContext => ({ ...BY_RIG, readTo, way: 'by-hand' });
/** A person at a hand pump and a dial: a real run, read at the asked times and rounded to half of a division. */
const readByEye = (truth: Truth, random: Random, divisionBar: number): readonly RigSample[] => {
  const samples = simulate(truth, random, { noiseBar: 0.01, stays: 0, stepBar: 0.001 }, { ...hold, targetBar: 80, holdS: 121 });
  const [filling, holding] = [samples.filter((s) => s.phase === 'fill'), samples.filter((s) => s.phase === 'hold')];
  const dial = (p: number): number => Math.round(p / (divisionBar / 2)) * (divisionBar / 2);
  const at = <T>(list: readonly T[], found: (x: T) => boolean): T => list.find(found) ?? (list.at(-1) as T);
  const fill = fillPressures(80).map((bar) => {
    const s = at(filling, (x) => x.p >= bar);
    return { ml: Math.round(s.ml * 20) / 20, bar: dial(s.p) };
  });
  const t0 = holding[0]?.t ?? 0;
  const held = readingTimes(120).map((tS) => ({ tS, bar: dial(at(holding, (x) => x.t - t0 >= tS - 1e-6).p) }));
  return holdReadings(hold, fill, held);
};
const byEye = (truth: Truth, seed: number, divisionBar = 0.5): HoldAnalysis | undefined =>
  holdAnalysis(readByEye(truth, seeded(seed), divisionBar), byHand({ bar: divisionBar / 2, ml: 0.05 }));

describe('by hand pump and dial', () => {
  test('it is read often enough for the fit, and not faster than a person reads', () => {
    expect([readingTimes(120).length, readingTimes(120)[1], readingTimes(120).at(-1)]).toEqual([21, 6, 120]);
    expect([readingTimes(15)[1], readingTimes(15).at(-1)]).toEqual([3, 60]);
  });

  test('a hold that goes on is read as often as before, for so long at least', () => {
    const times = readingTimes(120);
    expect(readOn(times, 0)).toEqual(times);
    expect(readOn(times, 50).slice(20)).toEqual([120, 126, 132, 138, 144, 150, 156, 162, 168, 174]);
  });

  test.each([
    ['as its step asks', {}, {}, undefined],
    ['half as long', {}, { holdS: 58 }, /^This was [78]\d(\.\d)? bar for 5\d s; its programme asks for 80 bar for 120 s\.$/],
    ['at half the pressure', {}, { targetBar: 40 }, /^This was (39|40)(\.\d)? bar for 12[01] s/],
    ['half as long, and leaking', { leakMlPerMinAt80: 0.4 }, { holdS: 58 }, undefined],
  ] as const)('a hold %s: whether it falls short of its step', (_, truth, held, words) => {
    const samples = simulate({ ...SOUND, ...truth }, seeded(3), undefined, held);
    const a = holdAnalysis(samples, BY_RIG) as HoldAnalysis;
    const short = fallsShort({ ...hold, targetBar: 80, holdS: 120 }, samples, a);
    expect(short === undefined ? undefined : words?.test(short)).toBe(words === undefined ? undefined : true);
  });
  test('a first reading that was late makes a hold by eye no shorter', () => {
    const fill = fillPressures(80).map((bar) => ({ ml: 0.05 * bar, bar }));
    const held = readingTimes(120).map((tS) => ({ tS: Math.max(tS, 10 + tS / 1e3), bar: 80 - tS / 240 }));
    const samples = holdReadings({ rampS: 9 }, fill, held);
    const a = holdAnalysis(samples, byHand({ bar: 0.1, ml: 0.05 })) as HoldAnalysis;
    expect([Math.round(a.heldS), fallsShort({ ...hold, targetBar: 80, holdS: 120 }, samples, a)]).toEqual([110, undefined]);
  });
  test('a rod let go at too little pressure proves no port; one that is shut at less is shut', () => {
    const short = (from: number, after: number) => {
      const samples = goneReadings(from, [{ tS: 1, bar: after }]);
      const a = portAnalysis(samples, port, 0);
      return a === undefined ? undefined : fallsShort(port, samples, a);
    };
    expect([short(10, 0), short(3, 0), short(3, 3)]).toEqual([undefined, 'This was 3 bar; its programme asks for 10 bar.', undefined]);
  });

  test('the same unit says the same, and its interval is wider and says why', () => {
    const [rig, eye] = [holdAnalysis(simulate(SOUND, seeded(3)), BY_RIG), byEye(SOUND, 3)] as [HoldAnalysis, HoldAnalysis];
    const width = (a: HoldAnalysis): number => a.leakCi[1] - a.leakCi[0];
    expect(width(eye)).toBeGreaterThan(1.5 * width(rig));
    expect(eye.leakCi[0] <= 0.008 && eye.leakCi[1] >= 0.008).toBe(true);
    expect(eye.sentence).toMatch(/Read to 0\.25 bar, which alone widens the interval by ±0\.0\d\d ml\/min\.$/);
    expect(rig.readTo).toBeNull();
  });

  test('over seeded units none of twice the limit passes, none of a third fails, and the truth lies in most intervals', () => {
    const random = seeded(31);
    const counts = { wrongPass: 0, wrongFail: 0, covered: 0, all: 0 };
    for (let i = 0; i < 120; i++) {
      const truth: Truth = {
        ...SOUND,
        airMl: random.next(),
        settleBar: random.pick([0.3, 1, 2.5]),
        settleTauS: random.pick([4, 10, 25]),
        leakMlPerMinAt80: (LIMIT * 5 * i) / 119,
        law: random.pick(['groove', 'port']),
      };
      const analysis = byEye(truth, i + 1, random.pick([0.5, 1, 2]));
      if (analysis === undefined) continue;
      const leak = leakAt(truth, analysis.fit?.atBar ?? 0);
      counts.all += 1;
      if (leak >= 2 * LIMIT && analysis.outcome === 'pass') counts.wrongPass += 1;
      if (leak <= 0.3 * LIMIT && analysis.outcome === 'fail') counts.wrongFail += 1;
      if (analysis.leakCi[0] <= leak && leak <= analysis.leakCi[1]) counts.covered += 1;
    }
    expect([counts.wrongPass, counts.wrongFail]).toEqual([0, 0]);
    expect(counts.all).toBeGreaterThan(110);
    expect(counts.covered / counts.all).toBeGreaterThan(0.92);
  }, 60_000);

  test('readings that all say the same are not believed to the last figure', () => {
    const fill = fillPressures(80).map((bar) => ({ ml: bar * 0.05 + 0.08, bar }));
    const flat = readingTimes(60).map((tS) => ({ tS, bar: 80 }));
    const analysis = holdAnalysis(holdReadings(hold, fill, flat), byHand({ bar: 2, ml: 0.1 }));
    expect(analysis?.outcome).toBe('hold-longer');
    expect((analysis?.leakCi[1] ?? 0) - (analysis?.leakCi[0] ?? 0)).toBeGreaterThan(LIMIT);
  });
});

describe('once the rod was let go', () => {
  const truths: readonly (readonly [string, Partial<Truth>, RunStep, string, RegExp])[] = [
    ['an open port', {}, port, 'pass', /gone in 0\.[4-9] s: the port is open/],
    ['a blocked port', { portBlocked: true }, port, 'fail', /bar stayed: the port is shut/],
    ['a valve in order', { residualBar: 0.9 }, residual, 'pass', /keeps 0\.(8|9)\d bar 60 s after it was let go: it is in order/],
    ['a valve that keeps nothing', {}, residual, 'fail', /at least 0\.4: it loses its pressure/],
    ['a valve behind a shut port', { portBlocked: true, residualBar: 0.9 }, residual, 'fail', /would drag/],
    ['a valve that keeps too much', { residualBar: 2.2 }, residual, 'fail', /at most 1\.5: the brakes would drag/],
  ];
  test.each(truths)('%s', (_, truth, step, outcome, words) => {
    const samples = simulateStep(step, { ...SOUND, ...truth }, seeded(4));
    const analysis = analyseRun(step, samples, { rules: STANDARD_RULES, keptBar: 0, readTo: FINE, way: 'rig' });
    expect([analysis?.outcome, words.test(analysis?.sentence ?? '')]).toEqual([outcome, true]);
  });
  test('behind a residual valve the port is open when what the valve keeps is all that is left', () => {
    const samples = simulateStep(port, { ...SOUND, residualBar: 1 }, seeded(4));
    expect([portAnalysis(samples, port, 0)?.outcome, portAnalysis(samples, port, 1.5)?.outcome]).toEqual(['fail', 'pass']);
  });
  test('by hand: the gauge before and after', () => {
    expect(portAnalysis(goneReadings(10, [{ tS: 1, bar: 0 }]), port, 0)).toMatchObject({ outcome: 'pass', goneInS: 1, fromBar: 10 });
    expect(portAnalysis(goneReadings(10, [{ tS: 1, bar: 6 }]), port, 0)).toMatchObject({ outcome: 'fail', goneInS: null });
    expect([goneTimes(port), goneTimes(residual)]).toEqual([[1], [5, 60]]);
  });
  test.each([
    [1, 0.9, 'pass', /in order/],
    [1.6, 1.4, 'fail', /falls slowly, as past a shut port/],
    [6, 0.6, 'fail', /6\.00 bar after 5 s: it falls slowly/],
    [1.4, 0.6, 'fail', /1\.40 bar after 5 s: it is still falling/],
    [0.4, 0.3, 'fail', /loses its pressure/],
    [7, 6.8, 'fail', /would drag/],
  ] as const)('a residual valve that shows %d bar soon and %d bar at the end: %s', (soon, end, outcome, words) => {
    const readings = [soon, end].map((bar, i) => ({ tS: goneTimes(residual)[i] ?? 0, bar }));
    expect(residualAnalysis(goneReadings(10, readings), residual)).toMatchObject({
      outcome,
      soonBar: soon,
      keptBar: end,
      sentence: expect.stringMatching(words),
    });
  });
  test('a rod that was not let go says nothing yet', () => {
    const pressed = simulate(SOUND, seeded(1), undefined, { holdS: 1 });
    expect([portAnalysis(pressed, port, 0), residualAnalysis(pressed, residual)]).toEqual([undefined, undefined]);
  });
});

describe('a logger', () => {
  const bore = 22.225;
  const area = (Math.PI / 4) * bore ** 2;
  /** A run as a logger writes it: with the rod's stroke, a let-down at its end. */
  const rowsOf = (samples: readonly RigSample[], more: (s: RigSample) => Partial<LoggedRow> = () => ({})): readonly LoggedRow[] => {
    const rows = samples.map((s): LoggedRow => ({ tS: s.t, pBar: s.p, strokeMm: null, ml: null, tempC: null, ...more(s) }));
    const last = rows.at(-1) as LoggedRow;
    return [...rows, ...[1, 2, 3].map((i) => ({ ...last, tS: last.tS + i, pBar: last.pBar / 4 ** i }))];
  };
  const run = simulate({ ...SOUND, leakMlPerMinAt80: 0.2 }, seeded(8));
  const stroked = rowsOf(run, (s) => ({ strokeMm: (s.ml * 1000) / area + 4, tempC: 21.4 }));

  test('the hold is found between its highest pressure and its letting down', () => {
    const { shut, open } = partsOf(stroked);
    expect([stroked[shut]?.pBar ?? 0, stroked.length - open]).toEqual([Math.max(...stroked.map((r) => r.pBar)), 3]);
    expect(writtenTo(stroked)).toBe(0.001);
    expect(writtenTo(stroked.map((r) => ({ ...r, pBar: 80 })))).toBe(0);
  });

  test('a rod that moved in a known bore tells how much fluid went in: the leak is as the rig finds it', () => {
    const samples = loggedSamples(hold, stroked, { boreMm: bore, fill: [] }) ?? [];
    const [logged, rig] = [holdAnalysis(samples, BY_RIG), holdAnalysis(run, BY_RIG)];
    expect(logged?.outcome).toBe('fail');
    expect(logged?.leakMlPerMin).toBeCloseTo(rig?.leakMlPerMin ?? 0, 2);
    expect(logged?.complianceMlPerBar).toBeCloseTo(0.05, 2);
    expect(logged?.warming?.kPerMin).toBeCloseTo(0, 6);
  });

  test('without stroke or fluid it takes readings on the way up, and without those says nothing', () => {
    const rows = rowsOf(run);
    expect(loggedSamples(hold, rows, { boreMm: bore, fill: [] })).toBeUndefined();
    const fill = fillPressures(80).map((bar) => ({ ml: bar * 0.05 + (0.08 * bar) / (bar + 1.013), bar }));
    const analysis = holdAnalysis(loggedSamples(hold, rows, { boreMm: null, fill }) ?? [], BY_RIG);
    expect(analysis?.leakMlPerMin).toBeCloseTo(0.2, 1);
    expect(loggedSamples(hold, [], { boreMm: null, fill })).toBeUndefined();
  });

  test('a time without samples is told', () => {
    const gapped = run.filter((s) => s.phase !== 'hold' || s.t < 40 || s.t > 62);
    expect(holdAnalysis(gapped, BY_RIG)?.sentence).toMatch(/For 2[23] s nothing was measured\./);
    expect(holdAnalysis(run, BY_RIG)?.gapS).toBeNull();
  });

  test('a run goes out as a file and comes back as it was', () => {
    const text = writeTrace(run, ['unit SQ-0412', 'step hold\nover two lines']);
    expect(text.split('\r\n').slice(0, 3)).toEqual(['# unit SQ-0412', '# step hold over two lines', 'tS,pBar,ml,tempC,phase']);
    const read = readTrace(text);
    const back = read.ok ? (loggedSamples(hold, read.value.rows, { boreMm: null, fill: [] }) ?? []) : [];
    const [a, b] = [holdAnalysis(back, BY_RIG), holdAnalysis(run, BY_RIG)];
    expect(a?.leakMlPerMin).toBeCloseTo(b?.leakMlPerMin ?? 0, 2);
    expect(ReadRunSchema.safeParse({ samples: back, readTo: { bar: 0.001, ml: 0 } }).success).toBe(true);
  });

  test('semicolons, decimal commas, psi and comments are understood', () => {
    const read = readTrace('# logger 4\n#\ntS;pPsi;tempC\n0;0;21,5\n0,5;145,04;21,6\n');
    expect(read.ok && read.value.rows.map((r) => [r.tS, Number(r.pBar.toFixed(2)), r.tempC, r.strokeMm])).toEqual([
      [0, 0, 21.5, null],
      [0.5, 10, 21.6, null],
    ]);
  });

  test.each<[string, string, readonly (readonly [number, string])[]]>([
    ['no pressure', 'tS,bar\n0,1', [[1, 'pBar or pPsi or pMPa or pKPa']]],
    [
      'no number, and time backward',
      '# a\ntS,pBar\n0,x\n2,5\n1,900\n',
      [
        [3, 'pBar'],
        [5, 'tS'],
        [5, 'pBar'],
      ],
    ],
    ['nothing', 'tS,pBar\n', [[2, '']]],
  ])('%s: everything wrong with it, by line and column', (_, text, faults) => {
    const read = readTrace(text);
    expect(read.ok ? [] : read.error.map((e) => [e.line, e.column])).toEqual(faults);
  });

  test('a run that is sent runs forward in time', () => {
    const sample = { p: 5, ml: 1, phase: 'hold' };
    const read = ReadRunSchema.safeParse({
      samples: [
        { ...sample, t: 2 },
        { ...sample, t: 2 },
      ],
      readTo: { bar: 1, ml: 0 },
    });
    expect(read.error?.issues.map((i) => [i.path.join('.'), i.message])).toEqual([['samples', 'time repeats or runs backward']]);
  });
});

describe('what a picture of a run shows', () => {
  const samples = simulateStep(port, SOUND, seeded(2));
  const before = (phase: RigSample['phase']) => samples.slice(0, samples.findIndex((s) => s.phase === phase) + 1);
  test('the way up, then the hold, then what became of it once it was let go', () => {
    expect(traceWindow(before('fill').slice(0, 1), port).of).toBe('fill');
    expect(traceWindow(samples, port)).toMatchObject({ of: 'gone' });
    expect(traceWindow(simulate(SOUND, seeded(2), undefined, { holdS: 40 }), { ...hold, holdS: 120 })).toMatchObject({
      of: 'hold',
      spanS: 120,
    });
    const cycling = [{ t: 0.1, p: 40, ml: 0, phase: 'cycle' as const }];
    expect(traceWindow(cycling, newStep(wheelDouble, 'cycles', 'c') as RunStep).of).toBe('cycle');
  });
});
