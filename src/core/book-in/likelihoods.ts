import { z } from 'zod';
import { CAUSE_NAMES, type CauseName } from './cause';
import { COMPLAINT_NAMES, type Complaint } from './complaint';

const Chance = z.number().min(0.001, 'a chance lies between 0.001 and 0.999').max(0.999, 'a chance lies between 0.001 and 0.999');
const ByComplaint = z.strictObject(Object.fromEntries(COMPLAINT_NAMES.map((c) => [c, Chance]))) as unknown as z.ZodType<{
  readonly [C in Complaint]: number;
}>;

/**
 * How often each cause is behind a unit (`prior`, relative), and how often a customer with it names each complaint (`given`).
 * The shop edits both; finished units move them on.
 */
export const LikelihoodsDoor = z.strictObject(
  Object.fromEntries(CAUSE_NAMES.map((c) => [c, z.strictObject({ prior: Chance, given: ByComplaint })])),
) as unknown as z.ZodType<Likelihoods, Likelihoods>;
export type Likelihoods = {
  readonly [C in CauseName]: { readonly prior: number; readonly given: { readonly [S in Complaint]: number } };
};

const OFTEN = 0.7;
const SOMETIMES = 0.3;
const SELDOM = 0.1;
/** A complaint that nobody would expect with a cause: people describe things oddly. */
const HARDLY = 0.02;

const row = (prior: number, often: readonly Complaint[], sometimes: readonly Complaint[] = [], seldom: readonly Complaint[] = []) => ({
  prior,
  given: Object.fromEntries(
    COMPLAINT_NAMES.map((c) => [c, often.includes(c) ? OFTEN : sometimes.includes(c) ? SOMETIMES : seldom.includes(c) ? SELDOM : HARDLY]),
  ) as { readonly [S in Complaint]: number },
});

/** As the shop starts with them: rough, from bench practice; stated so that they can be argued with. */
export const STANDARD_LIKELIHOODS: Likelihoods = {
  'worn-primary': row(0.12, ['sinks-slowly'], ['to-the-floor', 'falls-no-leak'], ['spongy', 'black-fluid']),
  'bore-marked': row(0.12, ['sinks-slowly'], ['wet-boot', 'to-the-floor'], ['falls-no-leak', 'releases-itself']),
  'secondary-leaks': row(0.07, ['wet-boot'], ['falls-no-leak'], ['spongy']),
  'cup-leaks': row(0.1, ['wet-boot'], ['falls-no-leak', 'pulls', 'sinks-slowly'], ['spongy', 'releases-itself']),
  'square-seal-worn': row(0.06, ['wet-boot'], ['pulls', 'falls-no-leak'], ['spongy']),
  'floating-leaks': row(0.05, ['sinks-slowly'], ['to-the-floor', 'pulls']),
  'end-seal-leaks': row(0.06, ['sinks-slowly', 'releases-itself'], ['to-the-floor'], ['spongy']),
  'port-blocked': row(0.05, ['drags'], ['does-not-return', 'hard'], ['black-fluid']),
  'rubber-swollen': row(0.04, ['drags', 'does-not-return'], ['hard', 'black-fluid'], ['sinks-slowly', 'seized']),
  'rubber-perished': row(0.06, ['black-fluid'], ['sinks-slowly'], ['wet-boot', 'spongy']),
  'piston-seized': row(0.08, ['seized', 'does-not-return'], ['drags', 'pulls', 'hard']),
  'spring-weak': row(0.03, ['does-not-return'], ['drags'], ['spongy']),
  'cup-backwards': row(0.02, ['to-the-floor'], ['falls-no-leak', 'wet-boot'], ['spongy', 'sinks-slowly']),
  'rear-seal-into-booster': row(0.03, ['falls-no-leak'], ['hard', 'sinks-slowly']),
  air: row(0.12, ['spongy'], ['to-the-floor'], ['sinks-slowly', 'releases-itself']),
  'vacuum-valve': row(0.05, ['hard']),
  'no-gap': row(0.05, ['drags'], ['does-not-return']),
  'residual-missing': row(0.02, ['spongy', 'to-the-floor']),
  'linkage-worn': row(0.04, ['to-the-floor'], ['releases-itself', 'spongy']),
  'hose-collapsed': row(0.05, ['drags', 'does-not-return'], ['pulls', 'hard']),
  adjustment: row(0.06, ['pulls'], ['to-the-floor', 'spongy'], ['drags']),
  'line-leaks': row(0.05, ['falls-no-leak'], ['to-the-floor', 'spongy']),
  'fluid-boils': row(0.03, ['spongy'], ['to-the-floor', 'releases-itself'], ['black-fluid']),
};

/** Units that have left with a confirmed cause, counted: all of them, those of each cause, and with which of its complaints. */
export type FinishedCounts = {
  readonly units: number;
  readonly behind: { readonly [C in CauseName]?: number };
  /** By cause and complaint, a space between. */
  readonly heard: Readonly<Record<string, number>>;
};
/** @param counts by what is counted: nothing for the units, a cause, or a cause and a complaint; names that are no longer known are passed over */
export const finishedCounts = (counts: ReadonlyMap<string, number>): FinishedCounts => ({
  units: counts.get('') ?? 0,
  behind: Object.fromEntries(CAUSE_NAMES.map((c) => [c, counts.get(c) ?? 0])),
  heard: Object.fromEntries(CAUSE_NAMES.flatMap((c) => COMPLAINT_NAMES.map((s) => [`${c} ${s}`, counts.get(`${c} ${s}`) ?? 0]))),
});

/** How many finished units the stated numbers weigh as much as. */
export const STATED_WEIGHT = 20;

/**
 * The stated numbers moved by what finished units turned out to be: each is the mean of the stated value, weighing as `STATED_WEIGHT` units, and the shop's own count.
 * @source mean of a beta distribution with that many pseudo-counts
 */
export const learned = (stated: Likelihoods, { units, behind, heard }: FinishedCounts): Likelihoods => {
  const mean = (statedValue: number, yes: number, of: number): number => (STATED_WEIGHT * statedValue + yes) / (STATED_WEIGHT + of);
  return Object.fromEntries(
    CAUSE_NAMES.map((name) => {
      const mine = behind[name] ?? 0;
      const given = Object.fromEntries(COMPLAINT_NAMES.map((s) => [s, mean(stated[name].given[s], heard[`${name} ${s}`] ?? 0, mine)]));
      return [name, { prior: mean(stated[name].prior, mine, units), given }];
    }),
  ) as unknown as Likelihoods;
};
