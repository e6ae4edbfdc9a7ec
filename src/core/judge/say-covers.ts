import type { Corners } from '../gauge/corners';
import type { Stretch } from '../gauge/coverage';
import type { BoreForm } from '../gauge/gauge';
import { fixed } from '../quantity/figure';
import { sayDia, sayLength } from '../quantity/say';
import { METRIC } from '../quantity/units';

/** What of a bore was looked at, and how. */
export type Looked = {
  readonly gauge: Pick<BoreForm, 'stations'> | null;
  readonly readings: number;
  /** Stretches of the lanes that no depth speaks for. */
  readonly not: readonly Stretch[];
  readonly corners: readonly Corners[];
  /** 1σ between the depths, mm. */
  readonly formDoubtMm: number | null;
};

/** Less does not show in a figure, mm. */
const TOLD_MM = 0.0005;

/** What a verdict on a bore rests on, and what it does not cover; a sentence each. @param units lengths are said in these */
export const sayCovers = (l: Looked, units = METRIC): readonly string[] => [...sayRests(l, units), ...sayNotSeen(l, units)];

/** What a verdict on a bore rests on. */
export const sayRests = (l: Looked, units = METRIC): readonly string[] => [
  l.gauge === null
    ? 'It rests on the marks drawn; nothing was gauged.'
    : `It rests on ${l.readings} readings at ${l.gauge.stations.length} ${l.gauge.stations.length === 1 ? 'depth' : 'depths'}, where seals run, and on the marks drawn.`,
  ...(l.formDoubtMm !== null && l.formDoubtMm > TOLD_MM
    ? [`Between the depths it may be wider than gauged by ${sayDia(2 * l.formDoubtMm, units)} ${units.length}.`]
    : []),
];

/** What nobody saw of a bore: for a verdict, and for the sheet of what was not proved. */
export const sayNotSeen = (l: Pick<Looked, 'not' | 'corners'>, units = METRIC): readonly string[] => [
  ...(l.not.length === 0
    ? []
    : [
        `Not gauged where seals run: ${l.not.map((s) => `${sayLength(s.x0Mm, units)} to ${sayLength(s.x1Mm, units)}`).join(', ')} ${units.length}.`,
      ]),
  ...l.corners.map(
    (c) =>
      `At ${sayLength(c.xMm, units)} ${units.length} the readings do not fit an oval, by ${sayDia(c.residualMm, units)} ${units.length}: the bore may have corners; look with three points or a ring.`,
  ),
  'Three corners in a bore: a gauge of two points does not see them.',
];

/** How sure a target is, and of what. @param confidence 0 to 1 */
export const sayConfidence = (confidence: number): string =>
  `${confidence > 0.9995 ? `More than ${fixed(99.9, 1)}` : fixed(100 * confidence, 1)} % sure that the target lies within the limit: the gauge’s doubt and the bends between the depths are counted, the cutting is not.`;
