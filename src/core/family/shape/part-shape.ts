import type { Faces } from '../facing';
import type { Geometry, Groove, Span } from '../geometry';
import type { PartKind } from '../part-kind';
import { bothSides, box, circle, closed, hole, line, type Outline, type Point, turned } from './outline';

type Placed = {
  readonly kind: PartKind;
  readonly span: Span;
  readonly faces: Faces;
  /** The groove it sits in, if it sits in one. */
  readonly groove: Groove | undefined;
};

/** A part in section, in mm, where it lies in the unit. */
export const outlinesOf = ({ kind, span: { x0Mm: a, x1Mm: b }, faces, groove }: Placed, g: Geometry): readonly Outline[] => {
  const r = g.nominalMm / 2;
  const outer = r + g.wallMm;
  const mid = (a + b) / 2;
  switch (kind) {
    case 'cup':
    case 'plunger-seal':
      return [cupOutline(a, b, r, faces)];
    case 'piston':
    case 'shuttle':
      return [pistonOutline(a, b, r)];
    case 'plunger':
      return [plungerOutline(a, b, r)];
    case 'spring':
      return springOutlines(a, b, r * 0.68);
    case 'boot':
      return bootOutlines(a, b, r, groove === undefined ? 0 : groove.depthMm);
    case 'dust-seal':
      return bothSides(
        closed(
          [a, r - 1.2],
          [b - 1, r - 0.2],
          [b - 1, r + (groove?.depthMm ?? 0)],
          [b - 3.5, r + (groove?.depthMm ?? 0)],
          [b - 3.5, r + 0.4],
          [a, r + 0.2],
        ),
      );
    case 'pushrod':
      return pushrodOutlines(a, b, r);
    case 'circlip':
      return eyedClip(a, b, r, groove);
    case 'wire-ring':
      return bothSides(circle(mid, r + 0.2, Math.min(0.8, (b - a) / 2)));
    case 'nylon-ring':
      return bothSides(closed([a, r - 2], [b, r - 2.6], [b, r], [b - 0.3, r + (groove?.depthMm ?? 0)], [a, r + (groove?.depthMm ?? 0)]));
    case 'tanged-clip':
      return bothSides(
        closed(
          [a, r + (groove?.depthMm ?? 0)],
          [b, r - 0.4],
          [b, r - 3.4],
          [b - 0.6, r - 3.4],
          [b - 0.6, r - 0.8],
          [a, r + (groove?.depthMm ?? 0) - 0.6],
        ),
      );
    case 'set-screw':
      return [turnedDown(mid, (b - a) / 2, r - 2.6, outer + 1.6)];
    case 'stop-pin':
      return [box(mid - 1, r - 3, mid + 1, outer - 0.4)];
    case 'bleed-screw':
      return bleedOutlines(mid, r, outer);
    case 'bleed-cap':
      return [
        closed([a, -outer - 9], [b, -outer - 9], [b, -outer - 15], [b - 1.6, -outer - 16.4], [a + 1.6, -outer - 16.4], [a, -outer - 15]),
      ];
    case 'grommet':
      return [a, b].flatMap((x) => [box(x - 4.4, -outer - 4.6, x - 1.5, -outer - 1.4), box(x + 1.5, -outer - 4.6, x + 4.4, -outer - 1.4)]);
    case 'roll-pin':
      return [a, b].flatMap((x) => [circle(x, -outer - 3.6, 1.2), hole(circle(x, -outer - 3.6, 0.6))]);
    case 'check-valve':
      return [a, b].flatMap((x) => [
        closed([x - 1.6, outer - 2], [x + 1.6, outer - 2], [x + 1.6, outer + 1], [x, outer + 2.4], [x - 1.6, outer + 1]),
        hole(circle(x, outer - 0.4, 0.6)),
      ]);
    case 'cross-over-seal':
      return [circle(mid - 2.4, outer + 3.4, 0.9), circle(mid + 2.4, outer + 3.4, 0.9)];
    case 'square-seal':
      return bothSides(box(a, r - 0.15, b, r + (groove?.depthMm ?? 3)));
    case 'o-ring':
      return bothSides(circle(mid, r - (b - a) / 2, (b - a) / 2));
    case 'end-seal':
      return bothSides(closed([a, 1.4], [a + 0.8, 1.2], [b, 2.2], [b, r * 0.52], [a, r * 0.46]));
    case 'spring-seat':
      return thimbleOutlines(a, b, r);
    case 'valve-stem':
      return [turned([a, -2.1], [a + 1.2, -2.1], [a + 1.2, -0.9], [b - 1.4, -0.9], [b - 1.4, -r * 0.4], [b, -r * 0.4])];
    case 'spacer':
      return [turned([a, -r * 0.8], [b, -r * 0.8]), hole(turned([a, -1.1], [b, -1.1]))];
    case 'dished-washer':
    case 'concave-washer':
      return bothSides(closed([a, r * 0.94], [a + 0.9, r * 0.94], [b, 3.2], [b - 0.9, 3.2]));
    case 'wave-washer':
      return bothSides(line(...Array.from({ length: 7 }, (_, i): Point => [i % 2 === 0 ? a : b, 1.4 + ((r * 0.7 - 1.4) * i) / 6])));
    case 'residual-valve':
      return [turned([a, -r * 0.34], [a + 0.8, -r * 0.56], [b, -r * 0.56]), hole(circle(mid, 0, 0.7))];
    case 'stop-washer':
    case 'protector-washer':
    case 'sealing-washer':
      return kind === 'sealing-washer' && a > g.lengthMm
        ? [a, b].flatMap((x) => bothSides(box(x, 2.4, x + 1.2, 6)))
        : bothSides(box(a, kind === 'stop-washer' ? 3 : r * 0.36, b, r - 0.35));
    case 'banjo-bolt':
      return [
        turned([a, -2.2], [a + (b - a) * 0.68, -2.2], [a + (b - a) * 0.68, -5.4], [b, -5.4]),
        hole(box(a, -0.8, a + (b - a) * 0.45, 0.8)),
      ];
    default:
      return [turned([a, -r * 0.88], [b, -r * 0.88])];
  }
};

/** A cup in section: a heel, and lips that reach to the bore on the side it faces, with the hollow that pressure opens. */
export const cupOutline = (a: number, b: number, r: number, faces: Faces): Outline => {
  const heel = (b - a) * 0.38;
  const lip = Math.min(2.6, r * 0.3);
  const top: readonly Point[] = [
    [a, -r + 0.9],
    [a + 0.5, -r + 0.45],
    [a + heel, -r + 0.3],
    [b - 0.5, -r],
    [b, -r + 0.35],
    [b - 0.25, -r + 0.9],
    [a + heel + 0.9, -r + lip * 0.8],
    [a + heel, -r + lip * 1.25],
    [a + heel + 0.25, -r + lip * 1.9],
    [a + heel + 0.9, -r + lip * 2.3],
  ];
  const blind = turned(...top).points;
  return closed(...(faces === 'blind' ? blind : blind.map(([x, y]): Point => [a + b - x, y])));
};

/** Lands at both ends, a waist between. */
const pistonOutline = (a: number, b: number, r: number): Outline => {
  const [land, waist, edge] = [Math.min(4, (b - a) / 4), r * 0.62, r - 0.25];
  return turned(
    [a, -edge + 0.5],
    [a + 0.5, -edge],
    [a + land, -edge],
    [a + land, -waist],
    [b - land, -waist],
    [b - land, -edge],
    [b, -edge],
  );
};

/** A plunger: one long land, the groove of its seal, and a nose that the thimble hooks on. */
const plungerOutline = (a: number, b: number, r: number): Outline => {
  const edge = r - 0.25;
  const seal = a + (b - a) * 0.64;
  return turned(
    [a, -edge + 0.5],
    [a + 0.5, -edge],
    [seal, -edge],
    [seal, -r * 0.55],
    [b - 3, -r * 0.55],
    [b - 3, -edge],
    [b - 2, -edge],
    [b - 2, -3.4],
    [b, -3.4],
  );
};

/** A coil spring cut along its axis: the wire's rounds above and below, and the turns behind them. */
const springOutlines = (a: number, b: number, radius: number): readonly Outline[] => {
  const wire = Math.min(0.75, (b - a) / 12);
  const turns = Math.max(3, Math.round((b - a - 2 * wire) / 4.2));
  const pitch = (b - a - 2 * wire) / turns;
  const rounds = Array.from({ length: turns + 1 }, (_, i) => a + wire + i * pitch);
  return [
    ...rounds.slice(0, -1).map((x) => line([x, -radius], [x + pitch / 2, radius])),
    ...rounds.slice(0, -1).map((x) => line([x + pitch / 2, radius], [x + pitch, -radius])),
    ...rounds.map((x) => circle(x, -radius, wire)),
    ...rounds.slice(0, -1).map((x) => circle(x + pitch / 2, radius, wire)),
  ];
};

/** A boot as two pleated skins from the mouth to the rod; the narrow end is the one away from the body. @param beadMm how far its bead reaches into a groove */
const bootOutlines = (a: number, b: number, r: number, beadMm: number): readonly Outline[] => {
  const narrowFirst = a < 0;
  const pleats = 6;
  const edge = beadMm > 0 ? r + beadMm : r + 1;
  const outer = Array.from({ length: pleats + 1 }, (_, i): Point => {
    const along = i / pleats;
    const wide = narrowFirst ? along : 1 - along;
    return [a + (b - a) * along, 3.6 + (edge - 3.6) * wide + (i % 2 === 1 ? 1.2 : 0)];
  });
  return bothSides(closed(...outer, ...[...outer].reverse().map(([x, y]): Point => [x, y - 1])));
};

/** A round-tipped rod; what reaches out of the boot is threaded for a clevis. */
const pushrodOutlines = (a: number, b: number, r: number): readonly Outline[] => {
  const half = Math.min(2.8, r * 0.3);
  const thread = a + (b - a) * 0.22;
  return [
    turned([a, -half + 0.5], [thread, -half + 0.5], [thread, -half], [b - half, -half], [b - half * 0.3, -half * 0.7], [b, -0.01]),
    ...Array.from({ length: 4 }, (_, i) => a + ((i + 0.6) * (thread - a)) / 4.5).map((x) => line([x, -half + 0.5], [x + 0.9, half - 0.5])),
  ];
};

/** An eyed circlip: its ring in the groove, and its two eyes standing inward at the gap. */
const eyedClip = (a: number, b: number, r: number, groove: Groove | undefined): readonly Outline[] => {
  const out = r + (groove?.depthMm ?? 1.2) - 0.1;
  const mid = (a + b) / 2;
  return [box(a, -out, b, -r + 2.8), hole(circle(mid, -r + 1.5, Math.min(0.5, (b - a) / 3))), box(a, r - 1.1, b, out)];
};

/** A spring seat as a cap over the spring's end; a long one is a thimble that hooks the plunger's nose. */
const thimbleOutlines = (a: number, b: number, r: number): readonly Outline[] => {
  if (b - a < 4) return [turned([a, -r * 0.78], [a + 0.8, -r * 0.78], [a + 0.8, -r * 0.42], [b, -r * 0.42])];
  return bothSides(
    closed([a - 2.4, 3.5], [a - 2.4, 4.1], [b - 0.7, 4.1], [b - 0.7, r * 0.8], [b, r * 0.8], [b, 2.4], [b - 0.7, 2.4], [b - 0.7, 3.5]),
  );
};

const turnedDown = (x: number, half: number, tip: number, head: number): Outline =>
  closed(
    [x - half * 0.6, tip],
    [x + half * 0.6, tip],
    [x + half * 0.6, head - 3],
    [x + half, head - 3],
    [x + half, head],
    [x - half, head],
    [x - half, head - 3],
    [x - half * 0.6, head - 3],
  );

/** A bleed screw: cone on its seat, thread, hexagon, nipple, and the drilling through it. */
const bleedOutlines = (x: number, r: number, outer: number): readonly Outline[] => [
  closed(
    [x - 1, -r - 0.4],
    [x + 1, -r - 0.4],
    [x + 2.2, -r - 2],
    [x + 2.2, -outer - 3.6],
    [x + 3.2, -outer - 3.6],
    [x + 3.2, -outer - 7],
    [x + 1.7, -outer - 7],
    [x + 1.7, -outer - 12],
    [x - 1.7, -outer - 12],
    [x - 1.7, -outer - 7],
    [x - 3.2, -outer - 7],
    [x - 3.2, -outer - 3.6],
    [x - 2.2, -outer - 3.6],
    [x - 2.2, -r - 2],
  ),
  hole(box(x - 0.5, -outer - 12, x + 0.5, -r - 3)),
];
