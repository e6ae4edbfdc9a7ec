import { ATMOSPHERE_BAR } from './air-check';

/** What walls and trapped air take up: compliance, ml per bar, and air at 0 bar on the gauge, ml. */
export type Elastic = { readonly complianceMlPerBar: number; readonly airMl: number };

/** Fluid pressed in at a pressure, ml; none below 0. @source design, chapter 9; Boyle's law */
export const volumeAt = ({ complianceMlPerBar, airMl }: Elastic, pBar: number): number =>
  pBar <= 0 ? 0 : complianceMlPerBar * pBar + (airMl * pBar) / (pBar + ATMOSPHERE_BAR);

/** What a bar more takes at a pressure, ml: the walls, and what is left of the air. */
export const mlPerBarAt = ({ complianceMlPerBar, airMl }: Elastic, pBar: number): number =>
  complianceMlPerBar + (airMl * ATMOSPHERE_BAR) / (Math.max(0, pBar) + ATMOSPHERE_BAR) ** 2;
