import { ATMOSPHERE_MPA, areaOf } from './hydraulics';

/** A clutch worked by fluid. Lengths mm, force N at the release bearing. */
export type ClutchInput = {
  readonly masterDiaMm: number;
  readonly slaveDiaMm: number;
  readonly pedalTravelMm: number;
  readonly pedalRatio: number;
  /** Pushrod gap at the master. */
  readonly gapMm?: number | null | undefined;
  /** Travel of the slave over that of the release bearing; absent: it pushes straight. */
  readonly forkRatio?: number | null | undefined;
  readonly releaseForceN?: number | null | undefined;
  readonly hoseMlPerMPa?: number | null | undefined;
  readonly airMl?: number | null | undefined;
  /** Travel of the bearing at which the clutch is free. */
  readonly neededMm?: number | null | undefined;
};

export type ClutchAnswer = {
  readonly masterStrokeMm: number;
  readonly pressureMPa: number;
  /** What hose and air take for themselves, ml. */
  readonly swallowedMl: number;
  readonly slaveTravelMm: number;
  readonly releaseTravelMm: number;
  readonly pedalForceN: number;
  /** Release travel less what is needed; null where that was not given. */
  readonly spareMm: number | null;
};

/**
 * What arrives at the release bearing of a stroke at the pedal, after gap, hose and air took theirs; never less than nought.
 * @source volumes of design, chapter 8: what the master moves less what gives
 */
export const clutchRelease = (i: ClutchInput): ClutchAnswer => {
  const [master, slave, fork] = [areaOf(i.masterDiaMm), areaOf(i.slaveDiaMm), i.forkRatio ?? 1];
  const masterStrokeMm = Math.max(0, i.pedalTravelMm / i.pedalRatio - (i.gapMm ?? 0));
  const pressureMPa = (i.releaseForceN ?? 0) / fork / slave;
  const swallowedMl = (i.hoseMlPerMPa ?? 0) * pressureMPa + ((i.airMl ?? 0) * pressureMPa) / (pressureMPa + ATMOSPHERE_MPA);
  const slaveTravelMm = Math.max(0, (master * masterStrokeMm - 1000 * swallowedMl) / slave);
  const releaseTravelMm = slaveTravelMm / fork;
  return {
    masterStrokeMm,
    pressureMPa,
    swallowedMl,
    slaveTravelMm,
    releaseTravelMm,
    pedalForceN: (pressureMPa * master) / i.pedalRatio,
    spareMm: i.neededMm == null ? null : releaseTravelMm - i.neededMm,
  };
};
