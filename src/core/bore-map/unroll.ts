import type { TubeView } from './down-bore';

/** A picture: red, green, blue, opacity, 0 to 255, row by row from the upper left. */
export type Pixels = { readonly width: number; readonly height: number; readonly rgba: Uint8ClampedArray };

/** A picture down a bore, unrolled: depth across from the open end, clock down from twelve. */
export type Unrolled = {
  readonly pixels: Pixels;
  /** How far it can be read, mm from the end that it was taken from, and what ends it. */
  readonly readTo: { readonly zMm: number; readonly by: 'its-pixels' | 'its-focus' | 'the-bore' };
};

/** Size of the unrolled picture: fine enough for a map on any screen. */
const ROWS = 720;
const MOST_COLUMNS = 1200;
const COLUMNS_PER_MM = 12;
/** Opacity of what lies beyond what can be read. */
const FAINT = 70;

/**
 * Unrolls a picture onto the map of its bore. What lies beyond the picture's sharpness is faint, what it does not show is clear.
 * @param from the end that it was taken from
 */
export function unroll(picture: Pixels, view: TubeView, lengthMm: number, from: 'open-end' | 'far-end'): Unrolled {
  const width = Math.min(MOST_COLUMNS, Math.ceil(lengthMm * COLUMNS_PER_MM));
  const rgba = new Uint8ClampedArray(width * ROWS * 4);
  const xOf = (column: number): number => ((column + 0.5) / width) * lengthMm;
  for (let row = 0; row < ROWS; row++)
    for (let column = 0; column < width; column++) {
      const at = view.pointOf({ xMm: xOf(column), clockDeg: ((row + 0.5) / ROWS) * 360 });
      if (at !== undefined) take(picture, at.u * picture.width, at.v * picture.width, rgba, (row * width + column) * 4);
    }
  const pixels: Pixels = { width, height: ROWS, rgba };
  const reach = view.reachMm(1 / picture.width);
  const focus = focusTo(picture, view, lengthMm, from);
  const zMm = Math.min(reach, focus, lengthMm);
  const faintFrom = from === 'open-end' ? zMm : lengthMm - zMm;
  for (let column = 0; column < width; column++) {
    if (from === 'open-end' ? xOf(column) <= faintFrom : xOf(column) >= faintFrom) continue;
    for (let row = 0; row < ROWS; row++) {
      const i = (row * width + column) * 4 + 3;
      rgba[i] = Math.min(FAINT, rgba[i] as number);
    }
  }
  return { pixels, readTo: { zMm, by: zMm >= lengthMm ? 'the-bore' : reach <= focus ? 'its-pixels' : 'its-focus' } };
}

/** The picture's colour between four of its pixels; nothing outside of it. */
const take = ({ width, height, rgba }: Pixels, x: number, y: number, into: Uint8ClampedArray, at: number): void => {
  const [x0, y0] = [Math.floor(x - 0.5), Math.floor(y - 0.5)];
  if (x0 < 0 || y0 < 0 || x0 + 1 >= width || y0 + 1 >= height) return;
  const [fx, fy] = [x - 0.5 - x0, y - 0.5 - y0];
  const i = (y0 * width + x0) * 4;
  for (let c = 0; c < 3; c++) {
    const upper = (rgba[i + c] as number) * (1 - fx) + (rgba[i + 4 + c] as number) * fx;
    const lower = (rgba[i + width * 4 + c] as number) * (1 - fx) + (rgba[i + width * 4 + 4 + c] as number) * fx;
    into[at + c] = upper * (1 - fy) + lower * fy;
  }
  into[at + 3] = 255;
};

/** Bands of depth in which the focus is looked at. */
const BANDS = 16;
const ON_BAND = 720;
/** Steps around a ring that are compared, pixels of the picture. */
const [NEAR_PX, FAR_PX] = [1, 6];
/**
 * The mean square of a difference grows with its step where edges are sharp, and with the square of it where they are blurred over more than the step:
 * one sixth against one thirty-sixth. Between the two: blurred.
 */
const BLURRED_BELOW = 1 / 15;
/** Mean square of grey steps under which a band has nothing on it to tell by: noise and the picture's own compression. */
const NOTHING_BELOW = 60;

/** Depth from the end that it was taken from of the last band that is seen to be sharp, mm: a smooth wall beyond it shows nothing, and so does a blurred one. */
const focusTo = (picture: Pixels, view: TubeView, lengthMm: number, from: 'open-end' | 'far-end'): number => {
  for (let band = BANDS; band > 0; band--) {
    const zMm = ((band - 0.5) / BANDS) * lengthMm;
    if (isSharpAt(picture, view, from === 'open-end' ? zMm : lengthMm - zMm)) return (band / BANDS) * lengthMm;
  }
  return 0;
};

const isSharpAt = (picture: Pixels, view: TubeView, xMm: number): boolean => {
  const [a, b, in1] = [
    { xMm, clockDeg: 0 },
    { xMm, clockDeg: 180 },
    { xMm: xMm + 1, clockDeg: 0 },
  ].map(view.pointOf);
  if (a === undefined || b === undefined || in1 === undefined) return false;
  // Around the ring, and along the wall: rings show in the one, scratches in the other.
  const degPerPx = 360 / (Math.PI * Math.hypot(a.u - b.u, a.v - b.v) * picture.width);
  const mmPerPx = 1 / (Math.hypot(a.u - in1.u, a.v - in1.v) * picture.width);
  const grey = (x: number, clockDeg: number): number | undefined => {
    const at = view.pointOf({ xMm: x, clockDeg });
    const out = new Uint8ClampedArray(4);
    if (at !== undefined) take(picture, at.u * picture.width, at.v * picture.width, out, 0);
    return out[3] === 0 ? undefined : 0.3 * (out[0] as number) + 0.6 * (out[1] as number) + 0.1 * (out[2] as number);
  };
  return (
    [
      [0, degPerPx],
      [mmPerPx, 0],
    ] as const
  ).some(([mm, deg]) => {
    let [near, far, n] = [0, 0, 0];
    for (let i = 0; i < ON_BAND; i++) {
      const clock = (i / ON_BAND) * 360;
      const [g, g1, g6] = [0, NEAR_PX, FAR_PX].map((px) => grey(xMm + px * mm, clock + px * deg));
      if (g === undefined || g1 === undefined || g6 === undefined) continue;
      near += (g1 - g) ** 2;
      far += (g6 - g) ** 2;
      n++;
    }
    return n > 0 && far / n >= NOTHING_BELOW && near / far >= BLURRED_BELOW;
  });
};
