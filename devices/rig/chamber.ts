/** Where it leaks, and so how the leak follows pressure: a groove is laminar, a port is an orifice, a lip is pressed shut as pressure rises. */
export type LeakLaw = 'groove' | 'port' | 'lip';

/** A unit's true state as the stand-in rig knows it. */
export type Truth = {
  readonly complianceMlPerBar: number;
  readonly airMl: number;
  /** Pressure of 80 bar that settling rubber takes up in the end, and its time constant. */
  readonly settleBar: number;
  readonly settleTauS: number;
  /** How rubber settles; absent: exponentially. */
  readonly settles?: keyof typeof SETTLES;
  readonly leakMlPerMinAt80: number;
  /** It leaks only once it has been held so long. */
  readonly leaksFromS?: number;
  readonly law?: LeakLaw;
  /** The compensating port is blocked: pressure stays when the piston is let go. */
  readonly portBlocked?: boolean;
  /** A valve that is meant to keep this much pressure; absent: there is none. */
  readonly residualBar?: number;
  /** What the body warms by, K a minute, and what it holds, ml: fluid grows more than its body and presses. */
  readonly warmsKPerMin?: number;
  readonly volumeMl?: number;
  /** What is otherwise in one chamber alone, by the chamber’s name. */
  readonly chambers?: { readonly [chamber: string]: Omit<Partial<Truth>, 'chambers'> };
};

/** A unit's truth as one chamber has it; the whole unit's where none is named. */
export const inChamber = (truth: Truth, chamber: string | undefined): Truth => ({
  ...truth,
  ...(chamber === undefined ? {} : truth.chambers?.[chamber]),
});

/** Shares of the settling that are done after a time, in its time constants. */
const SETTLES = {
  exponential: (x: number) => 1 - Math.exp(-x),
  // A seal and a hose of their own.
  twice: (x: number) => 0.6 * (1 - Math.exp(-x)) + 0.4 * (1 - Math.exp(-x / 6)),
  stretched: (x: number) => 1 - Math.exp(-Math.sqrt(x)),
  // Never done: each tenfold of time takes as much again.
  logarithmic: (x: number) => Math.log(1 + x) / Math.log(11),
} as const;

/** A sound unit, freshly closed up. */
export const SOUND: Truth = { complianceMlPerBar: 0.05, airMl: 0.08, settleBar: 1.1, settleTauS: 9, leakMlPerMinAt80: 0.008 };

/** `shutBar`: the pressure at which pumping stopped. */
export type Chamber = {
  readonly mlIn: number;
  readonly lostMl: number;
  readonly heldS: number;
  readonly pBar: number;
  readonly shutBar: number;
};
export const EMPTY: Chamber = { mlIn: 0, lostMl: 0, heldS: 0, pBar: 0, shutBar: 0 };

const ATMOSPHERE_BAR = 1.013;
/** Glycol fluid grows by about this much more than an iron body, a K. */
const GROWTH_PER_K = 7.6e-4;
/** Pressure past which a lip is pressed shut for good, bar. */
const LIP_SHUT_BAR = 25;

/** Pressure that a volume of fluid makes: ml = C·p + V₀·p/(p + 1.013), by bisection. */
export const pressureOf = (ml: number, truth: Truth): number => {
  let [low, high] = [0, Math.max(1, ml / truth.complianceMlPerBar)];
  for (let i = 0; i < 60; i++) {
    const p = (low + high) / 2;
    if (truth.complianceMlPerBar * p + (truth.airMl * p) / (p + ATMOSPHERE_BAR) < ml) low = p;
    else high = p;
  }
  return (low + high) / 2;
};

/** The true leak at a pressure, ml/min; every law gives the stated figure at 80 bar, but a lip's, which gives it at 5. */
export const leakAt = (truth: Truth, pBar: number): number => {
  if (pBar <= 0) return 0;
  switch (truth.law ?? 'groove') {
    case 'groove':
      return (truth.leakMlPerMinAt80 * pBar) / 80;
    case 'port':
      return truth.leakMlPerMinAt80 * Math.sqrt(pBar / 80);
    case 'lip':
      return (truth.leakMlPerMinAt80 * Math.max(0, LIP_SHUT_BAR - pBar)) / (LIP_SHUT_BAR - 5);
  }
};

/** One step of time: fluid pumped in, fluid lost past the seals, rubber settling and fluid warming while it is held. */
export const step = (c: Chamber, truth: Truth, dtS: number, pumpMlPerS: number): Chamber => {
  const leaks = c.heldS >= (truth.leaksFromS ?? 0);
  const leakMl = leaks ? (leakAt(truth, c.pBar) / 60) * dtS : 0;
  const warmMl = (truth.warmsKPerMin ?? 0) * (truth.volumeMl ?? 0) * GROWTH_PER_K * (dtS / 60);
  const heldS = pumpMlPerS > 0 ? 0 : c.heldS + dtS;
  const shutBar = c.heldS === 0 ? c.pBar : c.shutBar;
  const settled = (s: number): number =>
    truth.settleBar * (shutBar / 80) * SETTLES[truth.settles ?? 'exponential'](s / truth.settleTauS) * truth.complianceMlPerBar;
  const mlIn = c.mlIn + pumpMlPerS * dtS;
  const lostMl = c.lostMl + leakMl - warmMl + (heldS > 0 ? settled(heldS) - settled(c.heldS) : 0);
  return { mlIn, lostMl, heldS, shutBar, pBar: pressureOf(Math.max(0, mlIn - lostMl), truth) };
};

/** What is left of the pressure a step after the rod was let go: a blocked port or a residual valve keeps some. */
export const letGo = (c: Chamber, truth: Truth): Chamber =>
  fallen(c, truth.portBlocked === true ? c.pBar * 0.9995 : (truth.residualBar ?? 0));

/** A step after the rig's own valve was opened: nothing in the unit keeps pressure from it. */
export const vented = (c: Chamber): Chamber => fallen(c, 0);

const fallen = (c: Chamber, floorBar: number): Chamber => {
  const share = Math.max(Math.min(floorBar, c.pBar), c.pBar * 0.6) / Math.max(c.pBar, 1e-9);
  return { ...c, pBar: c.pBar * share, mlIn: c.mlIn * share, lostMl: c.lostMl * share };
};
