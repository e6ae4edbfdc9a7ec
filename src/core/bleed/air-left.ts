import { ATMOSPHERE_MPA, areaOf, hydraulics } from '../set/hydraulics';
import { volumeOf } from './bleed-plan';
import type { System, SystemPedal } from './system';

/** One sigma of a pedal’s travel, read on a rule by one who also presses, mm. */
const TRAVEL_SE_MM = 2;
/** One sigma of what cylinders and hoses take, of what was stated: nobody measures it to better. */
const TAKES_SE = 0.15;

export type AirLeft = {
  /** The pedal’s travel without any air, its free play in it, mm. */
  readonly expectedMm: number;
  /** Below 0 where the pedal is shorter than was worked out. */
  readonly airMl: number;
  /** Two sigma each way. */
  readonly lowMl: number;
  readonly highMl: number;
  readonly says: 'air' | 'undecided' | 'none-seen';
};

/** Past this much air, ml, a pedal is spongy to the foot. */
export const SPONGY_ML = 1;

/**
 * The air that is left in a system, from how far its pedal goes: chapter 8 solved for the air.
 * @param travelMm at the pedal, from rest to the stated force, free play and all
 * @source design, chapter 8; errors by first-order propagation
 */
export const airLeft = (system: System, pedal: SystemPedal, travelMm: number): AirLeft => {
  const asked = {
    pedalForceN: pedal.forceN,
    pedalRatio: pedal.ratio,
    boostFactor: pedal.boost,
    masterDiaMm: system.master.boreMm,
    masterStrokeMm: system.master.strokeMm,
    cylinders: pedal.cylinders,
    hoseMlPerMPa: pedal.hoseMlPerMPa,
    systemVolumeMl: system.lines.reduce((sum, l) => sum + volumeOf(l), 0) + system.ends.reduce((sum, e) => sum + e.volumeMl, 0),
    options: [],
  };
  const [dry] = hydraulics(asked).rows;
  if (dry === undefined) throw new Error('no row for the master itself');
  const mlPerPedalMm = areaOf(system.master.boreMm) / 1000 / pedal.ratio;
  const perMl = dry.pressureMPa / (dry.pressureMPa + ATMOSPHERE_MPA);
  const takenMl = (travelMm - pedal.freePlayMm) * mlPerPedalMm;
  const airMl = (takenMl - dry.volumeMl) / perMl;
  const se = Math.hypot(TRAVEL_SE_MM * mlPerPedalMm, TAKES_SE * dry.volumeMl) / perMl;
  const [lowMl, highMl] = [airMl - 2 * se, airMl + 2 * se];
  return {
    expectedMm: dry.pedalTravelMm + pedal.freePlayMm,
    airMl,
    lowMl,
    highMl,
    says: lowMl > 0 ? 'air' : highMl <= SPONGY_ML ? 'none-seen' : 'undecided',
  };
};
