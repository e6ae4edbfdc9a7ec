import { describe, expect, test } from 'vitest';
import { STANDARD_RULES } from '../rules/rule-set';
import { hydraulics } from '../set/hydraulics';
import { airLeft } from './air-left';
import { bleedPlan, volumeOf } from './bleed-plan';
import { earlier, inOrderOf, placesOf, renamed, withCircuit, withEnd, without, withScrew, withTee } from './edit-system';
import { residualOf } from './residual';
import { residueShare } from './residue';
import { oddAdvice } from './say-bleed';
import { SHAPE_NAMES, SHAPES } from './shapes';
import { type System, SystemSchema } from './system';
import { drawSystem } from './system-drawing';
import { systemOfQuery } from './system-of-query';
import { systemQuery } from './system-query';
import { questionOf } from './system-question';

const planOf = (s: System) => bleedPlan({ ...questionOf(s), rules: null }, STANDARD_RULES);
const query = (s: System) => Object.fromEntries(new URLSearchParams(systemQuery(s)));

describe('common systems', () => {
  test.each(SHAPE_NAMES)('%s is sound, is planned, and comes back from its address', (name) => {
    const system = SHAPES[name]();
    expect(SystemSchema.parse(system)).toEqual(system);
    expect(
      planOf(system)
        .order.map((s) => s.endId)
        .sort(),
    ).toEqual(system.ends.map((e) => e.id).sort());
    expect(systemOfQuery(query(system))).toEqual(system);
  });

  test('an address that cannot be read starts from a shape', () => {
    expect(systemOfQuery({ system: '{"name":', shape: 'clutch' })).toEqual(SHAPES.clutch());
    expect(systemOfQuery({ system: JSON.stringify({ ...SHAPES.clutch(), ends: [] }) })).toEqual(SHAPES['one-two']());
  });

  test('drawn: every place once, lower where it lies lower, no two cylinders in one column, nothing outside', () => {
    for (const name of SHAPE_NAMES) {
      const system = SHAPES[name]();
      const drawing = drawSystem(system);
      expect(drawing.places.map((p) => p.id).sort()).toEqual([...placesOf(system)].sort());
      const bodies = drawing.places.filter((p) => p.ends.length > 0);
      expect(new Set(bodies.map((p) => Math.round(p.x))).size).toBe(bodies.length);
      for (const p of drawing.places) expect([p.x > 0 && p.x < drawing.width, p.y > 0 && p.y < drawing.height]).toEqual([true, true]);
    }
    const low = drawSystem({ ...SHAPES.clutch(), ends: SHAPES.clutch().ends.map((e) => ({ ...e, dropMm: -80 })) });
    const [body] = low.places.filter((p) => p.ends.length > 0);
    expect((body?.y ?? 0) < low.levelY).toBe(true);
  });
});

describe('drawn from the master outward', () => {
  const start = SHAPES['one-two']();

  test('a tee, an end, a second circuit, a second screw: each sound, with names of their own', () => {
    const tee = withTee(start, 'axle tee');
    const end = withEnd(tee.system, tee.place);
    const circuit = withCircuit(end.system);
    const screw = withScrew(circuit.system, circuit.place);
    for (const s of [end.system, circuit.system, screw]) expect(SystemSchema.safeParse(s).success).toBe(true);
    expect(screw.ends.length).toBe(start.ends.length + 3);
    expect(screw.ends.filter((e) => e.at === circuit.place).length).toBe(2);
    // A tee with nothing behind it is sound too: it is only not done yet.
    expect(SystemSchema.safeParse(tee.system).success).toBe(true);
  });

  test('taken away goes all that hangs on it; the last screw stays', () => {
    expect(without(start, 'axle tee')).toBeUndefined();
    const left = without(start, 'rear left');
    expect([left?.ends.map((e) => e.id), left?.lines.length]).toEqual([['rear right'], 2]);
    expect(without(left as System, 'rear right')).toBeUndefined();
  });

  test('a name is changed everywhere, a maker’s order with it; one that is taken is not', () => {
    const given = inOrderOf(start, 'given', ['rear left', 'rear right']);
    const named = renamed(given, 'rear left', 'wheel 3');
    expect([named.given, named.lines.some((l) => l.to === 'wheel 3'), named.ends.some((e) => e.id === 'wheel 3')]).toEqual([
      ['wheel 3', 'rear right'],
      true,
      true,
    ]);
    expect(renamed(given, 'rear left', 'rear right')).toBe(given);
    expect(earlier(given, 'rear right').given).toEqual(['rear right', 'rear left']);
    expect(earlier(given, 'rear left')).toBe(given);
    expect(SystemSchema.safeParse(withEnd(given, 'axle tee').system).success).toBe(true);
  });
});

describe('residual pressure', () => {
  const circuits = (name: keyof typeof SHAPES) => residualOf(SHAPES[name](), 1060).map((a) => a.says);

  test('cups alone may ask for it, calipers must not have it, mixed circuits in the drums’ branch only', () => {
    expect(circuits('one-four')).toEqual(['may-help']);
    expect(circuits('front-rear')).toEqual(['must-not', 'may-help']);
    expect(circuits('diagonal')).toEqual(['drums-only', 'drums-only']);
    expect(circuits('clutch')).toEqual(['not-asked']);
    const sprung = { ...SHAPES['one-two'](), ends: SHAPES['one-two']().ends.map((e) => ({ ...e, kind: 'drum-expander' as const })) };
    expect(residualOf(sprung, 1060)[0]?.says).toBe('not-needed');
  });

  test('half a metre of fluid is 0.052 bar over the lip; no height, nothing said', () => {
    const [a] = residualOf(SHAPES['one-two'](), 1060);
    // 1060 · 9.80665 · 0.5 = 5197.5 Pa.
    expect(a?.lipBar).toBeCloseTo(0.051975, 6);
    const blind = { ...SHAPES['one-two'](), ends: SHAPES['one-two']().ends.map((e) => ({ ...e, dropMm: null })) };
    expect(residualOf(blind, 1060)[0]?.lipBar).toBeNull();
  });
});

describe('air from the pedal’s travel', () => {
  const system = SHAPES['front-rear']();
  const pedal = {
    forceN: 300,
    ratio: 5,
    boost: 2,
    freePlayMm: 6,
    hoseMlPerMPa: 0.1,
    cylinders: [{ id: 'all', diaMm: 40, count: 4, travelMm: 0.3 }],
  };
  const standsIn = system.lines.reduce((sum, l) => sum + volumeOf(l), 0) + system.ends.reduce((sum, e) => sum + e.volumeMl, 0);

  test.each([
    [0, 'none-seen'],
    [0.5, 'undecided'],
    [2, 'air'],
    [6, 'air'],
  ])('with %d ml in it, the travel of chapter 8 leads back to it, within its doubt: %s', (airMl, says) => {
    const [row] = hydraulics({
      pedalForceN: 300,
      pedalRatio: 5,
      boostFactor: 2,
      masterDiaMm: system.master.boreMm,
      masterStrokeMm: system.master.strokeMm,
      cylinders: pedal.cylinders,
      hoseMlPerMPa: 0.1,
      systemVolumeMl: standsIn,
      airMl,
    }).rows;
    const left = airLeft(system, pedal, (row?.pedalTravelMm ?? 0) + 6);
    expect(left.airMl).toBeCloseTo(airMl, 6);
    expect([left.lowMl < airMl, airMl < left.highMl]).toEqual([true, true]);
    expect(left.says).toBe(says);
  });

  test('a pedal shorter than worked out is not a pedal without doubt', () => {
    const short = airLeft(system, pedal, airLeft(system, pedal, 6).expectedMm - 40);
    expect([short.airMl < 0, short.says]).toEqual([true, 'none-seen']);
  });
});

test('what stays of the old fluid, stirred: 1/e for once its volume', () => {
  expect([residueShare(0), residueShare(1), residueShare(2)]).toEqual([1, expect.closeTo(0.3679, 4), expect.closeTo(0.1353, 4)]);
});

test('ends that sit oddly are told with what to do', () => {
  const [end] = SHAPES.clutch().ends;
  expect(oddAdvice([])).toEqual([]);
  if (end === undefined) throw new Error('a clutch has an end');
  const told = oddAdvice([{ ...end, odd: ['upside-down', 'above-line'] }]);
  expect(told.map((a) => a.says.includes('slave'))).toEqual([true, true]);
});
