import { type Cylinder, type HydraulicsInput, hydraulics, volumeAt } from './hydraulics';

/** Which circuit of a tandem master a cylinder hangs on; the rear piston is the one that the rod pushes. */
export type Circuit = 'rear' | 'front';
export type SplitInput = Omit<HydraulicsInput, 'cylinders' | 'masterStrokeMm' | 'options'> & {
  readonly cylinders: readonly (Cylinder & { readonly circuit: Circuit })[];
  /** Stroke of each chamber by itself, mm. */
  readonly strokeMm: { readonly [C in Circuit]: number };
};

export type CircuitState = {
  /** Null: both hold. */
  readonly lost: Circuit | null;
  readonly strokeUsedMm: number;
  readonly pedalTravelMm: number;
  /** What is left of the stroke that the pressed chambers have; below nought when they are at their end first. */
  readonly reservePct: number;
  /** Force at the cylinders that still work, over that of all. */
  readonly forceLeftPct: number;
};

/**
 * A tandem master with both circuits, and with either of them lost: its piston then runs to its stop before the other one builds pressure.
 * Hoses, fluid and air are taken as shared equally between the circuits.
 * @returns both, then rear lost, then front lost
 * @source volumes and pressures of design, chapter 8, chamber by chamber
 */
export const circuitStates = (i: SplitInput): readonly CircuitState[] => {
  const of = (circuit: Circuit): HydraulicsInput => ({
    ...i,
    cylinders: i.cylinders.filter((c) => c.circuit === circuit),
    masterStrokeMm: i.strokeMm[circuit],
    hoseMlPerMPa: (i.hoseMlPerMPa ?? 0) / 2,
    systemVolumeMl: (i.systemVolumeMl ?? 0) / 2,
    airMl: (i.airMl ?? 0) / 2,
  });
  const [rear, front] = [one(of('rear')), one(of('front'))];
  const total = i.strokeMm.rear + i.strokeMm.front;
  const state = (lost: Circuit | null, used: number, room: number, force: number): CircuitState => ({
    lost,
    strokeUsedMm: used,
    pedalTravelMm: used * i.pedalRatio,
    reservePct: (100 * (total - used)) / room,
    forceLeftPct: rear.force + front.force === 0 ? 0 : (100 * force) / (rear.force + front.force),
  });
  return [
    state(null, rear.used + front.used, total, rear.force + front.force),
    state('rear', i.strokeMm.rear + front.used, i.strokeMm.front, front.force),
    state('front', i.strokeMm.front + rear.used, i.strokeMm.rear, rear.force),
  ];
};

const one = (i: HydraulicsInput): { readonly used: number; readonly force: number } => {
  const row = hydraulics({ ...i, options: [] }).rows[0];
  if (row === undefined) throw new Error('the base always has a row');
  return { used: row.strokeUsedMm, force: row.cylinders.reduce((sum, c, n) => sum + c.forceN * (i.cylinders[n]?.count ?? 1), 0) };
};

/** A point of the way from an untouched pedal to its full force: travel in mm, force in N. */
export type PedalPoint = { readonly travelMm: number; readonly forceN: number };

/** Pedal force against pedal travel for one bore: the clearances are taken up first, then pressure builds. @param points 2 or more */
export const pedalCurve = (i: HydraulicsInput, masterDiaMm: number, points = 25): readonly PedalPoint[] => {
  const area = (Math.PI * masterDiaMm ** 2) / 4;
  const lever = i.pedalRatio * (i.boostFactor ?? 1);
  const built = Array.from({ length: points }, (_, n): PedalPoint => {
    const forceN = (i.pedalForceN * n) / (points - 1);
    return { forceN, travelMm: ((1000 * volumeAt(i, (forceN * lever) / area)) / area) * i.pedalRatio };
  });
  return [{ travelMm: 0, forceN: 0 }, ...built];
};
