import { describe, expect, test } from 'vitest';
import { stackCheck } from '../close-up/stack-check';
import { carrierOf } from './carrier';
import { familyFaults } from './check-family';
import { FAMILIES } from './families';
import { type Drawing, geometryAt, slotFacing } from './family';
import { FAMILY_NAMES, type FamilyName } from './family-name';
import { laneOf } from './lane';
import { sectionOf } from './section';
import { VariantSchema } from './variant-schema';

const BORES_MM = [12.7, 15.875, 20.6375, 22.225, 31.75, 42.8625];
const cases = FAMILY_NAMES.flatMap((name) => BORES_MM.map((mm) => [name, mm] as const));
const drawingOf = (name: FamilyName): Drawing => FAMILIES[name].drawing as Drawing;

describe.each(cases)('%s at %f mm', (name, nominalMm) => {
  const family = FAMILIES[name];
  const g = geometryAt(drawingOf(name), nominalMm);
  const lanes = g.seals.map((s) => laneOf(s, 1));

  test('nothing is wrong with it at this size', () => {
    expect(familyFaults({ ...family, drawing: { ...drawingOf(name), ...g } })).toEqual([]);
  });

  test('every lane lies in the bore, and every seal has its slot', () => {
    for (const lane of lanes) {
      expect(lane.x0Mm).toBeGreaterThanOrEqual(0);
      expect(lane.x1Mm).toBeLessThanOrEqual(g.lengthMm);
      expect(family.slots.map((s) => s.id)).toContain(lane.sealId);
    }
  });

  test('a feed port stays between two cups over the whole stroke', () => {
    for (const port of g.ports.filter((p) => p.kind === 'feed' && p.side === 'top')) {
      const [front, behind] = [
        g.seals.filter((s) => s.restXMm < port.xMm).map((s) => Math.max(s.restXMm, s.restXMm + s.travelMm) + s.contactMm / 2),
        g.seals.filter((s) => s.restXMm > port.xMm).map((s) => Math.min(s.restXMm, s.restXMm + s.travelMm) - s.contactMm / 2),
      ];
      expect([name, Math.max(...front) < port.xMm, Math.min(...behind) > port.xMm]).toEqual([name, true, true]);
    }
  });

  test('the section stays in its boxes, pulled apart nothing overlaps, and the cups reach the bore', () => {
    const { box, apartBox, parts, boreRadiusMm } = sectionOf(family, g);
    const inside = ([x0, y0, w, h]: typeof box, dx: number, dy: number, points: readonly (readonly [number, number])[]): boolean =>
      points.every(([x, y]) => x + dx >= x0 && x + dx <= x0 + w && y + dy >= y0 && y + dy <= y0 + h);
    for (const p of parts) {
      const points = p.outlines.flatMap((o) => o.points);
      expect([p.slotId, inside(box, 0, 0, points), inside(apartBox, ...p.apart, points)]).toEqual([p.slotId, true, true]);
      if (p.kind === 'cup') expect(Math.max(...points.map(([, y]) => y))).toBeCloseTo(boreRadiusMm, 9);
    }
    const laid = parts
      .filter((p) => p.apart[1] === 0 && p.apart[0] < 0)
      .map((p) => p.outlines.flatMap((o) => o.points.map(([x]) => x + p.apart[0])))
      .map((xs) => [Math.min(...xs), Math.max(...xs)] as const)
      .sort((a, b) => a[0] - b[0]);
    for (const [i, [x0]] of laid.slice(1).entries()) expect(x0).toBeGreaterThan((laid[i] as readonly [number, number])[1]);
  });
});

test('facings are those of the trade', () => {
  const facings = (name: FamilyName) =>
    Object.fromEntries(FAMILIES[name].slots.filter((s) => s.between).map((s) => [s.id, slotFacing(FAMILIES[name], s)]));
  expect(Object.fromEntries(FAMILY_NAMES.map((name) => [name, facings(name)]))).toEqual({
    'master-single': { secondary: 'blind', primary: 'blind' },
    'master-valve': { 'plunger-seal': 'blind', 'end-seal': undefined },
    'master-lever': { secondary: 'blind', primary: 'blind' },
    'master-tandem': { secondary: 'blind', 'rear-primary': 'blind', 'floating-rear': 'open', 'front-primary': 'blind' },
    slave: { cup: 'blind' },
    'wheel-double': { 'left-cup': 'blind', 'right-cup': 'open' },
    'wheel-single': { cup: 'blind' },
    'caliper-half': { 'pressure-seal': undefined },
  });
});

test('a lever master has two grooves: the boot in the first, the clip in the second', () => {
  const { slots, drawing } = FAMILIES['master-lever'];
  expect(slots.flatMap((s) => (s.groove === undefined ? [] : [[s.id, s.groove]]))).toEqual([
    ['boot', 'first'],
    ['circlip', 'second'],
  ]);
  expect(drawing?.grooves.map((g) => g.id)).toEqual(['first', 'second']);
});

test('what comes in beside the cylinders has a tray and no bore', () => {
  for (const family of Object.values(FAMILIES).filter((f) => f.bore === 'none')) {
    expect([family.name, family.drawing, familyFaults(family)]).toEqual([family.name, null, []]);
    expect(family.slots.length).toBeGreaterThan(1);
  }
});

test.each(FAMILY_NAMES)('%s: one seal turned is always caught, a right stack never flagged', (name) => {
  const family = FAMILIES[name];
  const right = family.slots.flatMap((s) =>
    s.between === undefined ? [] : [{ id: s.id, kind: s.kind, between: s.between, faces: slotFacing(family, s) ?? null }],
  );
  const check = (seals: typeof right) => stackCheck({ chambers: family.chambers, seals, removed: [], fitted: [] });
  expect(check(right).ok).toBe(true);
  for (const turned of right.filter((s) => s.faces !== null)) {
    const seals = right.map((s) => (s.id === turned.id ? { ...s, faces: s.faces === 'open' ? ('blind' as const) : ('open' as const) } : s));
    expect(
      check(seals)
        .seals.filter((s) => !s.ok)
        .map((s) => s.id),
    ).toEqual([turned.id]);
  }
});

test.each(FAMILY_NAMES)('%s can be copied to a variant as it stands', (name) => {
  const { slots, drawing } = FAMILIES[name];
  expect(VariantSchema.parse({ base: name, label: 'A copy', slots, drawing })).toMatchObject({ slots, drawing });
});

describe('what carries a seal', () => {
  test.each<[FamilyName, string, string]>([
    ['wheel-double', 'left-cup', 'left-piston'],
    ['wheel-double', 'right-cup', 'right-piston'],
    ['master-tandem', 'secondary', 'rear-piston'],
    ['master-tandem', 'rear-primary', 'rear-piston'],
    ['master-tandem', 'floating-rear', 'floating-piston'],
    ['master-tandem', 'front-primary', 'floating-piston'],
    ['caliper-half', 'pressure-seal', 'piston'],
    ['slave', 'cup', 'piston'],
  ])('of a %s, the %s: %s', (name, seal, piston) => {
    const family = FAMILIES[name];
    expect(carrierOf(family, family.drawing ?? missing(), seal)).toBe(piston);
  });

  test('no seal of any family runs without a piston', () => {
    for (const family of Object.values(FAMILIES))
      for (const seal of family.drawing?.seals ?? [])
        expect([family.name, seal.id, carrierOf(family, family.drawing ?? missing(), seal.id)]).not.toContain(undefined);
  });
});
const missing = (): never => {
  throw new Error('no drawing');
};
