/** Wheel or release cylinders of one size. */
export type Cylinder = { readonly id: string; readonly diaMm: number; readonly count: number; readonly travelMm: number };

export type HydraulicsInput = {
  readonly pedalForceN: number;
  readonly pedalRatio: number;
  readonly boostFactor?: number | null | undefined;
  readonly masterDiaMm: number;
  /** Total, for tandems. */
  readonly masterStrokeMm: number;
  readonly cylinders: readonly Cylinder[];
  readonly hoseMlPerMPa?: number | null | undefined;
  readonly systemVolumeMl?: number | null | undefined;
  readonly bulkModulusMPa?: number | null | undefined;
  readonly airMl?: number | null | undefined;
  /** Other bores of the master. */
  readonly options?: readonly number[] | null | undefined;
};
export type HydraulicsRow = {
  readonly masterDiaMm: number;
  readonly pressureMPa: number;
  readonly volumeMl: number;
  readonly strokeUsedMm: number;
  /** What is left of the stroke; below nought when the pedal is on the floor first. */
  readonly reservePct: number;
  readonly pedalTravelMm: number;
  readonly cylinders: readonly { readonly id: string; readonly forceN: number }[];
};

/** Brake fluid, and air at the pressure of the room. @source design, chapter 8 */
const BULK_MPA = 1500;
export const ATMOSPHERE_MPA = 0.1013;

/**
 * What a change of the master's bore does at the pedal and at the cylinders: the base first, then each option in order.
 * @source design, chapter 8: p = F/A; volume of the cylinders, of hoses and fluid that give, and of air that is squeezed
 */
export function hydraulics(input: HydraulicsInput): { readonly rows: readonly HydraulicsRow[]; readonly rulesUsed: Record<string, never> } {
  return { rows: [input.masterDiaMm, ...(input.options ?? [])].map((dia) => rowFor(input, dia)), rulesUsed: {} };
}

const rowFor = (i: HydraulicsInput, masterDiaMm: number): HydraulicsRow => {
  const area = areaOf(masterDiaMm);
  const pressureMPa = (i.pedalForceN * i.pedalRatio * (i.boostFactor ?? 1)) / area;
  const volumeMl = volumeAt(i, pressureMPa);
  const strokeUsedMm = (1000 * volumeMl) / area;
  return {
    masterDiaMm,
    pressureMPa,
    volumeMl,
    strokeUsedMm,
    reservePct: (100 * (i.masterStrokeMm - strokeUsedMm)) / i.masterStrokeMm,
    pedalTravelMm: strokeUsedMm * i.pedalRatio,
    cylinders: i.cylinders.map((c) => ({ id: c.id, forceN: pressureMPa * areaOf(c.diaMm) })),
  };
};

/** Fluid that the master must move until there is such a pressure, ml. */
export const volumeAt = (i: HydraulicsInput, pMPa: number): number =>
  i.cylinders.reduce((sum, c) => sum + (areaOf(c.diaMm) * c.travelMm * c.count) / 1000, 0) +
  ((i.hoseMlPerMPa ?? 0) + (i.systemVolumeMl ?? 0) / (i.bulkModulusMPa ?? BULK_MPA)) * pMPa +
  ((i.airMl ?? 0) * pMPa) / (pMPa + ATMOSPHERE_MPA);

/** mm² */
export const areaOf = (diaMm: number): number => (Math.PI * diaMm * diaMm) / 4;
