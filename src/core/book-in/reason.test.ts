import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { UNIT_KINDS, type UnitKind } from '../family/family-name';
import { CAUSE_NAMES, CAUSES, type CauseName } from './cause';
import { NEEDS_OPEN, TEST_NAMES } from './cause-test';
import { COMPLAINT_NAMES, type Complaint } from './complaint';
import { finishedCounts, LikelihoodsSchema, learned, STANDARD_LIKELIHOODS, STATED_WEIGHT } from './likelihoods';
import { type Evidence, likelyCauses, TEST_SURE, testsWorthMaking } from './reason';
import { YES } from './test-answers';

const NONE = finishedCounts(new Map());
const evidence = (kind: UnitKind, complaints: readonly Complaint[], tests: Evidence['tests'] = []): Evidence => ({
  kind,
  complaints,
  tests,
});
const rank = (e: Evidence, model = STANDARD_LIKELIHOODS) => likelyCauses(e, model, NONE).map((c) => c.cause);
const chance = (e: Evidence, cause: CauseName, model = STANDARD_LIKELIHOODS): number =>
  likelyCauses(e, model, NONE).find((c) => c.cause === cause)?.probability ?? 0;

describe('likely causes', () => {
  test.each<[UnitKind, Complaint, readonly CauseName[]]>([
    ['master-single', 'sinks-slowly', ['bore-marked', 'worn-primary']],
    ['master-tandem', 'sinks-slowly', ['bore-marked', 'worn-primary']],
    ['master-tandem', 'drags', ['no-gap', 'port-blocked', 'rubber-swollen', 'piston-seized']],
    ['master-single', 'hard', ['vacuum-valve']],
    ['wheel-double', 'wet-boot', ['cup-leaks']],
    ['wheel-double', 'spongy', ['air', 'fluid-boils', 'residual-missing']],
    ['caliper-half', 'seized', ['piston-seized']],
    ['master-valve', 'releases-itself', ['end-seal-leaks']],
    ['master-single', 'black-fluid', ['rubber-perished']],
    ['linkage', 'to-the-floor', ['linkage-worn', 'air']],
    ['booster', 'hard', ['vacuum-valve', 'rear-seal-into-booster']],
  ])('a %s that is said to: %s', (kind, complaint, among) => {
    expect(among).toContain(rank(evidence(kind, [complaint]))[0]);
  });

  test('chances add up to one, every cause can be had by this unit, and each says why', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...UNIT_KINDS),
        fc.uniqueArray(fc.constantFrom(...COMPLAINT_NAMES), { minLength: 1, maxLength: 4 }),
        (kind, complaints) => {
          const likely = likelyCauses(evidence(kind, complaints), STANDARD_LIKELIHOODS, NONE);
          expect(likely.reduce((sum, c) => sum + c.probability, 0)).toBeCloseTo(1, 9);
          for (const c of likely) {
            expect(CAUSES[c.cause].kinds as readonly UnitKind[]).toContain(kind);
            expect(c.reasons.length).toBeGreaterThanOrEqual(complaints.length + 1);
          }
        },
      ),
    );
  });

  test('two causes worked by hand: the ratio is that of prior times likelihoods', () => {
    const e = evidence('master-single', ['sinks-slowly', 'wet-boot']);
    const m = STANDARD_LIKELIHOODS;
    const weight = (c: CauseName): number => m[c].prior * m[c].given['sinks-slowly'] * m[c].given['wet-boot'];
    expect(chance(e, 'bore-marked') / chance(e, 'secondary-leaks')).toBeCloseTo(weight('bore-marked') / weight('secondary-leaks'), 9);
  });

  test('nothing to go by, nothing said', () => expect(likelyCauses(evidence('slave', []), STANDARD_LIKELIHOODS, NONE)).toEqual([]));

  test('causes outside the unit are among them', () => {
    for (const c of ['spongy', 'hard', 'drags', 'falls-no-leak', 'pulls'] as const)
      expect(
        rank(evidence('master-tandem', [c]))
          .slice(0, 6)
          .some((x) => CAUSES[x].where === 'outside'),
      ).toBe(true);
  });
});

describe('tests', () => {
  test('a yes lifts its causes over the rest by the test’s own odds', () => {
    const before = evidence('master-tandem', ['drags']);
    const after = evidence('master-tandem', ['drags'], [{ name: 'slack-master', answer: 'yes' }]);
    const odds = (e: Evidence): number => chance(e, 'no-gap') / chance(e, 'piston-seized');
    expect(odds(after) / odds(before)).toBeCloseTo(TEST_SURE / (1 - TEST_SURE), 9);
    expect(rank(after)[0]).toBe('no-gap');
    expect(rank(evidence('master-tandem', ['drags'], [{ name: 'slack-master', answer: 'no' }]))[0]).not.toBe('no-gap');
  });

  test('the ones worth making are told by what they are expected to tell, and never one that was made', () => {
    const likely = likelyCauses(evidence('master-tandem', ['drags']), STANDARD_LIKELIHOODS, NONE);
    const next = testsWorthMaking(likely, []);
    expect(next.length).toBeGreaterThan(1);
    expect(next.map((t) => t.worth)).toEqual([...next.map((t) => t.worth)].sort((a, b) => b - a));
    expect(testsWorthMaking(likely, [next[0]?.test ?? 'pump-up']).map((t) => t.test)).toEqual(next.slice(1).map((t) => t.test));
  });

  test('between two equal causes a test that parts them tells 1 − H(0.9) bits', () => {
    const h = -(0.9 * Math.log2(0.9) + 0.1 * Math.log2(0.1));
    const pair = (['vacuum-valve', 'air'] as const).map((cause) => ({ cause, probability: 0.5, reasons: [] }));
    expect(testsWorthMaking(pair, []).find((t) => t.test === 'vacuum-held')?.dropBits).toBeCloseTo(1 - h, 9);
  });

  test('every cause has a test that says yes for it, and every test has a cause', () => {
    for (const c of CAUSE_NAMES) expect([c, (YES[CAUSES[c].test] as readonly string[]).includes(c)]).toEqual([c, true]);
    for (const t of TEST_NAMES) expect([t, YES[t].length > 0]).toEqual([t, true]);
    expect(NEEDS_OPEN.length).toBeLessThan(TEST_NAMES.length);
  });
});

describe('what finished units teach', () => {
  const airy = (n: number) =>
    finishedCounts(
      new Map([
        ['', n],
        ['air', n],
        ['air wet-boot', n],
      ]),
    );

  test('the stated number and the count meet by their weights', () => {
    const after = learned(STANDARD_LIKELIHOODS, airy(30));
    const { prior, given } = STANDARD_LIKELIHOODS.air;
    expect(after.air.prior).toBeCloseTo((STATED_WEIGHT * prior + 30) / (STATED_WEIGHT + 30), 12);
    expect(after.air.given['wet-boot']).toBeCloseTo((STATED_WEIGHT * given['wet-boot'] + 30) / (STATED_WEIGHT + 30), 12);
    expect(after.air.given.spongy).toBeCloseTo((STATED_WEIGHT * given.spongy) / (STATED_WEIGHT + 30), 12);
    expect(after['no-gap'].given).toEqual(STANDARD_LIKELIHOODS['no-gap'].given);
  });

  test('no units teach nothing, and neither does a cause that is no longer known', () => {
    expect(learned(STANDARD_LIKELIHOODS, NONE)).toEqual(STANDARD_LIKELIHOODS);
    expect(learned(STANDARD_LIKELIHOODS, finishedCounts(new Map([['gremlins', 9]])))).toEqual(STANDARD_LIKELIHOODS);
  });

  test('enough of them change the order', () => {
    const e = evidence('wheel-double', ['wet-boot']);
    expect(rank(e)[0]).toBe('cup-leaks');
    expect(rank(e, learned(STANDARD_LIKELIHOODS, airy(60)))[0]).toBe('air');
  });
});

test('the schema takes the standard numbers, and no chance of nought or one', () => {
  expect(LikelihoodsSchema.parse(STANDARD_LIKELIHOODS)).toEqual(STANDARD_LIKELIHOODS);
  const wrong = { ...STANDARD_LIKELIHOODS, air: { ...STANDARD_LIKELIHOODS.air, prior: 0 } };
  expect(LikelihoodsSchema.safeParse(wrong).success).toBe(false);
});
