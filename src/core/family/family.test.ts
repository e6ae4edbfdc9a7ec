import { describe, expect, test } from 'vitest';
import { laneOf } from '../bore/lane';
import { stackCheck } from '../close-up/stack-check';
import { defaultGeometry, FAMILIES, slotFacing, WORKED_FAMILIES } from './family';
import { sectionOf } from './section';

const BORES_MM = [15.875, 19.05, 20.6375, 22.225, 25.4, 31.75];
const cases = WORKED_FAMILIES.flatMap((name) => BORES_MM.map((mm) => [name, mm] as const));

describe.each(cases)('%s at %f mm', (name, nominalMm) => {
  const family = FAMILIES[name];
  const g = defaultGeometry(family, nominalMm);
  const lanes = g.seals.map((s) => laneOf(s, 1));

  test('every lane lies in the bore, and every seal has its slot', () => {
    for (const lane of lanes) {
      expect(lane.x0Mm).toBeGreaterThanOrEqual(0);
      expect(lane.x1Mm).toBeLessThanOrEqual(g.lengthMm);
      expect(family.slots.map((s) => s.id)).toContain(lane.sealId);
    }
  });

  test('a compensating port opens ahead of its resting cup, and the cup closes it when it moves', () => {
    for (const port of g.ports.filter((p) => p.kind === 'compensating')) {
      const closing = g.seals.filter(
        (s) => s.role === 'pressure' && s.travelMm > 0 && s.restXMm + s.contactMm / 2 < port.xMm && port.xMm < s.restXMm + s.travelMm,
      );
      expect(closing).toHaveLength(1);
    }
  });

  test('the section stays in its box, and the cups reach the bore', () => {
    const { box, parts, boreRadiusMm } = sectionOf(family, g);
    const [x0, y0, width, height] = box;
    for (const [x, y] of parts.flatMap((p) => p.outlines.flatMap((o) => o.points))) {
      expect(x).toBeGreaterThanOrEqual(x0);
      expect(x).toBeLessThanOrEqual(x0 + width);
      expect(y).toBeGreaterThanOrEqual(y0);
      expect(y).toBeLessThanOrEqual(y0 + height);
    }
    for (const cup of parts.filter((p) => p.kind === 'cup'))
      expect(Math.max(...cup.outlines.flatMap((o) => o.points.map(([, y]) => y)))).toBeCloseTo(boreRadiusMm, 9);
  });
});

test('facings are those of the trade', () => {
  const facings = (name: (typeof WORKED_FAMILIES)[number]) =>
    Object.fromEntries(FAMILIES[name].slots.filter((s) => s.between).map((s) => [s.id, slotFacing(FAMILIES[name], s)]));
  expect(facings('master-single')).toEqual({ secondary: 'blind', primary: 'blind' });
  expect(facings('master-tandem')).toEqual({
    secondary: 'blind',
    'rear-primary': 'blind',
    'floating-rear': 'open',
    'front-primary': 'blind',
  });
  expect(facings('wheel-double')).toEqual({ 'left-cup': 'blind', 'right-cup': 'open' });
});

test.each(WORKED_FAMILIES)('%s: one seal turned is always caught, a right stack never flagged', (name) => {
  const family = FAMILIES[name];
  const right = family.slots.flatMap((s) =>
    s.between === undefined ? [] : [{ id: s.id, kind: s.kind, between: s.between, faces: slotFacing(family, s) ?? null }],
  );
  const check = (seals: typeof right) => stackCheck({ chambers: family.chambers, seals, removed: [], fitted: [] });
  expect(check(right).ok).toBe(true);
  for (const turned of right) {
    const seals = right.map((s) => (s.id === turned.id ? { ...s, faces: s.faces === 'open' ? ('blind' as const) : ('open' as const) } : s));
    expect(
      check(seals)
        .seals.filter((s) => !s.ok)
        .map((s) => s.id),
    ).toEqual([turned.id]);
  }
});
