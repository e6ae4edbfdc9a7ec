import type { UnitKind } from '../family/family-name';
import { BEFORE, type Before, madeBy } from './before';
import { CAUSE_NAMES, type CauseName, causeInfo } from './cause';
import { TEST_COSTS, TEST_NAMES, type TestName } from './cause-test';
import { COMPLAINTS, type Complaint } from './complaint';
import type { FinishedCounts, Likelihoods } from './likelihoods';
import { YES } from './test-answers';

export const ANSWERS = ['yes', 'no'] as const;
export type Answer = (typeof ANSWERS)[number];
export const ANSWER_WORDS: { readonly [A in Answer]: string } = { yes: 'yes', no: 'no' };
/** What is known about a unit before it is open. */
export type Evidence = {
  readonly kind: UnitKind;
  readonly complaints: readonly Complaint[];
  /** What happened before, and what the machine has. */
  readonly before?: readonly Before[];
  readonly tests: readonly { readonly name: TestName; readonly answer: Answer }[];
  readonly ruledOut?: readonly CauseName[];
};

export type LikelyCause = {
  readonly cause: CauseName;
  readonly probability: number;
  /** Why it stands where it stands, with the numbers. */
  readonly reasons: readonly string[];
};

/** How sure a test is: it answers rightly this often, for its causes and for the others alike. */
export const TEST_SURE = 0.9;

/**
 * Likely causes of a complaint, the likeliest first: Bayes' rule over the causes that this kind of unit can have, taking complaints and tests as independent once the cause is known.
 * One cause is taken to be behind it all. What was not complained of says nothing: customers do not list everything.
 * @returns empty while there is neither complaint nor test to go by
 */
export const likelyCauses = (e: Evidence, model: Likelihoods, finished: FinishedCounts): readonly LikelyCause[] => {
  if (e.complaints.length === 0 && e.tests.length === 0) return [];
  const weighed = possible(e).map((cause) => ({ cause, weight: weightOf(cause, e, model) }));
  const total = weighed.reduce((sum, w) => sum + w.weight, 0);
  return weighed
    .map(({ cause, weight }) => ({ cause, probability: weight / total, reasons: reasonsFor(cause, e, model, finished) }))
    .sort((a, b) => b.probability - a.probability || a.cause.localeCompare(b.cause));
};

const possible = (e: Evidence): readonly CauseName[] =>
  CAUSE_NAMES.filter((c) => causeInfo(c).kinds.includes(e.kind) && e.ruledOut?.includes(c) !== true && madeBy(e.before ?? [], c) > 0);

const weightOf = (cause: CauseName, e: Evidence, model: Likelihoods): number =>
  model[cause].prior *
  (ownTo(cause, e.kind) ? OWN : 1) *
  madeBy(e.before ?? [], cause) *
  e.complaints.reduce((product, s) => product * model[cause].given[s], 1) *
  e.tests.reduce((product, t) => product * chanceOf(t.name, t.answer, cause), 1);

/** What a unit of its kind is brought in for, so many times likelier than the shop at large would say. */
const OWN = 8;
const ownTo = (cause: CauseName, kind: UnitKind): boolean => (causeInfo(cause).ownTo ?? []).includes(kind);

/** How often a test answers so, if this is the cause. */
const chanceOf = (test: TestName, answer: Answer, cause: CauseName): number =>
  (answer === 'yes') === saysYes(test, cause) ? TEST_SURE : 1 - TEST_SURE;

const saysYes = (test: TestName, cause: CauseName): boolean => YES[test].includes(cause);

const percent = (p: number): string => `${Math.round(p * 100)} %`;

const reasonsFor = (cause: CauseName, e: Evidence, model: Likelihoods, finished: FinishedCounts): readonly string[] => {
  const mine = finished.behind[cause] ?? 0;
  const heard = e.complaints.map((s) => {
    const own = mine === 0 ? '' : `; ${finished.heard[`${cause} ${s}`] ?? 0} of ${mine} finished units`;
    return `“${COMPLAINTS[s]}” is said with it in ${percent(model[cause].given[s])}${own}`;
  });
  const tested = e.tests
    .filter((t) => causeInfo(cause).test === t.name)
    .map((t) => `its test says ${(t.answer === 'yes') === saysYes(t.name, cause) ? 'it is' : 'it is not'}`);
  const known = (e.before ?? []).flatMap((b) => {
    const times = madeBy([b], cause);
    return times === 1 ? [] : [`“${BEFORE[b].label}” makes it ${times > 1 ? `${times} times likelier` : 'less likely'}`];
  });
  return [...heard, ...known, ...tested, `behind ${percent(model[cause].prior)} of units`];
};

export type NextTest = {
  readonly test: TestName;
  readonly dropBits: number;
  /** What it tells for what it costs: the larger, the sooner. */
  readonly worth: number;
  readonly causes: readonly CauseName[];
};

/** What a test costs beside the others. */
const COST = { asked: 1, 'on-machine': 2, 'unit-off': 5 } as const;

/** Least that a test must be expected to tell, bits. */
const WORTH_BITS = 0.02;

/**
 * Tests not yet made, by how much each is expected to narrow the causes down (the drop of entropy, in bits, over its two answers) for what it costs.
 * @param likely what `likelyCauses` gave
 */
export const testsWorthMaking = (likely: readonly LikelyCause[], made: readonly TestName[]): readonly NextTest[] => {
  const before = entropy(likely.map((c) => c.probability));
  return TEST_NAMES.filter((test) => !made.includes(test))
    .map((test) => {
      const after = (['yes', 'no'] as const).reduce((sum, answer) => {
        const joint = likely.map((c) => c.probability * chanceOf(test, answer, c.cause));
        const chance = joint.reduce((a, b) => a + b, 0);
        return chance === 0 ? sum : sum + chance * entropy(joint.map((j) => j / chance));
      }, 0);
      return {
        test,
        dropBits: before - after,
        worth: (before - after) / COST[TEST_COSTS[test]],
        causes: likely.map((c) => c.cause).filter((c) => saysYes(test, c)),
      };
    })
    .filter((t) => t.causes.length > 0 && t.dropBits > WORTH_BITS)
    .sort((a, b) => b.worth - a.worth);
};

const entropy = (chances: readonly number[]): number => chances.reduce((sum, p) => (p > 0 ? sum - p * Math.log2(p) : sum), 0);
