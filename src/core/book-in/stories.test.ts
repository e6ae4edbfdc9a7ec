import { describe, expect, test } from 'vitest';
import type { UnitKind } from '../family/family-name';
import { BEFORE_NAMES, type Before, madeBy } from './before';
import { CAUSE_NAMES, CAUSES, type CauseName } from './cause';
import { NEEDS_OPEN } from './cause-test';
import { COMPLAINT_NAMES, type Complaint } from './complaint';
import { HEARD_BY, sayDoes } from './effect';
import { finishedCounts, STANDARD_LIKELIHOODS, StoredLikelihoodsSchema } from './likelihoods';
import { type Evidence, likelyCauses, testsWorthMaking } from './reason';

// What people tell at the counter, and what a mechanic who hears it thinks of first. Written from the trade, not from the numbers.

type Story = readonly [
  told: string,
  kind: UnitKind,
  complaints: readonly Complaint[],
  before: readonly Before[],
  /** These lead, in any order. */
  leads: readonly CauseName[],
];
// biome-ignore format: one story a line.
const STORIES: readonly Story[] = [
  ['pedal sinks at the lights, nothing wet', 'master-single', ['sinks-slowly'], [], ['worn-primary', 'bore-marked']],
  ['tandem sinks, none is lost', 'master-tandem', ['sinks-slowly'], ['booster'], ['worn-primary', 'bore-marked']],
  ['tandem: the reservoir falls and nobody finds where', 'master-tandem', ['falls-no-leak'], ['booster'], ['rear-seal-into-booster', 'line-leaks']],
  ['the same, and the pedal has gone hard', 'master-tandem', ['falls-no-leak', 'hard'], ['booster'], ['rear-seal-into-booster']],
  ['the same on a machine without a booster', 'master-single', ['falls-no-leak'], ['no-booster'], ['line-leaks', 'secondary-leaks']],
  ['falls since the calipers were done', 'caliper-half', ['falls-no-leak'], ['cylinders-changed'], ['line-leaks']],
  ['drips from the boot of the master', 'master-single', ['wet-boot'], ['no-booster'], ['secondary-leaks']],
  ['sinks when the engine starts, else all is well', 'master-tandem', ['sinks-on-start'], ['booster'], ['booster-helps']],
  ['sinks when the engine starts, and goes on sinking', 'master-tandem', ['sinks-on-start', 'sinks-slowly'], ['booster'], ['worn-primary', 'bore-marked', 'floating-leaks']],
  ['low, comes up on the second push, drums', 'wheel-double', ['low-pumps-up'], ['drums'], ['adjustment', 'residual-missing']],
  ['low and soft after the master was put in', 'master-tandem', ['low-pumps-up', 'spongy'], ['master-changed'], ['air']],
  ['low after every corner, discs all round', 'caliper-half', ['low-pumps-up'], ['discs'], ['knock-back', 'air']],
  ['spongy since it was bled', 'wheel-single', ['spongy'], ['just-bled'], ['air']],
  ['spongy on the long way down, good when cold', 'caliper-half', ['spongy', 'to-the-floor'], [], ['air', 'fluid-boils']],
  ['straight to the floor after bleeding an old master to the stop', 'master-single', ['to-the-floor', 'sinks-slowly'], ['just-bled'], ['worn-primary']],
  ['to the floor at once after it was rebuilt', 'master-single', ['to-the-floor'], ['master-changed'], ['air', 'cup-backwards']],
  ['pedal as hard as wood', 'master-tandem', ['hard'], ['booster'], ['vacuum-valve']],
  ['a booster brought in because the pedal is hard', 'booster', ['hard'], [], ['vacuum-valve']],
  ['hard, but there is no booster on it', 'master-single', ['hard'], ['no-booster'], ['port-blocked', 'rubber-swollen']],
  ['drags when warm since the master was changed', 'master-single', ['drags'], ['master-changed'], ['no-gap']],
  ['drags when warm since the booster was changed', 'master-tandem', ['drags'], ['booster-changed'], ['no-gap']],
  ['drags and comes back slowly; the wrong fluid was topped up', 'master-single', ['drags', 'does-not-return'], ['other-fluid'], ['rubber-swollen']],
  ['drags on one wheel and pulls, pads were just done', 'caliper-half', ['drags', 'pulls'], ['pads-changed'], ['hose-collapsed', 'piston-seized']],
  ['stood for years, will not move', 'wheel-double', ['seized'], ['stood-long'], ['piston-seized']],
  ['caliper is stuck', 'caliper-half', ['seized'], [], ['piston-seized']],
  ['clutch slave wet behind its boot', 'slave', ['wet-boot'], [], ['cup-leaks', 'wheel-bore-marked']],
  ['wheel cylinder wet, one side brakes less', 'wheel-double', ['wet-boot', 'pulls'], ['drums'], ['cup-leaks', 'wheel-bore-marked']],
  ['drums that weep only while it stands', 'wheel-double', ['weeps-standing'], ['drums'], ['residual-missing']],
  ['the same, and the first push is low', 'master-single', ['weeps-standing', 'low-pumps-up'], ['drums'], ['residual-missing']],
  ['weeps standing after two years in the barn', 'wheel-double', ['weeps-standing', 'wet-boot'], ['stood-long', 'drums'], ['wheel-bore-marked', 'residual-missing', 'cup-leaks']],
  ['fluid is black a month after a change', 'master-single', ['black-fluid'], ['fluid-changed'], ['rubber-perished']],
  ['pedal pulses when braking from speed', 'caliper-half', ['pulsates'], ['discs'], ['disc-runs-out']],
  ['a linkage with lost travel', 'linkage', ['long-travel'], [], ['linkage-worn']],
  ['the same, told as: to the floor', 'linkage', ['to-the-floor'], [], ['linkage-worn']],
  ['long travel, pedal rattles at its pin, all wheels good', 'master-single', ['long-travel'], ['no-booster'], ['linkage-worn', 'adjustment']],
  ['clutch lets go while the pedal is held', 'master-valve', ['releases-itself'], [], ['end-seal-leaks']],
  ['clutch does not come back', 'slave', ['does-not-return'], [], ['hose-collapsed', 'piston-seized', 'spring-weak', 'rubber-swollen']],
  ['pulls to one side, nothing wet', 'wheel-double', ['pulls'], ['drums'], ['adjustment']],
  ['a line that is crushed under the frame', 'hard-line', ['drags'], [], ['hose-collapsed']],
];

const NONE = finishedCounts(new Map());
const rank = (e: Evidence): readonly CauseName[] => likelyCauses(e, STANDARD_LIKELIHOODS, NONE).map((c) => c.cause);
const first = (n: number, all: readonly CauseName[]): readonly CauseName[] => all.slice(0, n);

describe('stories that the counter hears', () => {
  test(`there are thirty or more (${STORIES.length})`, () => expect(STORIES.length).toBeGreaterThanOrEqual(30));

  test.each(STORIES)('%s', (_, kind, complaints, before, leads) => {
    const said = rank({ kind, complaints, before, tests: [] });
    // One that must lead leads; of several the first is one of them, and where there are two the first two are they.
    expect(leads).toContain(said[0]);
    if (leads.length === 2) expect([...first(2, said)].sort()).toEqual([...leads].sort());
  });

  test('what loses nothing outward does not explain fluid that is gone', () => {
    const likely = likelyCauses({ kind: 'master-tandem', complaints: ['falls-no-leak'], tests: [] }, STANDARD_LIKELIHOODS, NONE);
    for (const inside of ['worn-primary', 'floating-leaks'] as const)
      expect([inside, likely.find((c) => c.cause === inside)?.probability ?? 1]).toEqual([inside, expect.closeTo(0, 1)]);
  });

  test('air is no cause for a linkage, and a machine without a booster has none that leaks', () => {
    expect(rank({ kind: 'linkage', complaints: ['long-travel'], tests: [] })).not.toContain('air');
    const without = rank({ kind: 'master-tandem', complaints: ['hard'], before: ['no-booster'], tests: [] });
    for (const c of ['vacuum-valve', 'rear-seal-into-booster', 'booster-helps'] as const) expect(without).not.toContain(c);
    expect(rank({ kind: 'master-single', complaints: ['low-pumps-up'], before: ['discs'], tests: [] })).not.toContain('residual-missing');
  });

  test('a gap of none stands far above a blocked port and swollen rubber where the master was just changed, and level without that', () => {
    const odds = (before: readonly Before[]): number => {
      const likely = likelyCauses({ kind: 'master-single', complaints: ['drags'], before, tests: [] }, STANDARD_LIKELIHOODS, NONE);
      const of = (c: CauseName): number => likely.find((l) => l.cause === c)?.probability ?? 0;
      return of('no-gap') / Math.max(of('port-blocked'), of('rubber-swollen'));
    };
    expect(odds(['master-changed'])).toBeGreaterThan(8);
    expect(odds([])).toBeLessThan(2);
  });
});

describe('which test is offered', () => {
  const next = (kind: UnitKind, complaints: readonly Complaint[], before: readonly Before[] = []) =>
    testsWorthMaking(likelyCauses({ kind, complaints, before, tests: [] }, STANDARD_LIKELIHOODS, NONE), []).map((t) => t.test);

  test('a seized unit is not asked to show its spring', () => {
    expect(NEEDS_OPEN).not.toContain(next('wheel-double', ['seized'])[0]);
    expect(next('wheel-double', ['seized']).slice(0, 3)).not.toContain('spring-look');
  });

  test('what can be asked on the telephone goes before what takes the unit off', () => {
    expect(next('master-tandem', ['sinks-on-start'], ['booster'])[0]).toBe('drops-a-little');
    const sinks = next('master-tandem', ['sinks-slowly']);
    expect(sinks.indexOf('clamp-hoses')).toBeLessThan(sinks.indexOf('cup-way') === -1 ? Infinity : sinks.indexOf('cup-way'));
  });
});

describe('what a cause does', () => {
  test('is said of every cause, and every complaint is heard plainly with some', () => {
    for (const c of CAUSE_NAMES) expect([c, sayDoes(CAUSES[c].does)]).toEqual([c, expect.stringMatching(/^[A-Z].+\.$/)]);
    const shown = CAUSE_NAMES.flatMap((c) => CAUSES[c].does.often as readonly string[]);
    for (const c of COMPLAINT_NAMES) expect([c, HEARD_BY[c].plainly.some((e) => shown.includes(e))]).toEqual([c, true]);
    expect(sayDoes(CAUSES['worn-primary'].does)).toBe(
      'Fluid passes inside, none is lost, the pedal sinks under a steady foot; at times the pedal goes to the floor, the pedal drops when the vacuum comes.',
    );
  });

  test('every fact about a machine moves some cause', () => {
    for (const b of BEFORE_NAMES) expect([b, CAUSE_NAMES.some((c) => madeBy([b], c) !== 1)]).toEqual([b, true]);
  });

  test('a model that was saved before there were so many causes and complaints takes the standard numbers for those', () => {
    const old = { air: { prior: 0.3, given: { spongy: 0.9, gone: 0.4 } }, gremlins: { prior: 0.5, given: {} } };
    const read = StoredLikelihoodsSchema.parse(old);
    expect([read.air.prior, read.air.given.spongy, read.air.given['low-pumps-up']]).toEqual([
      0.3,
      0.9,
      STANDARD_LIKELIHOODS.air.given['low-pumps-up'],
    ]);
    expect(read['knock-back']).toEqual(STANDARD_LIKELIHOODS['knock-back']);
    expect(read).not.toHaveProperty('gremlins');
  });
});
