import { fc, test as property } from '@fast-check/vitest';
import { expect, test } from 'vitest';
import { cssMatrix, homography, mapped } from './underlay';

const SQUARE = [
  [0, 0],
  [1, 0],
  [1, 1],
  [0, 1],
] as const;
const near = (at: number) => fc.double({ min: at - 0.3, max: at + 0.3, noNaN: true });

property.prop([fc.tuple(...SQUARE.map(([x, y]) => fc.tuple(near(x), near(y))))])('a photo’s four points land where they are put', (to) => {
  const h = homography(SQUARE, to) as readonly number[];
  SQUARE.forEach((p, i) => {
    const [x, y] = mapped(h, p);
    expect(x).toBeCloseTo(to[i]?.[0] as number, 7);
    expect(y).toBeCloseTo(to[i]?.[1] as number, 7);
  });
});

test('straight lines stay straight, also where the photo was taken aslant', () => {
  const h = homography(SQUARE, [
    [0, 0],
    [10, 2],
    [9, 7],
    [1, 9],
  ]) as readonly number[];
  const [a, b, c] = [mapped(h, [0, 0.3]), mapped(h, [0.5, 0.5]), mapped(h, [1, 0.7])];
  expect((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])).toBeCloseTo(0, 9);
});

test('three points in a line have no map; the rest go to CSS column by column', () => {
  expect(
    homography(SQUARE, [
      [0, 0],
      [1, 0],
      [2, 0],
      [3, 0],
    ]),
  ).toBeUndefined();
  const h = homography(SQUARE, [
    [5, 7],
    [6, 7],
    [6, 8],
    [5, 8],
  ]) as readonly number[];
  expect(cssMatrix(h.map((v) => Math.round(v * 1e9) / 1e9))).toBe('matrix3d(1,0,0,0,0,1,0,0,0,0,1,0,5,7,0,1)');
});
