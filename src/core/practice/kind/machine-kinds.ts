import { bleedPlan } from '../../bleed/bleed-plan';
import { SHAPE_NAMES, SHAPES } from '../../bleed/shapes';
import type { System } from '../../bleed/system';
import { questionOf } from '../../bleed/system-question';
import { FLARES, type Flare, flareFits, flaresFor } from '../../line/flare';
import { fixed } from '../../quantity/figure';
import { SEAT_NAMES, SEATS } from '../../quantity/thread';
import { STANDARD_RULES } from '../../rules/rule-set';
import type { Random } from '../../statistics/random';
import { between, oneOf, shuffled } from '../draw';
import type { Exercise, Level } from '../exercise';

const planOf = (s: System) => bleedPlan({ ...questionOf(s), rules: null }, STANDARD_RULES);

/** In which order the ends are bled; at level 3 after how many strokes the reservoir is topped up. */
export const bleedOrder = (random: Random, level: Level): Exercise => {
  const names = SHAPE_NAMES.filter((n) => SHAPES[n]().ends.length >= (level === 1 ? 2 : 3));
  const shape = SHAPES[oneOf(random, names)]();
  const system: System = {
    ...shape,
    lines: shape.lines.map((l) => ({ ...l, lengthMm: l.lengthMm + 10 * random.below(40) })),
    master: { ...shape.master, reservoirMl: between(random, 160, 300, 10), reservoirMinMl: between(random, 60, 110, 10) },
  };
  const plan = planOf(system);
  const paths = plan.order.map((s) => s.pathMm);
  if (new Set(paths).size < paths.length) return bleedOrder(random, level);
  if (level === 3)
    return {
      asks: 'After how many strokes is the reservoir topped up, at the latest?',
      facts: [
        `The master moves ${fixed(plan.mlPerStroke, 1)} ml a stroke. The reservoir holds ${system.master.reservoirMl} ml, of which ${system.master.reservoirMinMl} must stay; one stroke is kept back.`,
      ],
      picture: { kind: 'system', system },
      form: { kind: 'number', unit: 'strokes', within: 0.4, decimals: 0 },
      right: plan.topUpEvery ?? 0,
      hints: [`${system.master.reservoirMl - system.master.reservoirMinMl} ml may be drawn.`],
      because: [
        `${system.master.reservoirMl - system.master.reservoirMinMl} ml over ${fixed(plan.mlPerStroke, 2)} ml a stroke are ${fixed((system.master.reservoirMl - system.master.reservoirMinMl) / plan.mlPerStroke, 2)} strokes, whole ones only, less the one that is kept back: ${plan.topUpEvery}.`,
      ],
    };
  const items = shuffled(
    random,
    system.ends.map((e) => e.id),
  );
  return {
    asks: 'In which order, the longest line first?',
    facts: [],
    picture: { kind: 'system', system },
    form: { kind: 'order', items },
    right: plan.order.map((s) => items.indexOf(s.endId)),
    hints: ['Add up every line from the master to the end, those that it shares too.', `The longest way is ${paths[0]} mm.`],
    because: [plan.order.map((s) => `${s.endId} ${s.pathMm} mm`).join(', ')],
  };
};

/** Which flare seals on this seat. */
export const whichFlare = (random: Random, level: Level): Exercise => {
  const seat = oneOf(random, SEAT_NAMES);
  const fits = flaresFor(seat);
  const offered: readonly Flare[] =
    level === 1
      ? ['double', 'bubble', 'none']
      : level === 2
        ? ['double', 'bubble', 'universal', 'none']
        : shuffled(random, ['double', 'bubble', 'universal', 'none'] as const);
  return {
    asks: 'Which of these seal in this port?',
    facts: [],
    picture: { kind: 'seat', seat },
    form: { kind: 'pick', items: offered.map((f) => FLARES[f].label) },
    right: offered.flatMap((f, i) => (flareFits(f, seat) ? [i] : [])),
    hints: [`What is seen: ${SEATS[seat].see}.`],
    because: [`There is ${SEATS[seat].see}: ${fits.map((f) => FLARES[f].label).join(' or ')}.`],
  };
};
