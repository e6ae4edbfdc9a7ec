import type { HoldInput } from '@/core/prove/hold-test';
import type { Random } from '../../devices/hand/random';

// Held pressures whose truth is known, made by stepping the unit through time: a family of models of its own, that knows nothing of how a hold is judged.

const SETTLES = ['none', 'exponential', 'two-exponentials', 'stretched', 'logarithmic'] as const;
const LEAKS = ['steady', 'root', 'linear', 'lip', 'late'] as const;

export type World = {
  readonly spanS: number;
  readonly hz: number;
  readonly startBar: number;
  readonly settle: (typeof SETTLES)[number];
  readonly leak: (typeof LEAKS)[number];
  /** Of the limit, at the starting pressure. */
  readonly leakShare: number;
  readonly airMl: number;
  readonly driftKPerMin: number;
  readonly logged: boolean;
  readonly noiseBar: number;
  readonly correlated: boolean;
  readonly stepBar: number;
  readonly byEye: boolean;
};
/** What the bench is given, and the true mean flow from shutting to the end or to half of the pressure, ml/min. */
export type Held = { readonly world: World; readonly input: HoldInput; readonly truthMlPerMin: number };

const LIMIT = 0.05;
const STEP_S = 0.02;

export const anyWorld = (random: Random, but: Partial<World> = {}): World => {
  const one = <T>(...of: readonly T[]): T => random.pick(of);
  const byEye = random.next() < 0.1;
  const logged = random.next() < 0.5;
  const low = random.next() < 0.25;
  return {
    spanS: one(60, 120, 180, 300),
    hz: one(1, 2, 5, 10),
    startBar: low ? 5 : 45 + 45 * random.next(),
    settle: one(...SETTLES),
    leak: one(...LEAKS),
    leakShare: one(0, 0, 0.3 * random.next(), random.next(), 1 + 2 * random.next(), 2 + 8 * random.next(), 40 * random.next()),
    airMl: one(0, 0, 0.1, 0.3),
    driftKPerMin: random.next() < 0.4 ? 0 : logged ? random.between(-0.5, 0.5) : 0.1 * random.normal(1),
    logged,
    noiseBar: one(0.005, 0.01, 0.02, 0.05),
    correlated: random.next() < 0.3,
    stepBar: one(0.001, 0.01, 0.1),
    byEye,
    ...but,
  };
};

export const held = (world: World, random: Random): Held => {
  const { startBar } = world;
  const complianceMlPerBar = random.between(0.02, 0.08);
  const fluidMl = random.between(15, 50);
  const wet = (bar: number): number => complianceMlPerBar * bar + (world.airMl * bar) / (bar + 1.013);
  // Settles up to 6 % of the pressure by the end, of the least that chapter 9 grants at low pressure.
  const most = startBar > 20 ? 0.06 * startBar : 0.4;
  const settled = settleOf(world, random, random.next() * most);
  const flow = flowOf(world, random);
  const warmMl = (t: number): number => (fluidMl * 7.6e-4 * world.driftKPerMin * t) / 60;
  const barAt = (ml: number): number => {
    let [low, high] = [0, 2 * startBar + 50];
    for (let i = 0; i < 50; i++) {
      const middle = (low + high) / 2;
      if (wet(middle) < ml) low = middle;
      else high = middle;
    }
    return low;
  };
  const samples: { tS: number; pBar: number; tempC?: number }[] = [];
  const everyS = world.byEye ? Math.max(3, world.spanS / 20) : 1 / world.hz;
  let [lost, noise, next] = [0, 0, 0];
  let bar = startBar;
  let half: { readonly t: number; readonly lost: number } | undefined;
  for (let k = 0; k * STEP_S <= world.spanS + 1e-9; k++) {
    const t = k * STEP_S;
    if (k % 5 === 0) bar = Math.max(0, barAt(wet(startBar) - lost + warmMl(t)) - settled(t));
    if (half === undefined && bar <= startBar / 2) half = { t, lost };
    if (t >= next - 1e-9) {
      noise = world.correlated ? 0.7 * noise + Math.sqrt(1 - 0.49) * random.normal(1) : random.normal(1);
      const step = world.byEye ? 0.5 : world.stepBar;
      const read = Math.round((bar + (world.byEye ? 0.1 * random.normal(1) : world.noiseBar * noise)) / step) * step;
      samples.push({ tS: t, pBar: read, ...(world.logged ? { tempC: 21 + (world.driftKPerMin * t) / 60 + 0.03 * random.normal(1) } : {}) });
      next += everyS;
    }
    lost += (flow(bar, t) * STEP_S) / 60;
  }
  const end = half !== undefined && half.t > 0 ? half : { t: world.spanS, lost };
  return {
    world,
    truthMlPerMin: (60 * end.lost) / end.t,
    input: {
      trace: samples,
      complianceMlPerBar: complianceMlPerBar * (1 + 0.02 * random.normal(1)),
      complianceSe: 0.02 * complianceMlPerBar,
      airMl: world.airMl,
      stepBar: startBar,
      limitMlPerMin: LIMIT,
      ...(world.byEye ? { readSeBar: 0.5 / Math.sqrt(12) } : {}),
    },
  };
};

const settleOf = ({ settle, spanS }: World, random: Random, most: number): ((t: number) => number) => {
  const tau = random.between(2, spanS / 2);
  const scaled = (shape: (t: number) => number) => (t: number) => (most * shape(t)) / shape(spanS);
  switch (settle) {
    case 'none':
      return () => 0;
    case 'exponential':
      return scaled((t) => 1 - Math.exp(-t / tau));
    case 'two-exponentials': {
      const [share, slow] = [random.between(0.3, 0.7), tau * random.between(3, 8)];
      return scaled((t) => share * (1 - Math.exp(-t / tau)) + (1 - share) * (1 - Math.exp(-t / slow)));
    }
    case 'stretched': {
      const power = random.between(0.35, 0.8);
      return scaled((t) => 1 - Math.exp(-((t / tau) ** power)));
    }
    case 'logarithmic': {
      const early = random.between(1, 10);
      return scaled((t) => Math.log(1 + t / early));
    }
  }
};

/** ml/min at a pressure and a time. */
const flowOf = ({ leak, leakShare, startBar, spanS }: World, random: Random): ((bar: number, t: number) => number) => {
  const full = leakShare * LIMIT;
  switch (leak) {
    case 'steady':
      return (bar) => (bar > 0 ? full : 0);
    case 'root':
      return (bar) => full * Math.sqrt(bar / startBar);
    case 'linear':
      return (bar) => (full * bar) / startBar;
    case 'lip': {
      // Pressed shut above a pressure: it leaks below it, the more the less there is.
      const shut = startBar * random.between(0.5, 1.2);
      return (bar) => (bar < shut ? full * (1 - bar / shut) + 0.2 * full : 0);
    }
    case 'late': {
      const from = spanS * random.between(0.2, 0.9);
      return (_, t) => (t > from ? full : 0);
    }
  }
};
