import { gaugeBore } from '../../gauge/gauge';
import { SHAPE_WORDS, type Shape } from '../../gauge/shape';
import { cuttingRate, GRITS } from '../../hone/cutting-rate';
import { fixed } from '../../quantity/figure';
import { STANDARD_RULES } from '../../rules/rule-set';
import type { Random } from '../../statistics/random';
import { between, oneOf } from '../draw';
import type { Exercise, Level } from '../exercise';

const CLOCKS = [0, 60, 120] as const;
const DEPTHS_MM = [8, 18, 28, 38, 48] as const;
type Hidden = Exclude<Shape, 'unknown' | 'irregular'>;
const SHAPES: readonly Hidden[] = ['cylindrical', 'barrel', 'waist', 'bell-mouth', 'taper'];

/** Means along a bore of a shape, from its mouth, mm over the least. */
const along = (shape: Hidden, byMm: number, toOpen: boolean): readonly number[] => {
  switch (shape) {
    case 'cylindrical':
      return [0, 0, 0, 0, 0];
    case 'barrel':
      return [0, byMm * 0.7, byMm, byMm * 0.7, 0];
    case 'waist':
      return [byMm, byMm * 0.3, 0, byMm * 0.3, byMm];
    case 'bell-mouth':
      return [byMm, 0, 0, 0, 0];
    case 'taper': {
      const rising = [0, 0.25, 0.5, 0.75, 1].map((s) => s * byMm);
      return toOpen ? [...rising].reverse() : rising;
    }
  }
};

/** A hidden bore, gauged with so many readings: which shape is it? */
export const hiddenBore = (random: Random, level: Level): Exercise => {
  const shape = oneOf(random, SHAPES);
  const byMm = between(random, level === 3 ? 0.025 : 0.035, 0.07, 0.001);
  const nominalMm = oneOf(random, [19.05, 22.225, 25.4]);
  const ovalMm = level === 1 ? 0 : 0.004 * random.next();
  const means = along(shape, byMm, random.below(2) === 0);
  const diasMm = means.map((mean) =>
    CLOCKS.map((clock) =>
      Number((nominalMm + 0.01 + mean + (ovalMm / 2) * Math.cos((2 * clock * Math.PI) / 180) + 0.0008 * random.normal()).toFixed(3)),
    ),
  );
  const readings = DEPTHS_MM.flatMap((xMm, d) => CLOCKS.map((clockDeg, c) => ({ xMm, clockDeg, diaMm: diasMm[d]?.[c] ?? nominalMm })));
  const form = gaugeBore({ readings, material: 'cast-iron' }, STANDARD_RULES);
  // What the grader cannot name plainly is no exercise.
  if (form.shape === 'unknown' || form.shape === 'irregular') return hiddenBore(random, level);
  const budget = level === 1 ? 10 : level === 2 ? 8 : 6;
  return {
    asks: 'What shape is this bore, from the mouth inward?',
    facts: [`Nominal ${fixed(nominalMm, 3)} mm. You have ${budget} readings: choose where.`],
    picture: { kind: 'hidden', depthsMm: DEPTHS_MM, clocksDeg: CLOCKS, diasMm, budget },
    form: { kind: 'choose', options: SHAPES.map((s) => SHAPE_WORDS[s]) },
    right: SHAPES.indexOf(form.shape as Hidden),
    hints: ['First the whole length at one clock, then the middle once more at another.'],
    because: [`From the mouth: ${form.stations.map((s) => fixed(s.meanMm, 3)).join(', ')} mm in the mean: ${SHAPE_WORDS[form.shape]}.`],
  };
};

/** Strokes of a grit for what has to come off; from level 2 with a pass that was logged already. */
export const planCut = (random: Random, level: Level): Exercise => {
  const grit = oneOf(random, level === 1 ? ([220, 320] as const) : GRITS);
  const material = oneOf(random, ['cast-iron', 'alloy'] as const);
  const [rpm, strokesPerMin] = [oneOf(random, [300, 400, 500]), oneOf(random, [50, 60, 75])];
  const turnsPerStroke = rpm / strokesPerMin;
  const takeUm = between(random, 6, 30, 1);
  const beforeMm = 22.24;
  const pass =
    level === 1
      ? null
      : {
          grit,
          strokes: between(random, 40, 90, 5),
          strokesPerMin,
          rpm,
          beforeMm,
          afterMm: Number((beforeMm + between(random, 4, 20, 1) / 1000).toFixed(3)),
        };
  const rate = cuttingRate(grit, material, pass === null ? [] : [pass], STANDARD_RULES.rateWeightTurns);
  const turns = (takeUm / rate.umPer100Turns) * 100;
  const strokes = turns / turnsPerStroke;
  const table = cuttingRate(grit, material, [], STANDARD_RULES.rateWeightTurns).umPer100Turns;
  return {
    asks: `How many strokes of ${grit} stones take off ${takeUm} µm?`,
    facts: [
      `${material === 'alloy' ? 'Bare light alloy' : 'Cast iron'}, ${rpm} turns and ${strokesPerMin} strokes a minute. By the table ${grit} takes ${fixed(table, 1)} µm in 100 turns.`,
      ...(pass === null
        ? []
        : [
            `${pass.strokes} strokes took the bore from ${fixed(pass.beforeMm, 3)} to ${fixed(pass.afterMm, 3)} mm; the table counts as ${STANDARD_RULES.rateWeightTurns} turns beside them.`,
          ]),
    ],
    picture: null,
    form: { kind: 'number', unit: 'strokes', within: Math.max(1, strokes * 0.04), decimals: 0 },
    right: Number(strokes.toFixed(4)),
    hints: [`A stroke is ${fixed(turnsPerStroke, 2)} turns.`, `It takes off ${fixed(rate.umPer100Turns, 2)} µm in 100 turns.`],
    because: [
      ...(pass === null
        ? []
        : [
            `What was cut and the table together: ${fixed(rate.umPer100Turns, 2)} µm in 100 turns (${fixed((pass.afterMm - pass.beforeMm) * 1000, 0)} µm in ${fixed(pass.strokes * turnsPerStroke, 0)} turns, and the table’s weight).`,
          ]),
      `${takeUm} µm are ${fixed(turns, 0)} turns, at ${fixed(turnsPerStroke, 2)} turns a stroke ${fixed(strokes, 0)} strokes. Gauge before the last fifth of them.`,
    ],
  };
};
