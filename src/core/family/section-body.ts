import type { Family } from './family';
import type { Geometry, Port } from './geometry';
import { closed, type Outline, type Point } from './shape/outline';

export const BOTTOM_MM = 7;

/** Walls above and below the bore with their grooves and bosses, broken at the ports, and the bottom of a blind bore. */
export const bodyOf = (family: Family, g: Geometry): readonly Outline[] => [
  ...wallOf(g, 'top', -1),
  ...wallOf(g, 'bottom', 1),
  ...(family.bore === 'blind' ? bottomOf(g) : []),
];

/** How far the metal stands out around a port. */
const bossOf = (p: Port): { readonly half: number; readonly height: number } => {
  if (p.kind === 'compensating') return { half: p.diaMm / 2 + 0.8, height: 0 };
  return { half: p.diaMm / 2 + 3, height: p.kind === 'feed' ? 2.4 : 3.2 };
};

/** One wall as pieces between its ports. @param sign −1 above the axis, 1 below */
const wallOf = (g: Geometry, side: 'top' | 'bottom', sign: 1 | -1): readonly Outline[] => {
  const r = g.nominalMm / 2;
  const ports = g.ports.filter((p) => p.side === side).sort((a, b) => a.xMm - b.xMm);
  const starts = [0, ...ports.map((p) => p.xMm + p.diaMm / 2)];
  const ends = [...ports.map((p) => p.xMm - p.diaMm / 2), g.lengthMm];
  return starts.flatMap((x0, i) => {
    const x1 = ends[i] as number;
    if (x1 <= x0) return [];
    const inner = g.grooves
      .filter((v) => v.xMm >= x0 && v.xMm + v.widthMm <= x1)
      .flatMap((v): readonly Point[] => [
        [v.xMm, r],
        [v.xMm, r + v.depthMm],
        [v.xMm + v.widthMm, r + v.depthMm],
        [v.xMm + v.widthMm, r],
      ]);
    const top = outerEdge(g, ports, x0, x1);
    const points: readonly Point[] = [[x0, r], ...inner, [x1, r], ...[...top].reverse()];
    return [closed(...points.map(([x, y]): Point => [x, sign * y]))];
  });
};

/** The outer edge of a wall piece from left to right, over the bosses that reach into it. */
const outerEdge = (g: Geometry, ports: readonly Port[], x0: number, x1: number): readonly Point[] => {
  const outer = g.nominalMm / 2 + g.wallMm;
  const raised = ports.flatMap((p) => {
    const { half, height } = bossOf(p);
    const [a, b] = [Math.max(x0, p.xMm - half), Math.min(x1, p.xMm + half)];
    return height === 0 || b <= a ? [] : [{ a, b, y: outer + height }];
  });
  return [
    [x0, heightAt(raised, x0, outer)] as Point,
    ...raised.flatMap(({ a, b, y }): readonly Point[] => [
      ...(a > x0
        ? ([
            [a, outer],
            [a, y],
          ] as const)
        : []),
      ...(b < x1
        ? ([
            [b, y],
            [b, outer],
          ] as const)
        : []),
    ]),
    [x1, heightAt(raised, x1, outer)] as Point,
  ];
};

const heightAt = (raised: readonly { readonly a: number; readonly b: number; readonly y: number }[], x: number, outer: number): number =>
  raised.find((b) => x >= b.a && x <= b.b)?.y ?? outer;

/** The bottom, drilled where a port leaves along the axis. */
const bottomOf = (g: Geometry): readonly Outline[] => {
  const outer = g.nominalMm / 2 + g.wallMm;
  const [x0, x1] = [g.lengthMm, g.lengthMm + BOTTOM_MM];
  const port = g.ports.find((p) => p.side === 'end');
  if (port === undefined) return [closed([x0, -outer], [x1, -outer], [x1, outer], [x0, outer])];
  const half = port.diaMm / 2;
  return ([-1, 1] as const).map((s) => closed([x0, s * half], [x1, s * half], [x1, s * outer], [x0, s * outer]));
};
