import { describe, expect, test } from 'vitest';
import { FAMILIES } from './families';
import { type Drawing, type Family, geometryAt } from './family';
import type { Geometry } from './geometry';
import type { PartKind } from './part-kind';
import { isRadial } from './part-kind';
import { type Section, sectionOf } from './section';
import { bodyOf } from './section-body';
import type { Outline } from './shape/outline';
import { cupOutline } from './shape/part-shape';

const at = (name: keyof typeof FAMILIES): { readonly family: Family; readonly g: Geometry } => {
  const drawing = FAMILIES[name].drawing as Drawing;
  return { family: FAMILIES[name], g: geometryAt(drawing, drawing.atMm) };
};
const section = (name: keyof typeof FAMILIES): Section => sectionOf(at(name).family, at(name).g);
const extent = (outlines: readonly Outline[]) => {
  const points = outlines.flatMap((o) => o.points);
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return { x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) };
};
/** Twice the area of a closed outline, mm²: how much metal it is. */
const area2 = (o: Outline): number =>
  Math.abs(
    o.points.reduce((sum, [x, y], i) => {
      const [nx, ny] = o.points[(i + 1) % o.points.length] as readonly [number, number];
      return sum + x * ny - nx * y;
    }, 0),
  );

describe('the body', () => {
  test('its wall is broken at every port of that side, and nowhere else', () => {
    for (const name of ['master-single', 'master-tandem', 'slave', 'wheel-double'] as const) {
      const { family, g } = at(name);
      const pieces = bodyOf(family, g).filter((o) => extent([o]).y1 < 0);
      const top = g.ports.filter((p) => p.side === 'top').sort((a, b) => a.xMm - b.xMm);
      expect([name, pieces.length]).toEqual([name, top.length + 1]);
      for (const [i, p] of top.entries()) {
        const [before, after] = [pieces[i], pieces[i + 1]].map((o) => extent([o as Outline]));
        expect([before?.x1, after?.x0]).toEqual([expect.closeTo(p.xMm - p.diaMm / 2, 9), expect.closeTo(p.xMm + p.diaMm / 2, 9)]);
      }
    }
  });

  test('a blind bore has a bottom, drilled where a port leaves along the axis; a through bore has none', () => {
    const bottoms = (name: keyof typeof FAMILIES) => {
      const { family, g } = at(name);
      return bodyOf(family, g).filter((o) => extent([o]).x0 >= g.lengthMm).length;
    };
    expect([bottoms('master-single'), bottoms('master-lever'), bottoms('wheel-double')]).toEqual([1, 2, 0]);
  });

  test('a groove takes its own metal out of the wall', () => {
    const { family, g } = at('caliper-half');
    const metal = (grooves: Geometry['grooves']): number => bodyOf(family, { ...g, grooves }).reduce((sum, o) => sum + area2(o) / 2, 0);
    const cut = g.grooves.reduce((sum, v) => sum + 2 * v.widthMm * v.depthMm, 0);
    expect(metal([]) - metal(g.grooves)).toBeCloseTo(cut, 6);
  });
});

describe('the parts', () => {
  test('a cup opens its hollow and its lips to the side it faces', () => {
    const blind = cupOutline(0, 5, 10, 'blind');
    const reach = (o: Outline): readonly number[] => o.points.filter(([, y]) => Math.abs(y) === 10).map(([x]) => x);
    expect(reach(blind).every((x) => x > 2.5)).toBe(true);
    expect(reach(cupOutline(0, 5, 10, 'open')).every((x) => x < 2.5)).toBe(true);
    expect(blind.points.map(([x, y]) => [5 - x, y])).toEqual(cupOutline(0, 5, 10, 'open').points);
  });

  test('what sits in a groove reaches into it, what runs in the bore does not touch the wall', () => {
    const { g } = at('master-lever');
    const parts = section('master-lever').parts;
    const y1 = (id: string): number => extent(parts.find((p) => p.slotId === id)?.outlines ?? []).y1;
    const r = g.nominalMm / 2;
    expect(y1('circlip')).toBeGreaterThan(r);
    expect(y1('boot')).toBeGreaterThan(r);
    expect(y1('piston')).toBeLessThan(r);
  });

  test('a spring’s turns lie within its length, whatever it is', () => {
    for (const name of ['master-tandem', 'slave', 'wheel-double'] as const)
      for (const p of section(name).parts.filter((x) => x.kind === 'spring')) {
        const { x0, x1 } = extent(p.outlines);
        expect([p.slotId, x0 >= p.span.x0Mm - 1e-9, x1 <= p.span.x1Mm + 1e-9]).toEqual([p.slotId, true, true]);
      }
  });

  test('another kind in its place is drawn as what it is', () => {
    const { family, g } = at('master-single');
    const points = (kind: PartKind): string => {
      const stack = family.slots.map((s) => (s.id === 'circlip' ? { ...s, kind } : s));
      return JSON.stringify(sectionOf(family, g, stack).parts.find((p) => p.slotId === 'circlip')?.outlines);
    };
    const kinds = family.slots.find((s) => s.id === 'circlip')?.oneOf ?? [];
    expect(new Set(kinds.map(points)).size).toBe(kinds.length);
  });

  test('one that was added lies behind the one before it, at the mouth if it came first', () => {
    const { family, g } = at('wheel-single');
    const [boot, piston, ...rest] = family.slots;
    const added = { id: 'added-1', name: 'packing', kind: 'o-ring' as const };
    const parts = sectionOf(
      family,
      g,
      [added, boot, piston, { ...added, id: 'added-2' }, ...rest].flatMap((s) => (s === undefined ? [] : [s])),
    ).parts;
    expect(parts.find((p) => p.slotId === 'added-1')?.span.x0Mm).toBe(0);
    expect(parts.find((p) => p.slotId === 'added-2')?.span.x0Mm).toBe(g.spans.piston?.x1Mm);
  });
});

describe('pulled apart', () => {
  test('a blind bore gives everything out of its mouth, in its order', () => {
    const { parts } = section('master-single');
    const xs = parts.map((p) => extent(p.outlines).x0 + p.apart[0]);
    expect(xs).toEqual([...xs].sort((a, b) => a - b));
    expect(parts.every((p) => extent(p.outlines).x1 + p.apart[0] < 0)).toBe(true);
  });

  test('a through bore gives half to each side', () => {
    const { g } = at('wheel-double');
    const side = (id: string): 'left' | 'right' | 'in' => {
      const p = section('wheel-double').parts.find((x) => x.slotId === id);
      const { x0, x1 } = extent(p?.outlines ?? []);
      const dx = p?.apart[0] ?? 0;
      return x1 + dx < 0 ? 'left' : x0 + dx > g.lengthMm ? 'right' : 'in';
    };
    expect(['left-boot', 'left-cup', 'expander', 'right-cup', 'right-boot'].map(side)).toEqual(['left', 'left', 'left', 'right', 'right']);
  });

  test('what sits in the wall comes straight out of it', () => {
    for (const p of section('master-tandem').parts.filter((x) => isRadial(x.kind))) {
      const { y0, y1 } = extent(p.outlines);
      expect([p.slotId, p.apart[0], Math.sign(p.apart[1])]).toEqual([p.slotId, 0, Math.sign(y0 + y1)]);
    }
  });
});
