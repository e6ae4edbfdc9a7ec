import { fixed } from '../quantity/figure';
import { sayForce, sayLength } from '../quantity/say';
import type { Units } from '../quantity/units';
import type { ClutchAnswer, ClutchInput } from '../set/clutch';

/** Figures of the sheet: lengths mm, force N, volumes ml. */
export const CLUTCH_FIELDS = ['master', 'slave', 'pedal', 'ratio', 'gap', 'fork', 'force', 'hose', 'air', 'needed'] as const;
export type ClutchField = (typeof CLUTCH_FIELDS)[number];
export type ClutchSheet = { readonly [F in ClutchField]?: number | undefined };

/** The question that a sheet asks; undefined until bores, travel and ratio are there. */
export const clutchQuestion = ({ master, slave, pedal, ratio, ...more }: ClutchSheet): ClutchInput | undefined =>
  master === undefined || slave === undefined || pedal === undefined || ratio === undefined
    ? undefined
    : {
        masterDiaMm: master,
        slaveDiaMm: slave,
        pedalTravelMm: pedal,
        pedalRatio: ratio,
        gapMm: more.gap,
        forkRatio: more.fork,
        releaseForceN: more.force,
        hoseMlPerMPa: more.hose,
        airMl: more.air,
        neededMm: more.needed,
      };

/** What arrives at the bearing, line by line. */
export const sayClutch = (i: ClutchInput, a: ClutchAnswer, units: Units): readonly string[] => {
  const mm = (value: number): string => `${sayLength(value, units)} ${units.length}`;
  return [
    `The master's piston moves ${mm(a.masterStrokeMm)}, the slave's ${mm(a.slaveTravelMm)}, the release bearing ${mm(a.releaseTravelMm)}.`,
    ...(a.swallowedMl > 0 ? [`Hose and air take ${fixed(a.swallowedMl, 2)} ml of it.`] : []),
    ...(i.releaseForceN == null ? [] : [`At ${fixed(a.pressureMPa * 10, 0)} bar the pedal takes ${sayForce(a.pedalForceN, units, 3)}.`]),
    ...(a.spareMm === null
      ? []
      : [
          a.spareMm < 0
            ? `That is ${mm(-a.spareMm)} too little: the clutch drags. Look for air, a smaller slave, a worn linkage, or a larger master.`
            : `That is ${mm(a.spareMm)} more than is needed: the clutch frees.`,
        ]),
  ];
};
