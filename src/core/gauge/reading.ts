import { EXPANSION_PER_K, GAUGE_EXPANSION_PER_K, type Material } from '../family/material';

/** One reading of a bore gauge. Depth from the open end in mm; clock angle as seen from there, degrees; diameter in mm as read. */
export type Reading = { readonly xMm: number; readonly clockDeg: number; readonly diaMm: number };

export type Temperatures = { readonly bodyTempC?: number | null | undefined; readonly gaugeTempC?: number | null | undefined };

/**
 * Readings as they would be at 20 °C; unchanged while the body's temperature is unknown. A gauge without a temperature was set at 20 °C.
 * @source design, chapter 1
 */
export const readingsAt20 = (readings: readonly Reading[], material: Material, temps: Temperatures): readonly Reading[] =>
  temps.bodyTempC == null ? readings : readings.map((r) => ({ ...r, diaMm: diaAt20(r.diaMm, material, temps) }));

/** One diameter as it would be at 20 °C, mm; as read where the body's temperature is unknown. */
export const diaAt20 = (diaMm: number, material: Material, { bodyTempC, gaugeTempC }: Temperatures): number => {
  if (bodyTempC == null) return diaMm;
  const body = EXPANSION_PER_K[material] * (bodyTempC - 20);
  const gauge = GAUGE_EXPANSION_PER_K * ((gaugeTempC ?? 20) - 20);
  return diaMm * (1 - body + gauge);
};
