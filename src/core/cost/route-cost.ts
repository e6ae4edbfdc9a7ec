import type { Rules } from '../rules/rule-set';
import { betaQuantile } from '../statistics/beta';
import { atMost, NOISE } from '../statistics/compare';
import type { RouteCostRequest } from './route-cost-schema';

const COST_RULES = ['labourPerHour', 'partsMarkupPct', 'proofPriorGood', 'proofPriorBad', 'keepPriorGood', 'keepPriorBad'] as const;
type CostRules = Pick<Rules, (typeof COST_RULES)[number]>;

/** What one way comes to. Money in the shop's own, unrounded; chances with their 5 % and 95 % quantiles. */
export type CostedOption = {
  readonly id: string;
  readonly direct: number;
  readonly labour: number;
  readonly lateCost: number;
  readonly proofChance: number;
  readonly proofLow: number;
  readonly proofHigh: number;
  readonly keepChance: number;
  readonly keepLow: number;
  readonly keepHigh: number;
  /** What its failing and its coming back cost, by their chances. */
  readonly risk: number;
  readonly total: number;
  readonly allowed: boolean;
  /** Null for the best, and for what is not allowed or does not restore. */
  readonly dearerBy: number | null;
  /** The chance of keeping of the best at which this one would be as good; null likewise, and where no chance does it. */
  readonly keepChanceToEqual: number | null;
};
export type RouteCost = { readonly options: readonly CostedOption[]; readonly best: string | null; readonly rulesUsed: CostRules };

type Asked = RouteCostRequest['options'][number];
type Weighed = Omit<CostedOption, 'dearerBy' | 'keepChanceToEqual'> & {
  readonly returnCost: number;
  readonly days: number;
  readonly counts: boolean;
};

/**
 * Repair, sleeve, exchange, new, or give back, chapter 13: what each way costs with its chances of failing and coming back, and which is least.
 * @source Beta-binomial estimates of the chances
 */
export const routeCost = (request: RouteCostRequest, rules: CostRules): RouteCost => {
  const weighed = request.options.map((o) => weigh(o, request, rules));
  const best = weighed.reduce<Weighed | undefined>((b, o) => (o.counts && (b === undefined || isLess(o, b)) ? o : b), undefined);
  return {
    options: weighed.map(({ returnCost: _, days: __, counts, ...o }) => {
      const dearerBy = best === undefined || !counts || o.id === best.id ? null : o.total - best.total;
      return { ...o, dearerBy, keepChanceToEqual: best === undefined || dearerBy === null ? null : chanceToEqual(best, dearerBy) };
    }),
    best: best?.id ?? null,
    rulesUsed: Object.fromEntries(COST_RULES.map((name) => [name, rules[name]])) as CostRules,
  };
};

const weigh = (o: Asked, request: RouteCostRequest, rules: CostRules): Weighed => {
  const labour = (o.minutes / 60) * rules.labourPerHour;
  const direct = o.parts * (1 + rules.partsMarkupPct / 100) + (o.outside ?? 0) + labour;
  const { neededInDays } = request;
  const lateCost = neededInDays == null ? 0 : (request.latePerDay ?? 0) * Math.max(0, o.days - neededInDays);
  const proof = chanceOf(o.proved, rules.proofPriorGood, rules.proofPriorBad);
  const keep = chanceOf(o.kept, rules.keepPriorGood, rules.keepPriorBad);
  const returnCost = o.returnCost ?? request.returnCost ?? 0;
  const restores = o.restores ?? true;
  const risk = restores ? (1 - proof.chance) * (o.failCost ?? labour) + proof.chance * (1 - keep.chance) * returnCost : 0;
  const allowed = request.hard !== true || neededInDays == null || atMost(o.days, neededInDays);
  return {
    id: o.id,
    direct,
    labour,
    lateCost,
    proofChance: proof.chance,
    proofLow: proof.low,
    proofHigh: proof.high,
    keepChance: keep.chance,
    keepLow: keep.low,
    keepHigh: keep.high,
    risk,
    total: direct + lateCost + risk,
    allowed,
    returnCost,
    days: o.days,
    counts: allowed && restores,
  };
};

const chanceOf = (seen: Asked['proved'], priorGood: number, priorBad: number) => {
  const [good, bad] = [(seen?.good ?? 0) + priorGood, (seen?.bad ?? 0) + priorBad];
  return { chance: good / (good + bad), low: betaQuantile(0.05, good, bad), high: betaQuantile(0.95, good, bad) };
};

/** Of two that cost the same the sooner; of those the first. */
const isLess = (a: Weighed, b: Weighed): boolean => (Math.abs(a.total - b.total) > NOISE ? a.total < b.total : a.days < b.days - NOISE);

const chanceToEqual = (best: Weighed, dearerBy: number): number | null => {
  const worth = best.proofChance * best.returnCost;
  const chance = best.keepChance - dearerBy / worth;
  return worth === 0 || chance < 0 ? null : chance;
};
