import type { Rules } from '../rules/rule-set';
import { type JudgeInput, type Judgement, judgeBore } from './judge';
import type { Mark } from './mark';
import type { BoreOutcome } from './outcome';

/** The least change of one thing that would give another outcome, and which. */
export type Flip =
  | { readonly what: 'depth'; readonly markId: string; readonly byUm: number; readonly toUm: number; readonly outcome: BoreOutcome }
  | { readonly what: 'place'; readonly markId: string; readonly byMm: number; readonly outcome: BoreOutcome }
  | { readonly what: 'limit'; readonly byMm: number; readonly toMm: number; readonly outcome: BoreOutcome };

/** Searched as far as this; what takes more is no near miss. */
const [MOST_DEPTH_UM, MOST_LIMIT_MM] = [300, 0.5];
const [DEPTH_STEP_UM, LIMIT_STEP_MM, PLACE_STEP_MM] = [0.1, 0.001, 0.1];

/**
 * What would change a judgement: the depth and the place of one mark, and the limit, each by the least that flips the outcome, in steps that can be measured
 * (0.1 µm, 0.1 mm, 0.001 mm). Depth and limit are halved down to, because a deeper mark never betters a verdict and a wider limit never worsens it;
 * of places those are tried where the mark comes to a lane or a resting band, or leaves it.
 * @param answer the judgement of this very input; its gauge is used again
 * @param mark the mark to try; the limit alone without one
 */
export function whatWouldChange(input: JudgeInput, rules: Rules, answer: Judgement, mark: Mark | undefined): readonly Flip[] {
  const ask = (change: Partial<JudgeInput>, under: Rules = rules): BoreOutcome =>
    judgeBore({ ...input, ...change }, under, answer.gauge).outcome;
  const flips: Flip[] = [];
  if (mark !== undefined) {
    const moved = (news: Partial<Mark>): BoreOutcome =>
      ask({ marks: (input.marks ?? []).map((m) => (m.id === mark.id ? { ...m, ...news } : m)) });
    const { depthUm } = mark;
    if (depthUm != null) {
      const at = (byUm: number): BoreOutcome => moved({ depthUm: depthUm + byUm });
      const byUm = leastStep(at, answer.outcome, DEPTH_STEP_UM, [-depthUm, MOST_DEPTH_UM]);
      if (byUm !== undefined) flips.push({ what: 'depth', markId: mark.id, byUm, toUm: depthUm + byUm, outcome: at(byUm) });
    }
    const place = placesToTry(mark, answer, input.bore.lengthMm).find((byMm) => moved(shifted(mark, byMm)) !== answer.outcome);
    if (place !== undefined) flips.push({ what: 'place', markId: mark.id, byMm: place, outcome: moved(shifted(mark, place)) });
  }
  const { clearanceMaxMm, oversizeMaxMm } = answer.rulesUsed;
  const { makersLimit } = input;
  const limit = (byMm: number): BoreOutcome =>
    makersLimit != null
      ? ask({ makersLimit: { ...makersLimit, maxDiaMm: makersLimit.maxDiaMm + byMm } })
      : ask({}, { ...rules, clearanceMaxMm: (clearanceMaxMm ?? 0) + byMm, oversizeMaxMm: (oversizeMaxMm ?? 0) + byMm });
  const byMm = leastStep(limit, answer.outcome, LIMIT_STEP_MM, [-MOST_LIMIT_MM, MOST_LIMIT_MM]);
  if (byMm !== undefined) flips.push({ what: 'limit', byMm, toMm: answer.limitDiaMm + byMm, outcome: limit(byMm) });
  return flips;
}

const shifted = (mark: Mark, byMm: number): Partial<Mark> => ({ x0Mm: mark.x0Mm + byMm, x1Mm: mark.x1Mm + byMm });

/** The smaller of the least steps up and down at which the outcome is another; undefined when neither end of the range gives one. */
const leastStep = (
  at: (by: number) => BoreOutcome,
  now: BoreOutcome,
  step: number,
  [low, high]: readonly [number, number],
): number | undefined => {
  const toward = (end: number): number | undefined => {
    let [same, other] = [0, Math.floor(Math.abs(end) / step + 1e-9)];
    const by = (n: number): number => Math.sign(end) * n * step;
    if (other === 0 || at(by(other)) === now) return undefined;
    while (other - same > 1) {
      const middle = Math.floor((same + other) / 2);
      if (at(by(middle)) === now) same = middle;
      else other = middle;
    }
    return by(other);
  };
  return [toward(low), toward(high)].filter((by) => by !== undefined).sort((a, b) => Math.abs(a) - Math.abs(b))[0];
};

/** Shifts that bring a mark just clear of, or just into, a lane or a resting band, and leave it in the bore; the smallest first. */
const placesToTry = (mark: Mark, { lanes }: Judgement, lengthMm: number): readonly number[] => {
  const out = (by: number): number => Math.sign(by) * (Math.floor(Math.abs(by) / PLACE_STEP_MM + 1e-9) + 1) * PLACE_STEP_MM;
  return lanes
    .flatMap((l) => [l.x0Mm, l.x1Mm, l.parked0Mm, l.parked1Mm])
    .flatMap((edge) => [edge - mark.x0Mm, edge - mark.x1Mm].map(out))
    .filter((by) => by !== 0 && mark.x0Mm + by >= 0 && mark.x1Mm + by <= lengthMm)
    .sort((a, b) => Math.abs(a) - Math.abs(b));
};
