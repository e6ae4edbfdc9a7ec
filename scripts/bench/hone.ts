import type { Grit, HonePass } from '@/core/hone/cutting-rate';
import { type HonePlanInput, honePlan } from '@/core/hone/hone-plan';
import { learnedRates, pooledPass } from '@/core/hone/learned-rates';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import { type Random, seeded } from '../../devices/hand/random';
import { type Line, median } from './line';

const SHOPS = 300;
const UNITS = 12;
/** Past the target by more than this is metal wasted, mm. */
const PAST_MM = 0.005;
/** What a hand on the gauge makes of the narrowest place, one sigma, mm. */
const GAUGED_MM = 0.0012;
/** What new stones cut in iron, µm per 100 turns: dearer and cheaper makes, not what the plan's table says. */
const MAKES: readonly { readonly [G in Grit]: number }[] = [
  { 180: 14, 220: 9, 320: 5.5, 400: 2.9, 600: 1.2 },
  { 180: 8, 220: 6.5, 320: 3.2, 400: 2.1, 600: 0.8 },
  { 180: 11, 220: 5, 320: 4.5, 400: 3.3, 600: 1.1 },
];

/** Cuts one bore as the plan says, a gauging a pass. @returns the passes, and how far past the target it ended, mm */
const cut = (rates: (typeof MAKES)[number], earlier: readonly HonePass[], random: Random) => {
  const startMm = 22.236;
  const input: HonePlanInput = {
    startDiaMm: startMm + random.normal(GAUGED_MM),
    targetDiaMm: startMm + random.between(0.015, 0.06),
    limitDiaMm: startMm + 0.08,
    material: 'cast-iron',
    boreLengthMm: 62,
    blindEnd: false,
    stoneLengthMm: 25,
    rpm: 450,
    finish: 'cross-hatch',
  };
  let trueMm = startMm;
  const passes: HonePass[] = [];
  for (;;) {
    const stage = honePlan({ ...input, passes }, STANDARD_RULES, earlier).stages[0];
    if (stage === undefined || passes.length > 60) return { passes, pastMm: trueMm - input.targetDiaMm };
    const strokes = stage.gaugeAfterStrokes;
    // A stone is now keen, now glazed; a hand presses now more, now less.
    const rate = rates[stage.grit] * Math.exp(random.normal(0.25));
    trueMm += (strokes * (450 / 60) * rate) / 100 / 1000;
    const beforeMm = passes.at(-1)?.afterMm ?? input.startDiaMm;
    passes.push({ grit: stage.grit, strokes, strokesPerMin: 60, rpm: 450, beforeMm, afterMm: trueMm + random.normal(GAUGED_MM) });
  }
};

/** How often a shop gauges a bore once it knows its stones, and how far it cuts past the target. */
export function honeLines(): readonly Line[] {
  const random = seeded(315);
  const gaugings: number[][] = Array.from({ length: UNITS }, () => []);
  const past: number[] = [];
  for (let shop = 0; shop < SHOPS; shop++) {
    const make = random.pick(MAKES);
    let earlier: readonly HonePass[] = [];
    for (let unit = 0; unit < UNITS; unit++) {
      const { passes, pastMm } = cut(
        make,
        learnedRates(earlier.map((p) => ({ ...p, material: 'cast-iron' as const }))).map(pooledPass),
        random,
      );
      gaugings[unit]?.push(passes.length);
      past.push(pastMm);
      earlier = [...earlier, ...passes];
    }
  }
  const [first, last] = [median(gaugings[0] ?? []), median(gaugings.at(-1) ?? [])];
  const tooFar = (100 * past.filter((mm) => mm > PAST_MM).length) / past.length;
  return [
    {
      what: 'hone: gaugings a bore by the 12th of a kind',
      ours: String(last),
      peer: `${first} at the first`,
      bar: 'median ≤ 6',
      holds: last <= 6,
    },
    {
      what: 'hone: more than 5 µm past the target',
      ours: `${tooFar.toFixed(2)} %`,
      peer: `${past.length} bores`,
      bar: '< 1 %',
      holds: tooFar < 1,
    },
  ];
}
