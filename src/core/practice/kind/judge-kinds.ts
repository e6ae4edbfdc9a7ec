import { FAMILIES } from '../../family/families';
import { geometryAt } from '../../family/family';
import type { Material } from '../../family/material';
import { GRID_CLOCKS, suggestDepths } from '../../gauge/suggest-grid';
import { type Judgement, judgeBore } from '../../judge/judge';
import type { Mark } from '../../judge/mark';
import { BORE_OUTCOMES, type BoreOutcome } from '../../judge/outcome';
import { fixed } from '../../quantity/figure';
import { STANDARD_RULES } from '../../rules/rule-set';
import type { Random } from '../../statistics/random';
import { between, oneOf } from '../draw';
import type { Exercise, Level } from '../exercise';

/** What a bore is drawn as, by what it is to be hard about. */
const DEPTHS_UM: { readonly [L in Level]: readonly number[] } = { 1: [1, 40, 400], 2: [1, 12, 30, 55, 400], 3: [3, 8, 30, 60, 75, 140] };
const AT = { rest: 'where a cup rests', way: 'in a cup’s way', clear: 'clear of every cup' } as const;

/** A drawn bore to be judged by its figures: size, piston, one mark with its depth and place, the shop’s standard limits. */
export const judgeDrawn = (random: Random, level: Level): Exercise => {
  for (;;) {
    const family = FAMILIES[oneOf(random, ['wheel-double', 'master-single'] as const)];
    const material: Material = level === 1 ? 'cast-iron' : oneOf(random, ['cast-iron', 'alloy', 'alloy-anodised'] as const);
    const geometry = family.drawing === null ? null : geometryAt(family.drawing, 22.225);
    if (geometry === null) continue;
    const seal = oneOf(
      random,
      geometry.seals.filter((s) => s.role === 'pressure'),
    );
    const where = oneOf(random, ['rest', 'way', 'clear'] as const);
    const xMm = where === 'rest' ? seal.restXMm : where === 'way' ? seal.restXMm + seal.travelMm * 0.6 : geometry.lengthMm - 1.5;
    const depthUm = oneOf(random, DEPTHS_UM[level]);
    const mark: Mark = {
      id: '1',
      kind: depthUm < 5 ? 'score' : 'pit',
      x0Mm: Number((xMm - 0.3).toFixed(1)),
      x1Mm: Number((xMm + 0.3).toFixed(1)),
      clock0Deg: 175,
      clock1Deg: 185,
      depthUm,
      depthUncertaintyUm: Math.max(0.5, depthUm * 0.05),
      ...(depthUm < 5 ? { widthUm: 40 } : {}),
      cleaned: true,
    };
    const overUm = between(random, 5, level === 3 ? 60 : 20, 5);
    const diaMm = 22.225 + overUm / 1000;
    const judged = judgeBore(
      {
        family: family.name as 'wheel-double',
        material,
        bore: { lengthMm: geometry.lengthMm, nominalMm: 22.225, wallMm: geometry.wallMm },
        pistonDiaMm: 22.18,
        seals: geometry.seals,
        marks: [mark],
        readings: suggestDepths(geometry, STANDARD_RULES).flatMap((x) => GRID_CLOCKS.map((clockDeg) => ({ xMm: x, clockDeg, diaMm }))),
      },
      STANDARD_RULES,
    );
    if (judged.outcome === 'undecided' || isClose(judged)) continue;
    const options = BORE_OUTCOMES.filter((o) => o !== 'undecided') as readonly Exclude<BoreOutcome, 'undecided'>[];
    return {
      asks: 'What is done with this bore?',
      facts: [
        `${family.label} of ${material === 'cast-iron' ? 'cast iron' : material === 'alloy' ? 'bare light alloy' : 'anodised light alloy'}, nominal ${fixed(22.225, 3)} mm, wall ${fixed(geometry.wallMm, 1)} mm; gauged ${fixed(diaMm, 3)} mm all over; piston ${fixed(22.18, 3)} mm.`,
        `A ${mark.kind} of ${depthUm} µm, cleaned and measured, ${AT[where]}.`,
        `The shop’s limit: ${fixed(judged.limitDiaMm, 3)} mm.`,
      ],
      picture: { kind: 'section', family: family.name as 'wheel-double', nominalMm: 22.225, numbered: [], without: [] },
      form: { kind: 'choose', options },
      right: options.indexOf(judged.outcome),
      hints: [
        'First where it lies: clear of the cups nothing is asked of it. Then whether a polish takes it, then whether a cut to its bottom stays under the limit.',
        judged.reasons[0] ?? '',
      ],
      because: judged.reasons,
    };
  }
};

/** A verdict that hangs by a hair is no exercise. */
const isClose = (j: Judgement): boolean => j.marginMm !== null && Math.abs(j.marginMm) < 0.003;
