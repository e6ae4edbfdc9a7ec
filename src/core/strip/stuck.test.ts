import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { FAMILIES } from '../family/families';
import { STANDARD_RULES } from '../rules/rule-set';
import { bodyOffers, ladderFor, pushForceN, pushPressureBar, type StuckBody } from './stuck';
import { METHODS, STUCK_STATES, type StuckState } from './treatment';

const body = (more: Partial<StuckBody> = {}): StuckBody => ({
  boreMm: 22.225,
  pots: 1,
  bore: 'blind',
  material: 'cast-iron',
  portBehind: true,
  straightPort: true,
  plasticOrRubber: false,
  ...more,
});
const methods = (state: StuckState, more: Partial<StuckBody> = {}) => ladderFor(state, body(more), STANDARD_RULES).map((r) => r.method);

describe('force and pressure', () => {
  // F = p·A: 22.225 mm is 387.95 mm²; 2 bar is 0.2 MPa.
  test('two bar on 7/8 inch is 77.6 N; six bar is three times that', () => {
    expect(pushForceN(22.225, 2)).toBeCloseTo(77.59, 2);
    expect(pushForceN(22.225, 6)).toBeCloseTo(3 * pushForceN(22.225, 2), 9);
    expect(pushForceN(22.225, 0)).toBe(0);
  });

  test('each undoes the other', () => {
    fc.assert(
      fc.property(fc.double({ min: 8, max: 80, noNaN: true }), fc.double({ min: 0.1, max: 5000, noNaN: true }), (boreMm, n) => {
        expect(pushForceN(boreMm, pushPressureBar(boreMm, n)) / n).toBeCloseTo(1, 9);
      }),
    );
  });
});

describe('the ladder', () => {
  test('a seized piston: inward first, the grease gun last, each rough method after the mild ones', () => {
    expect(methods('seized')).toEqual([
      'push-inward',
      'soak-fluid',
      'tap-wood',
      'low-air',
      'warm',
      'soak-penetrant',
      'pin-outlet',
      'push-fluid',
      'grease-gun',
    ]);
    expect(methods('ridge').slice(0, 2)).toEqual(['push-inward', 'dress-ridge']);
    expect(methods('free')).toEqual([]);
  });

  test('the body decides: no port, no pressure; no straight way, no pin; rubber on it, no petroleum and no heat', () => {
    expect(methods('seized', { portBehind: false })).not.toEqual(expect.arrayContaining(['low-air']));
    expect(methods('seized', { portBehind: false }).filter((m) => ['low-air', 'push-fluid', 'grease-gun'].includes(m))).toEqual([]);
    expect(methods('seized', { straightPort: false })).not.toContain('pin-outlet');
    for (const state of STUCK_STATES) {
      const left = ladderFor(state, body({ plasticOrRubber: true }), STANDARD_RULES);
      expect(left.filter((r) => r.leaves === 'petroleum' || r.method === 'warm')).toEqual([]);
    }
  });

  test('every rung says when to stop, and whatever can hurt says how', () => {
    for (const state of STUCK_STATES)
      for (const rung of ladderFor(state, body({ bore: 'through', material: 'alloy' }), STANDARD_RULES)) {
        expect([rung.method, rung.stopIf.endsWith('.')]).toEqual([rung.method, true]);
        expect(rung.leaves).toBe(METHODS[rung.method].leaves);
        if (rung.limit !== null || rung.method === 'warm') expect([rung.method, rung.hazard ?? '']).not.toEqual([rung.method, '']);
      }
  });

  test('a pressure is what the bore and the force ask for, and never past the shop’s limit', () => {
    const air = (boreMm: number, state: StuckState) =>
      ladderFor(state, body({ boreMm }), STANDARD_RULES).find((r) => r.method === 'low-air')?.limit;
    const tight = air(42.8625, 'tight');
    expect(tight?.neededBar).toBeCloseTo(pushPressureBar(42.8625, 150), 9);
    expect([tight?.enough, tight?.forceN]).toEqual([true, expect.closeTo(150, 6)]);
    const seized = air(22.225, 'seized');
    expect([seized?.enough, seized?.maxBar]).toEqual([false, STANDARD_RULES.freeAirMaxBar]);
    expect(seized?.forceN).toBeCloseTo(pushForceN(22.225, STANDARD_RULES.freeAirMaxBar), 9);
    const strict = ladderFor('seized', body(), { ...STANDARD_RULES, freeFluidMaxBar: 10 }).find((r) => r.method === 'push-fluid');
    expect(strict?.limit?.maxBar).toBe(10);
  });

  test('a through bore is told to hold the far piston', () => {
    const how = (bore: 'blind' | 'through') => ladderFor('seized', body({ bore }), STANDARD_RULES).find((r) => r.method === 'low-air')?.how;
    expect(how('through')).toMatch(/far piston held in by a clamp/);
    expect(how('blind')).not.toMatch(/far piston/);
  });
});

test('what a family offers is read from its ports', () => {
  expect(bodyOffers(FAMILIES['master-lever'])).toEqual({ portBehind: true, straightPort: true });
  expect(bodyOffers(FAMILIES.slave)).toEqual({ portBehind: true, straightPort: false });
  expect(bodyOffers(FAMILIES.linkage)).toEqual({ portBehind: false, straightPort: false });
});
