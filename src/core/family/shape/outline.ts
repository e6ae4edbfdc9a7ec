export type Point = readonly [xMm: number, yMm: number];
/** A closed or open outline in mm. `hole`: what is cut out of the part, an eye or a drilling. */
export type Outline = { readonly points: readonly Point[]; readonly closed: boolean; readonly hole?: true };

export const closed = (...points: readonly Point[]): Outline => ({ points, closed: true });
export const line = (...points: readonly Point[]): Outline => ({ points, closed: false });
export const box = (x0: number, y0: number, x1: number, y1: number): Outline => closed([x0, y0], [x1, y0], [x1, y1], [x0, y1]);
export const hole = (o: Outline): Outline => ({ ...o, hole: true });

export const circle = (x: number, y: number, r: number): Outline =>
  closed(
    ...Array.from({ length: 16 }, (_, i): Point => {
      const a = (i * Math.PI) / 8;
      return [x + r * Math.cos(a), y + r * Math.sin(a)];
    }),
  );

/** The same below the axis as above it, as one closed outline. @param top from left to right */
export const turned = (...top: readonly Point[]): Outline => closed(...top, ...[...top].reverse().map(([x, y]): Point => [x, -y]));

/** An outline above the axis and its like below it. */
export const bothSides = (o: Outline): readonly Outline[] => [o, { ...o, points: o.points.map(([x, y]): Point => [x, -y]) }];

/** Where outlines lie; mm. */
export type Extent = { readonly x0: number; readonly y0: number; readonly x1: number; readonly y1: number };

/** One walk over the points: springs have hundreds. */
export const extentOf = (outlines: readonly Outline[]): Extent => {
  let [x0, y0, x1, y1] = [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (const { points } of outlines)
    for (const [x, y] of points) {
      if (x < x0) x0 = x;
      if (x > x1) x1 = x;
      if (y < y0) y0 = y;
      if (y > y1) y1 = y;
    }
  return { x0, y0, x1, y1 };
};
