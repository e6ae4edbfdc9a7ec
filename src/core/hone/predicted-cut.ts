import { type Lane, movingLanes, touches } from '../family/lane';
import type { FieldProfile, Stroke } from './simulate';
import { roughCut, type SimulationInput } from './simulation';

/** How stones are moved through a bore, and how much of the cut is done in short strokes at its deep end. */
export type CutWay = Pick<SimulationInput, 'stroke' | 'shortShare'>;

/** The widest that a cut leaves the bore where seals move, mm, and where. */
export type Widest = { readonly widestMm: number; readonly atMm: number };

export const HELP_NAMES = ['short-strokes', 'more-relief', 'shorter-stone', 'less-overrun'] as const;
export type HelpName = (typeof HELP_NAMES)[number];
/** Another way to move the stones, and what it leaves. */
export type Help = Widest & { readonly name: HelpName; readonly way: CutWay };

export type Prediction = { readonly planned: Widest; readonly helps: readonly Help[] };

export type PredictionInput = Omit<SimulationInput, 'shortShare'> & { readonly lanes: readonly Lane[]; readonly blindEnd: boolean };

/** A stone shorter than this is not sold, mm. */
const SHORTEST_STONE_MM = 8;
/** What does not take this much off the widest place is no help, mm. */
const LEAST_HELP_MM = 0.001;

/** A cut before it is made: how wide it leaves the lanes, and what would leave them less wide, the best first. @source design, chapter 3, simulation */
export function predictCut(input: PredictionInput): Prediction {
  const planned = widestIn(roughCut({ ...input, shortShare: 0 }), input.lanes);
  const tried = HELP_NAMES.flatMap((name) => {
    const all = waysOf(name, input).map((way) => ({ name, way, ...widestIn(roughCut({ ...input, ...way }), input.lanes) }));
    return all.sort(narrower).slice(0, 1);
  });
  return { planned, helps: tried.filter((h) => h.widestMm < planned.widestMm - LEAST_HELP_MM).sort(narrower) };
}

const narrower = (a: Widest, b: Widest): number => a.widestMm - b.widestMm;

const widestIn = ({ xMm, highMm }: FieldProfile, lanes: readonly Lane[]): Widest => {
  const moving = movingLanes(lanes);
  let widest: Widest = { widestMm: -Infinity, atMm: 0 };
  for (const [i, x] of xMm.entries()) {
    if (moving.length > 0 && !moving.some((l) => touches(x, x, l.x0Mm, l.x1Mm))) continue;
    if ((highMm[i] as number) > widest.widestMm) widest = { widestMm: highMm[i] as number, atMm: x };
  }
  return widest;
};

const waysOf = (name: HelpName, { stroke, blindEnd }: PredictionInput): readonly CutWay[] => {
  const { stoneLengthMm, overrunMm, strokeMm } = stroke;
  switch (name) {
    case 'short-strokes':
      return blindEnd ? [0.15, 0.3, 0.45].map((shortShare) => ({ stroke, shortShare })) : [];
    case 'more-relief':
      return blindEnd ? [1, 2].map((mm) => ({ stroke: { ...stroke, strokeMm: strokeMm - mm }, shortShare: 0 })) : [];
    case 'shorter-stone':
      return [0.8, 0.6, 0.45].flatMap((share) => {
        const shorter = Math.round(2 * stoneLengthMm * share) / 2;
        return shorter < SHORTEST_STONE_MM ? [] : [{ stroke: withStone(stroke, shorter, blindEnd), shortShare: 0 }];
      });
    case 'less-overrun':
      return [0.7, 0.4].map((share) => {
        const less = overrunMm * (1 - share) * (blindEnd ? 1 : 2);
        return { stroke: { ...stroke, overrunMm: overrunMm * share, strokeMm: strokeMm - less }, shortShare: 0 };
      });
  }
};

/** The same bore with another stone, a third of it out of each open end. */
const withStone = ({ stoneLengthMm, overrunMm, strokeMm }: Stroke, shorter: number, blindEnd: boolean): Stroke => {
  const out = shorter / 3;
  return { stoneLengthMm: shorter, overrunMm: out, strokeMm: strokeMm + stoneLengthMm - shorter - (overrunMm - out) * (blindEnd ? 1 : 2) };
};
