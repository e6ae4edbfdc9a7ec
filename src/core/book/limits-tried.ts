import { type JudgeInput, judgeBore } from '../judge/judge';
import { BORE_OUTCOMES, type BoreOutcome } from '../judge/outcome';
import { RULES, type RuleName, type Rules } from '../rules/rule-set';
import { type Schools, withSchool } from '../rules/schools';

/** A bore as it was judged when its unit was released, and what came of it. `held`: it was out for the whole time asked for. */
export type JudgedLife = {
  readonly tagNo: number;
  readonly input: JudgeInput;
  readonly came: 'held' | 'came-back';
};

/** Limits of a judgement that a shop may set by its own evidence. */
export const TRIED_RULES = [
  'oversizeMaxMm',
  'clearanceMaxMm',
  'ovalityLimitMm',
  'taperLimitMm',
  'toleratedParkedUm',
  'toleratedSweptUm',
  'toleratedStaticUm',
] as const satisfies readonly RuleName[];
export type TriedRule = (typeof TRIED_RULES)[number];
/** How much less or more each is tried at. */
export const TRIED_BY = [0.5, 0.75, 1.25, 1.5] as const;

/** What a limit would have done: of those that came back, how many it would have asked more of, and of those that held as many. */
export type LimitTried = {
  readonly rule: TriedRule;
  readonly value: number;
  readonly caught: readonly number[];
  readonly refused: readonly number[];
  /** Of those that held, how many it would have asked less of. */
  readonly spared: readonly number[];
};

/** Outcomes by what they ask, the least first; what is not decided asks for more gauging. */
const ASKS = new Map(BORE_OUTCOMES.map((o, i) => [o, i] as const));
const asksMore = (now: BoreOutcome, was: BoreOutcome): boolean => (ASKS.get(now) ?? 0) > (ASKS.get(was) ?? 0);

/** A limit as it stands; where the rule is not set, the middle of its table, as a place to start from. */
const STARTS: { readonly [R in TriedRule]: number } = {
  oversizeMaxMm: 0.1,
  clearanceMaxMm: 0.13,
  ovalityLimitMm: 0.02,
  taperLimitMm: 0.025,
  toleratedParkedUm: 2,
  toleratedSweptUm: 5,
  toleratedStaticUm: 20,
};
export const valueNow = (rules: Rules, rule: TriedRule): number => rules[rule] ?? STARTS[rule];

/**
 * Each limit tried at other values: every saved judgement is made again from its own input, by the rules in force with that one limit otherwise.
 * A maker’s limit stands as it was.
 */
export const limitsTried = (lives: readonly JudgedLife[], rules: Rules, schools: Schools): readonly LimitTried[] => {
  const judged = (life: JudgedLife, by: Rules): BoreOutcome => judgeBore(withSchool(life.input, schools), by).outcome;
  const now = lives.map((life) => judged(life, rules));
  return TRIED_RULES.flatMap((rule) =>
    TRIED_BY.map((by): LimitTried => {
      const { min, max } = RULES[rule];
      const value = Number(Math.min(max, Math.max(min, valueNow(rules, rule) * by)).toPrecision(3));
      const under = lives.map((life) => judged(life, { ...rules, [rule]: value }));
      const tags = (came: JudgedLife['came'], is: (to: BoreOutcome, from: BoreOutcome) => boolean): readonly number[] =>
        lives.flatMap((life, i) => (life.came === came && is(under[i] as BoreOutcome, now[i] as BoreOutcome) ? [life.tagNo] : []));
      return {
        rule,
        value,
        caught: tags('came-back', asksMore),
        refused: tags('held', asksMore),
        spared: tags('held', (to, from) => asksMore(from, to)),
      };
    }),
  );
};
