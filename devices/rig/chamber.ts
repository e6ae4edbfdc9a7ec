/** A unit's true state as the stand-in rig knows it. Leak is laminar: proportional to pressure. */
export type Truth = {
  readonly complianceMlPerBar: number;
  readonly airMl: number;
  /** Pressure that settling rubber takes up in the end, and its time constant. */
  readonly settleBar: number;
  readonly settleTauS: number;
  readonly leakMlPerMinAt80: number;
};

/** A sound unit, freshly closed up. */
export const SOUND: Truth = { complianceMlPerBar: 0.05, airMl: 0.08, settleBar: 1.1, settleTauS: 9, leakMlPerMinAt80: 0.008 };

export type Chamber = { readonly mlIn: number; readonly lostMl: number; readonly heldS: number; readonly pBar: number };
export const EMPTY: Chamber = { mlIn: 0, lostMl: 0, heldS: 0, pBar: 0 };

const ATMOSPHERE_BAR = 1.013;

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

/** One step of time: fluid pumped in, fluid lost past the seals, and rubber settling while it is held. */
export const step = (c: Chamber, truth: Truth, dtS: number, pumpMlPerS: number): Chamber => {
  const leakMl = ((truth.leakMlPerMinAt80 * c.pBar) / 80 / 60) * dtS;
  const heldS = pumpMlPerS > 0 ? 0 : c.heldS + dtS;
  const settled = (s: number): number => truth.settleBar * (1 - Math.exp(-s / truth.settleTauS)) * truth.complianceMlPerBar;
  const mlIn = c.mlIn + pumpMlPerS * dtS;
  const lostMl = c.lostMl + leakMl + (heldS > 0 ? settled(heldS) - settled(c.heldS) : 0);
  return { mlIn, lostMl, heldS, pBar: pressureOf(Math.max(0, mlIn - lostMl), truth) };
};
