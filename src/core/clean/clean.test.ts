import { describe, expect, test } from 'vitest';
import { FAMILIES } from '../family/families';
import { type Drawing, geometryAt } from '../family/family';
import { MATERIALS } from '../family/material';
import { emptyTray } from '../strip/tray';
import { lookedAgain, METHOD_NAMES, METHODS, type MethodName, toRinse } from '../strip/treatment';
import { cleaningBody, cleaningFor, clearingWireMm, drillingsOf } from './cleaning';

const done = (...methods: readonly MethodName[]) => methods.map((method, at) => ({ method, at }));

describe('what must be rinsed out', () => {
  test.each<[string, readonly MethodName[], readonly MethodName[]]>([
    ['nothing was used', [], []],
    ['penetrant', ['soak-penetrant'], ['soak-penetrant']],
    ['penetrant, then rinsed', ['soak-penetrant', 'rinse'], []],
    ['rinsed too early', ['rinse', 'grease-gun'], ['grease-gun']],
    ['twice the same is told once', ['soak-penetrant', 'soak-penetrant', 'grease-gun'], ['soak-penetrant', 'grease-gun']],
    ['fluid of its own kind may stay', ['soak-fluid', 'nylon-brush'], []],
    ['alcohol alone does not sign for it', ['soak-penetrant', 'alcohol'], ['soak-penetrant']],
  ])('%s', (_, methods, left) => expect(toRinse(done(...methods))).toEqual(left));
});

describe('looked at again after cleaning', () => {
  test.each<[string, readonly MethodName[], boolean]>([
    ['never', [], false],
    ['cleaned and not looked at', ['ultrasonic'], false],
    ['looked at before it was cleaned', ['looked-again', 'ultrasonic'], false],
    ['cleaned, then looked at', ['ultrasonic', 'looked-again'], true],
    ['cleaned once more after that', ['ultrasonic', 'looked-again', 'brake-cleaner'], false],
    ['a wire through a port does not dirty it', ['ultrasonic', 'looked-again', 'port-wire', 'bleed-wire'], true],
  ])('%s', (_, methods, looked) => expect(lookedAgain(done(...methods))).toBe(looked));
});

describe('how to clean', () => {
  const advice = (more: Partial<Parameters<typeof cleaningFor>[0]>) =>
    new Map(cleaningFor({ material: 'cast-iron', keptRubber: [], keptPlastic: [], ...more }).map((a) => [a.method, a]));

  test('rubber and plastic that go back forbid what ruins them', () => {
    expect(advice({ keptPlastic: ['reservoir'] }).get('brake-cleaner')?.mustNot).toMatch(/Not on reservoir/);
    expect(advice({ keptRubber: ['boot'] }).get('ultrasonic')?.mustNot).toMatch(/boot/);
    expect([...advice({}).values()].filter((a) => a.mustNot !== null)).toEqual([]);
  });

  test('iron rusts after water, alloy takes no lye, an anodised skin takes no blasting near the bore', () => {
    expect(advice({}).get('hot-wash')?.caution).toMatch(/rusts/);
    expect(advice({ material: 'alloy' }).get('ultrasonic')?.how).toMatch(/alloy/);
    expect(advice({ material: 'alloy-anodised' }).get('blast')?.mustNot).toMatch(/anodised skin/);
  });

  test('blasting is outside only with the ports plugged, whatever the material', () => {
    for (const material of MATERIALS) expect(advice({ material }).get('blast')?.how).toMatch(/Outside only, every port .* plugged/);
  });

  test('every cleaning says what it leaves', () => {
    for (const a of advice({}).values()) expect(a.leaves).toBe(METHODS[a.method].leaves);
    expect(METHOD_NAMES.filter((m) => METHODS[m].for === 'cleaning').length).toBeGreaterThan(8);
  });

  test('what goes back is read from the tray', () => {
    const tray = emptyTray(FAMILIES['master-single'], (s) => s.id).map((p) => ({
      ...p,
      found: 'present' as const,
      fate: 'refitted' as const,
    }));
    expect(cleaningBody('alloy', tray)).toEqual({
      material: 'alloy',
      keptRubber: ['boot', 'secondary cup', 'primary cup'],
      keptPlastic: [],
    });
    expect(
      cleaningBody(
        'alloy',
        tray.map((p) => ({ ...p, fate: 'replaced' as const })),
      ),
    ).toMatchObject({ keptRubber: [] });
  });
});

describe('drillings to clear', () => {
  test.each([
    [0.8, 0.7],
    [0.6, 0.5],
    [1.2, 1.05],
    [0.1, 0.1],
  ])('a %f mm drilling takes a wire of %f mm', (dia, wire) => expect(clearingWireMm(dia)).toBeCloseTo(wire, 9));

  test('compensating ports of the unit, bleed screws on its tray, none without a bore', () => {
    const of = (name: 'master-tandem' | 'slave' | 'linkage') => {
      const family = FAMILIES[name];
      const tray = emptyTray(family, (s) => s.id).map((p) => ({ ...p, found: 'present' as const }));
      const geometry = family.drawing === null ? null : geometryAt(family.drawing as Drawing, 22.225);
      return drillingsOf(family, geometry, tray).map((d) => [d.method, d.name]);
    };
    expect(of('master-tandem')).toEqual([
      ['port-wire', 'rear compensating port'],
      ['port-wire', 'front compensating port'],
    ]);
    expect(of('slave')).toEqual([['bleed-wire', 'bleed screw']]);
    expect(of('linkage')).toEqual([]);
  });
});
