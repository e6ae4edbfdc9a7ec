import { type Column, columnOf, dot, fitPair, lagOne, type Pair, withinBounds } from './leak-pair';
import { type KeptFit, type Leak, leakClock, SETTLING, type Settling } from './leak-shapes';
import type { TracePoint } from './trace';
import { type Elastic, mlPerBarAt, volumeAt } from './volume';

/** The mean flow of a hold, ml/min, over all that settling and leak may have been; and the likeliest of them, to draw. */
export type AveragedLeak = {
  readonly leakMlPerMin: number;
  readonly seMlPerMin: number;
  /** Settled by the end, bar. */
  readonly settledBar: number;
  /** Most of the likelihood settles with τ above a third of the hold. */
  readonly stillSettling: boolean;
  readonly rmsBar: number;
  readonly best: KeptFit;
};

/** More samples are averaged in blocks: it costs little of what they say. */
const MOST_BLOCKS = 150;
const SHORTEST_TAU_S = 1;
const TAUS = 12;
/** Rounds of looking closer at a time of settling, and how many more are tried in each. */
const [ROUNDS, CLOSER] = [3, 4];
/** Onsets of a late leak, as shares of the hold. */
const ONSETS = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9];
/** Where a late leak is the likeliest, more of them about it, as far as its neighbours. */
const CLOSER_ONSETS = [-0.08, -0.06, -0.04, -0.02, 0.02, 0.04, 0.06, 0.08];
/** No gauge is quieter, bar. */
const QUIETEST_BAR = 1e-6;

type Settles = { readonly settling: Settling; readonly tauS: number | null };
type Fitted = {
  readonly pair: Pair;
  readonly at: Settles;
  readonly leak: Leak;
  readonly leaking: Column;
  readonly settling: Column | undefined;
};
/** A fit, and the share of its shape's times that it stands for. */
type Model = { readonly fit: Fitted; readonly share: number };

/**
 * The leak of a hold by averaging over what settling may look like (amplitude at the end 0 to `mostBar`) and over what a leak may follow,
 * each by its likelihood with the effective number of samples. Given both shapes the model is linear in level, amplitude and flow.
 * @param trace 5 samples or more, time rising
 * @param mostBar what settling takes at most by the end, bar
 * @param readSeBar 1σ of a reading where it is known: readings that agree better are not believed to
 * @returns flow at whatever pressure the hold had, + when it loses
 * @source design, chapter 9; Hoeting et al., Bayesian Model Averaging, 1999
 */
export const averageLeak = (trace: readonly TracePoint[], elastic: Elastic, mostBar: number, readSeBar = 0): AveragedLeak => {
  const points = inBlocks(trace);
  const startS = points[0]?.tS ?? 0;
  const spanS = (points.at(-1)?.tS ?? 0) - startS;
  // In ml, each sample divided by what a bar is worth at its pressure: its noise is then the gauge's own, bar.
  const worth = points.map((s) => mlPerBarAt(elastic, s.pBar));
  const levelled = withoutLevel(worth.map((w) => 1 / w));
  const perWorth = (values: readonly number[]): readonly number[] => levelled(values.map((v, i) => v / (worth[i] as number)));
  const y = perWorth(points.map((s) => volumeAt(elastic, s.pBar)));
  const yy = dot(y, y);
  const modelsOf = (onsets: readonly number[]): readonly Model[] => {
    const leaks = leaksOf(spanS, onsets).map((leak) => ({ leak, column: columnOf(perWorth(leakClock(points, leak)), y) }));
    const fitAll = (s: Settles): readonly Fitted[] => {
      const column = s.tauS === null ? undefined : columnOf(levelled(settledBy(points, s)), y);
      return leaks.map(({ leak, column: leaking }) => ({
        pair: fitPair(yy, leaking, column, mostBar),
        at: s,
        leak,
        leaking,
        settling: column,
      }));
    };
    const still = fitAll({ settling: 'none', tauS: null }).map((fit) => ({ fit, share: 1 }));
    return [...still, ...SETTLES.flatMap((settling) => overTaus(settling, spanS, fitAll))];
  };
  const likeliest = (of: readonly Model[]): Fitted => of.reduce((a, b) => (b.fit.pair.ssr < a.fit.pair.ssr ? b : a)).fit;
  const coarse = modelsOf(ONSETS);
  const { leak: first } = likeliest(coarse);
  const onsets = first.law === 'late' ? closerOnsets(first.onsetS / spanS) : ONSETS;
  const models = onsets === ONSETS ? coarse : modelsOf(onsets);
  // Every shape is as likely before the readings speak, and so is every one of its times.
  const expected = ({ fit, share }: Model): number => share * (fit.leak.law === 'late' ? stretchOf(onsets, fit.leak.onsetS / spanS) : 1);
  const best = likeliest(models);
  const { flow: bestFlow, amplitude, ssr } = best.pair;
  const left = y.map((v, i) => v + bestFlow * (best.leaking.values[i] as number) + amplitude * (best.settling?.values[i] ?? 0));
  const rho = lagOne(left);
  const noise = (Math.max(ssr / Math.max(1, points.length - 4), readSeBar ** 2, QUIETEST_BAR ** 2) * (1 + rho)) / (1 - rho);
  const weights = models.map((m) => expected(m) * Math.exp(-(m.fit.pair.ssr - ssr) / (2 * noise)));
  const all = weights.reduce((a, b) => a + b, 0);
  const spreads = models.map((m) => withinBounds(m.fit.pair, noise, mostBar));
  const mean = (of: (i: number) => number): number => weights.reduce((sum, w, i) => sum + (w / all) * of(i), 0);
  const spread = (i: number) => spreads[i] as (typeof spreads)[number];
  const flow = mean((i) => spread(i).flow);
  return {
    leakMlPerMin: 60 * flow,
    seMlPerMin: 60 * Math.sqrt(mean((i) => spread(i).flowVariance + (spread(i).flow - flow) ** 2)),
    settledBar: mean((i) => spread(i).amplitude),
    stillSettling: mean((i) => (isSlow(models[i]?.fit, spanS) ? 1 : 0)) > 0.5,
    rmsBar: Math.sqrt(ssr / points.length),
    best: keptFit(best, points, elastic),
  };
};

const isSlow = (f: Fitted | undefined, spanS: number): boolean =>
  f !== undefined && f.at.tauS !== null && f.pair.amplitude > 0 && f.at.tauS > spanS / 3;

const closerOnsets = (about: number): readonly number[] =>
  [...ONSETS, ...CLOSER_ONSETS.map((off) => about + off)].filter((share) => share > 0.01 && share < 0.99).sort((a, b) => a - b);

/** The share of all onsets that one of them stands for. */
const stretchOf = (onsets: readonly number[], share: number): number => {
  const i = onsets.findIndex((o) => Math.abs(o - share) < 1e-9);
  return ((onsets[i + 1] ?? 1) - (onsets[i - 1] ?? 0)) / 2;
};

const leaksOf = (spanS: number, onsets: readonly number[]): readonly Leak[] => [
  { law: 'steady', onsetS: 0 },
  { law: 'orifice', onsetS: 0 },
  { law: 'slot', onsetS: 0 },
  ...onsets.map((share) => ({ law: 'late' as const, onsetS: share * spanS })),
];

const SETTLES = ['exponential', 'double', 'stretched', 'logarithmic'] as const satisfies readonly Settling[];

/** One shape over all of its times, closer and closer about the likeliest: a time that lies between two of a coarse grid would be taken for another shape. */
const overTaus = (settling: Settling, spanS: number, fitAll: (s: Settles) => readonly Fitted[]): readonly Model[] => {
  const longest = Math.max(SHORTEST_TAU_S, spanS);
  let tried = Array.from({ length: TAUS }, (_, i) => fitAt(SHORTEST_TAU_S * (longest / SHORTEST_TAU_S) ** (i / (TAUS - 1))));
  function fitAt(tauS: number): { readonly tauS: number; readonly fits: readonly Fitted[]; readonly ssr: number } {
    const fits = fitAll({ settling, tauS });
    return { tauS, fits, ssr: Math.min(...fits.map((f) => f.pair.ssr)) };
  }
  for (let round = 0; round < ROUNDS; round++) {
    const at = tried.reduce((best, t, i) => (t.ssr < (tried[best]?.ssr ?? Infinity) ? i : best), 0);
    const [low, high] = [tried[Math.max(0, at - 1)]?.tauS ?? longest, tried[at + 1]?.tauS ?? longest];
    const closer = Array.from({ length: CLOSER }, (_, i) => fitAt(low * (high / low) ** ((i + 1) / (CLOSER + 1))));
    tried = [...tried, ...closer].sort((a, b) => a.tauS - b.tauS);
  }
  // Each counts for the stretch of times, by their logarithm, that it stands for.
  const whole = Math.log(longest / SHORTEST_TAU_S) || 1;
  return tried.flatMap(({ tauS, fits }, i) => {
    const [before, after] = [tried[i - 1]?.tauS ?? tauS, tried[i + 1]?.tauS ?? tauS];
    const share = Math.log(after / before) / 2 / whole;
    return fits.map((fit) => ({ fit, share }));
  });
};

/** What has settled by each sample, as a share of what has by the last. */
const settledBy = (points: readonly TracePoint[], { settling, tauS }: Settles): readonly number[] => {
  const startS = points[0]?.tS ?? 0;
  const shape = points.map((s) => (tauS === null ? 0 : SETTLING[settling]((s.tS - startS) / tauS)));
  const end = shape.at(-1) ?? 0;
  return end > 0 ? shape.map((v) => v / end) : shape;
};

/** The likeliest pair as a curve, its level laid through the samples. */
const keptFit = ({ pair, at, leak }: Fitted, points: readonly TracePoint[], elastic: Elastic): KeptFit => {
  const mean = (values: readonly number[]): number => values.reduce((sum, v) => sum + v, 0) / values.length;
  const atBar = mean(points.map((s) => s.pBar));
  const rBarPerS = pair.flow / mlPerBarAt(elastic, atBar);
  const spanS = (points.at(-1)?.tS ?? 0) - (points[0]?.tS ?? 0);
  const aBar = at.tauS === null ? 0 : pair.amplitude / SETTLING[at.settling](spanS / at.tauS);
  const settled = mean(settledBy(points, at).map((v) => v * pair.amplitude));
  const leaked = rBarPerS * mean(leakClock(points, leak));
  return { ...leak, ...at, aBar, rBarPerS, atBar, p0Bar: atBar + settled + leaked };
};

/** Takes the share of a level, given by what one is worth at each sample, out of a column. */
const withoutLevel = (level: readonly number[]) => {
  const size = dot(level, level);
  return (column: readonly number[]): readonly number[] => {
    const share = dot(level, column) / size;
    return column.map((v, i) => v - share * (level[i] as number));
  };
};

const inBlocks = (trace: readonly TracePoint[]): readonly TracePoint[] => {
  const size = Math.ceil(trace.length / MOST_BLOCKS);
  if (size === 1) return trace;
  return Array.from({ length: Math.floor(trace.length / size) }, (_, i) => {
    const block = trace.slice(i * size, (i + 1) * size);
    const mean = (of: (s: TracePoint) => number): number => block.reduce((sum, s) => sum + of(s), 0) / block.length;
    return { tS: mean((s) => s.tS), pBar: mean((s) => s.pBar) };
  });
};
