import { CAUSE_NAMES, type CauseName } from './cause';
import { TEST_NAMES } from './cause-test';
import type { Finding } from './finding';
import type { Evidence } from './reason';

/** What people found out about a unit: the tests they made, and the causes they confirmed. Names that are no longer known are passed over. */
export const foundOut = (
  findings: readonly Finding[],
): { readonly tests: Evidence['tests']; readonly confirmed: readonly CauseName[] } => ({
  tests: findings.flatMap((f) => {
    const name = TEST_NAMES.find((t) => f.about === 'test' && t === f.name);
    return name === undefined ? [] : [{ name, answer: f.answer }];
  }),
  confirmed: CAUSE_NAMES.filter((c) => findings.some((f) => f.about === 'cause' && f.name === c && f.answer === 'yes')),
});
