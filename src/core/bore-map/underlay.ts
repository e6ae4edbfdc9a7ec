import type { DownBore } from './down-bore';

/** A point of a photo (u, v: 0 to 1 from its upper left) and where it lies in the bore. */
export type FixedPoint = { readonly u: number; readonly v: number; readonly xMm: number; readonly clockDeg: number };

/** Where a photo lies before it is laid: one of the wall over the whole bore, one down the bore about its middle. */
export const startLies = (kind: Lies['kind'], lengthMm: number): Lies =>
  kind === 'wall'
    ? {
        kind,
        points: [
          { u: 0.05, v: 0.05, xMm: 0, clockDeg: 0 },
          { u: 0.95, v: 0.05, xMm: lengthMm, clockDeg: 0 },
          { u: 0.95, v: 0.95, xMm: lengthMm, clockDeg: 360 },
          { u: 0.05, v: 0.95, xMm: 0, clockDeg: 360 },
        ],
      }
    : {
        kind,
        from: 'open-end',
        mouth: { u: 0.5, v: 0.375, ru: 0.32, rv: 0.32 },
        deep: { u: 0.5, v: 0.375, ru: 0.16, rv: 0.16 },
        deepMm: lengthMm,
        twelveDeg: 0,
      };

type Point = readonly [number, number];

/**
 * The projective map that takes each of four points to another, as the eight numbers of its matrix (the ninth is 1), row by row.
 * @returns undefined when three of the points lie on one line, or two in one place
 * @source the eight linear equations of a homography, solved by elimination with pivoting
 */
export const homography = (from: readonly Point[], to: readonly Point[]): readonly number[] | undefined => {
  const rows = from.flatMap(([x, y], i) => {
    const [u, v] = to[i] as Point;
    return [
      [x, y, 1, 0, 0, 0, -u * x, -u * y, u],
      [0, 0, 0, x, y, 1, -v * x, -v * y, v],
    ];
  });
  for (let c = 0; c < 8; c++) {
    let pivot = c;
    for (let r = c + 1; r < 8; r++) if (Math.abs(rows[r]?.[c] as number) > Math.abs(rows[pivot]?.[c] as number)) pivot = r;
    const [a, b] = [rows[c] as number[], rows[pivot] as number[]];
    if (Math.abs(b[c] as number) < 1e-9) return undefined;
    rows[c] = b;
    rows[pivot] = a;
    for (const [r, row] of rows.entries()) {
      if (r === c) continue;
      const factor = (row[c] as number) / (b[c] as number);
      for (let k = c; k < 9; k++) row[k] = (row[k] as number) - factor * (b[k] as number);
    }
  }
  return rows.map((row, i) => (row[8] as number) / (row[i] as number));
};

/** A point taken through the map. */
export const mapped = (h: readonly number[], [x, y]: Point): Point => {
  const [a, b, c, d, e, f, g, k] = h as [number, number, number, number, number, number, number, number];
  const w = g * x + k * y + 1;
  return [(a * x + b * y + c) / w, (d * x + e * y + f) / w];
};

/** The map as CSS takes it, for an element whose origin is its upper left. */
export const cssMatrix = (h: readonly number[]): string => {
  const [a, b, c, d, e, f, g, k] = h;
  return `matrix3d(${[a, d, 0, g, b, e, 0, k, 0, 0, 1, 0, c, f, 0, 1].join(',')})`;
};

/** How a photo lies in the bore: one of the wall by four of its points, one that looks down the bore by two rings. */
export type Lies = { readonly kind: 'wall'; readonly points: readonly FixedPoint[] } | ({ readonly kind: 'down-bore' } & DownBore);
/** A photo under the bore map. */
export type Underlay = { readonly id: string; readonly pot: number; readonly photoId: string; readonly lies: Lies };
