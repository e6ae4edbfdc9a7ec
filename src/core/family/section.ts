import type { Faces } from '../close-up/stack-check';
import { type Family, type Slot, slotFacing } from './family';
import type { Geometry, Span } from './geometry';

/** A closed or open outline in mm: x from the open end, y down from the axis. */
export type Outline = { readonly points: readonly (readonly [number, number])[]; readonly closed: boolean };
export type SectionPart = {
  readonly slotId: string;
  readonly name: string;
  readonly kind: Slot['kind'];
  readonly outlines: readonly Outline[];
  readonly labelXMm: number;
};

/** The unit cut along its axis, to scale. `box` is what the drawing needs: x0, y0, width, height in mm. */
export type Section = {
  readonly box: readonly [number, number, number, number];
  readonly boreRadiusMm: number;
  readonly body: readonly Outline[];
  readonly axis: Span;
  readonly parts: readonly SectionPart[];
};

const BLIND_END_MM = 7;

/** Section drawing of a unit from its geometry. Lips are drawn where the chambers ask. */
export const sectionOf = (family: Family, g: Geometry): Section => {
  const r = g.nominalMm / 2;
  const parts = family.slots.flatMap((s) => {
    const at = g.spans[s.id];
    const outlines = at === undefined ? [] : outlinesOf(s, at, r, slotFacing(family, s) ?? 'blind', g.wallMm);
    return at === undefined ? [] : [{ slotId: s.id, name: s.name, kind: s.kind, outlines, labelXMm: (at.x0Mm + at.x1Mm) / 2 }];
  });
  const spans = Object.values(g.spans);
  const x0 = Math.min(0, ...spans.map((s) => s.x0Mm)) - 2;
  const bodyEnd = g.lengthMm + (family.bore === 'blind' ? BLIND_END_MM : 0);
  const x1 = Math.max(bodyEnd, ...spans.map((s) => s.x1Mm)) + 2;
  const half = r + g.wallMm + 5;
  return { box: [x0, -half, x1 - x0, 2 * half], boreRadiusMm: r, body: bodyOf(family, g), axis: { x0Mm: x0, x1Mm: x1 }, parts };
};

/** Walls above and below the bore, broken at the ports, and the bottom of a blind bore. */
const bodyOf = (family: Family, g: Geometry): readonly Outline[] => {
  const r = g.nominalMm / 2;
  const outer = r + g.wallMm;
  const end = g.lengthMm;
  const wall = (side: 'top' | 'bottom'): readonly Outline[] => {
    const [near, far] = side === 'top' ? [-r, -outer] : [r, outer];
    const holes = g.ports
      .filter((p) => p.side === side)
      .map((p) => [p.xMm - p.diaMm / 2, p.xMm + p.diaMm / 2] as const)
      .sort((a, b) => a[0] - b[0]);
    const starts = [0, ...holes.map((h) => h[1])];
    const ends = [...holes.map((h) => h[0]), end];
    return starts.map((x, i) => box(x, near, ends[i] as number, far));
  };
  const bottom = family.bore === 'blind' ? [box(end, -outer, end + BLIND_END_MM, outer)] : [];
  return [...wall('top'), ...wall('bottom'), ...bottom];
};

const outlinesOf = (s: Slot, { x0Mm: a, x1Mm: b }: Span, r: number, faces: Faces, wall: number): readonly Outline[] => {
  switch (s.kind) {
    case 'cup':
      return [cupOutline(a, b, r, faces)];
    case 'piston':
      return [pistonOutline(a, b, r)];
    case 'spring':
      return [springOutline(a, b, r * 0.62)];
    case 'boot':
      return bootOutlines(a, b, r);
    case 'pushrod':
      return [box(a, -2.2, b, 2.2)];
    case 'circlip':
      return [box(a, -r - 1.2, b, -r + 1.6), box(a, r - 1.6, b, r + 1.2)];
    case 'set-screw':
      return [box(a, r - 3, b, r + wall + 1.5)];
    case 'bleed-screw':
      return [box(a, -r - wall - 4, b, -r - 0.6)];
    case 'grommet':
      return [a, b].map((x) => box(x - 2.6, -r - wall - 2, x + 2.6, -r - wall + 1.2));
    case 'residual-valve':
      return [box(a, -r * 0.5, b, r * 0.5)];
    default:
      return [box(a, -r * 0.88, b, r * 0.88)];
  }
};

const box = (x0: number, y0: number, x1: number, y1: number): Outline => ({
  points: [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ],
  closed: true,
});

/** A cup in section: a base, and lips that reach to the bore on the side it faces. */
export const cupOutline = (a: number, b: number, r: number, faces: Faces): Outline => {
  const base = (b - a) * 0.34;
  const blind: readonly (readonly [number, number])[] = [
    [a, -r + 0.7],
    [a + base, -r + 0.35],
    [b, -r],
    [b, -r + 0.8],
    [a + base, -r + 2.6],
    [a + base, r - 2.6],
    [b, r - 0.8],
    [b, r],
    [a + base, r - 0.35],
    [a, r - 0.7],
  ];
  return { points: faces === 'blind' ? blind : blind.map(([x, y]) => [a + b - x, y]), closed: true };
};

/** Lands at both ends, a waist between. */
const pistonOutline = (a: number, b: number, r: number): Outline => {
  const [land, waist, edge] = [Math.min(4, (b - a) / 4), r * 0.62, r - 0.4];
  const top: readonly (readonly [number, number])[] = [
    [a, -edge],
    [a + land, -edge],
    [a + land, -waist],
    [b - land, -waist],
    [b - land, -edge],
    [b, -edge],
  ];
  return { points: [...top, ...[...top].reverse().map(([x, y]) => [x, -y] as const)], closed: true };
};

const springOutline = (a: number, b: number, amplitude: number): Outline => {
  const turns = Math.max(3, Math.round((b - a) / 3.4));
  const points = Array.from(
    { length: 2 * turns + 1 },
    (_, i) => [a + ((b - a) * i) / (2 * turns), i % 2 === 0 ? amplitude : -amplitude] as const,
  );
  return { points, closed: false };
};

/** A boot as two pleated skins from the mouth to the rod; the narrow end is the one away from the body. */
const bootOutlines = (a: number, b: number, r: number): readonly Outline[] => {
  const narrowFirst = a < 0;
  const pleats = 6;
  const skin = (sign: 1 | -1): Outline => ({
    closed: false,
    points: Array.from({ length: pleats + 1 }, (_, i) => {
      const along = i / pleats;
      const wide = narrowFirst ? along : 1 - along;
      return [a + (b - a) * along, sign * (3.5 + (r - 2.5) * wide + (i % 2 === 1 ? 1.1 : 0))] as const;
    }),
  });
  return [skin(-1), skin(1)];
};
