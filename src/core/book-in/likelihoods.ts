import { z } from 'zod';
import { CAUSE_NAMES, CAUSES, type CauseName } from './cause';
import { COMPLAINT_NAMES, type Complaint } from './complaint';
import { type Does, type Effect, HEARD_BY } from './effect';

const Chance = z.number().min(0.001, 'a chance lies between 0.001 and 0.999').max(0.999, 'a chance lies between 0.001 and 0.999');
const ByComplaint = z.strictObject(Object.fromEntries(COMPLAINT_NAMES.map((c) => [c, Chance]))) as unknown as z.ZodType<{
  readonly [C in Complaint]: number;
}>;

/**
 * How often each cause is behind a unit (`prior`, relative), and how often a customer with it names each complaint (`given`).
 * The shop edits both; finished units move them on.
 */
export const LikelihoodsSchema = z.strictObject(
  Object.fromEntries(CAUSE_NAMES.map((c) => [c, z.strictObject({ prior: Chance, given: ByComplaint })])),
) as unknown as z.ZodType<Likelihoods, Likelihoods>;
export type Likelihoods = {
  readonly [C in CauseName]: { readonly prior: number; readonly given: { readonly [S in Complaint]: number } };
};

/** The same likelihoods with each figure as `say` puts it. */
export const eachChance = (all: Likelihoods, say: (chance: number) => number): Likelihoods =>
  Object.fromEntries(
    CAUSE_NAMES.map((c) => {
      const given = Object.fromEntries(COMPLAINT_NAMES.map((s) => [s, say(all[c].given[s])]));
      return [c, { prior: say(all[c].prior), given }];
    }),
  ) as unknown as Likelihoods;

const OFTEN = 0.7;
const SOMETIMES = 0.3;
const SELDOM = 0.1;
/** A complaint that nobody would expect with a cause: people describe things oddly. */
const HARDLY = 0.02;

/** How often a complaint is heard with a cause, by what the cause does. */
const heardWith = ({ often, sometimes = [], seldom = [] }: Does, complaint: Complaint): number => {
  const { plainly, seldom: faintly = [] } = HEARD_BY[complaint];
  const any = (effects: readonly Effect[], shown: readonly Effect[]): boolean => effects.some((e) => shown.includes(e));
  if (any(plainly, often)) return OFTEN;
  if (any(plainly, sometimes)) return SOMETIMES;
  return any(plainly, seldom) || any(faintly, often) ? SELDOM : HARDLY;
};

/** As the shop starts with them: rough, from bench practice; stated so that they can be argued with. */
export const STANDARD_LIKELIHOODS = Object.fromEntries(
  CAUSE_NAMES.map((name) => {
    const { prior, does } = CAUSES[name];
    return [name, { prior, given: Object.fromEntries(COMPLAINT_NAMES.map((c) => [c, heardWith(does, c)])) }];
  }),
) as unknown as Likelihoods;

/** A model as it lies in the database: causes and complaints that came after it was stored take their standard numbers. */
export const StoredLikelihoodsSchema = z
  .record(z.string(), z.looseObject({ prior: z.number(), given: z.record(z.string(), z.number()) }))
  .transform((rows) =>
    Object.fromEntries(
      CAUSE_NAMES.map((c) => {
        const { prior, given } = STANDARD_LIKELIHOODS[c];
        const known = Object.fromEntries(Object.entries(rows[c]?.given ?? {}).filter(([s]) => s in given));
        return [c, { prior: rows[c]?.prior ?? prior, given: { ...given, ...known } }];
      }),
    ),
  )
  .transform((rows) => LikelihoodsSchema.parse(rows));

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
