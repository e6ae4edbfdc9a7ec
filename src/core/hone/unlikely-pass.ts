import type { Material } from '../family/material';
import { diaAt20 } from '../gauge/reading';
import { fixed } from '../quantity/figure';
import { cuttingRate, type HonePass, removedUm, turnsOf } from './cutting-rate';
import type { Tool } from './drive';

/** A gauge of this trade reads the same bore again within this, µm. */
const REPEATS_UM = 5;
/** The hardest pressed stones on the softest body cut no more than this many times the table's rate. */
const MOST_TIMES = 6;
/** How much warmer a body may be than was said, K: cutting warms it, and nobody has to measure that. */
const WARM_K = 40;
/** Beads and paper take the gloss off and little else, µm. */
const WITHOUT_STONES_UM = 20;

/** Why a pass cannot have left what was read after it; undefined where it can. Diameters in mm at one temperature. @source design, chapter 3, table of rates */
export const whyUnlikelyPass = (pass: HonePass & { readonly tool: Tool }, material: Material): string | undefined => {
  const um = removedUm(pass);
  // The reading before it may have been of a warm body as well as the one after.
  const warmUm = (pass.afterMm - diaAt20(pass.afterMm, material, { bodyTempC: 20 + WARM_K })) * 1000;
  if (um < -REPEATS_UM - warmUm)
    return `It reads ${fixed(-um, 0)} µm smaller than before the pass, and nothing makes a bore smaller: gauge it again, at the temperature it has.`;
  const table = cuttingRate(pass.grit, material, [], 1).umPer100Turns;
  const mostUm =
    REPEATS_UM +
    warmUm +
    (pass.tool === 'stone' ? (MOST_TIMES * table * turnsOf(pass)) / 100 : WITHOUT_STONES_UM + (table * turnsOf(pass)) / 100);
  return um > mostUm
    ? `${fixed(um, 0)} µm in ${pass.strokes} strokes is more than ${pass.tool === 'stone' ? 'stones of this grit' : 'this'} can take off (${fixed(mostUm, 0)} µm): gauge it again, or say how many strokes it was.`
    : undefined;
};
