import { describe, expect, test } from 'vitest';
import { type DownBore, type Ring, tubeView } from './down-bore';
import { type Pixels, unroll } from './unroll';

// The truth is photographed by another camera than the one that is fitted: it is turned by angles, marches along each ray until it meets the wall,
// and its lens bends the outer rays. The rings are what a person marks: the outline's left, right, upper and lower ends, some pixels off.

const [WIDTH, HEIGHT] = [960, 720];
type Shot = {
  readonly diaMm: number;
  readonly lengthMm: number;
  /** Of the picture's width. */
  readonly focal: number;
  readonly backMm: number;
  readonly asideMm: readonly [number, number];
  readonly turnDeg: readonly [pitch: number, yaw: number, roll: number];
  /** How far the lens draws in what stands at a picture's width from its middle. */
  readonly barrel: number;
  /** By hand: a pixel covers 1 mm of the wall where (back + z)² = focal · width in pixels · radius; never beyond the bore. */
  readonly readsToMm: number;
  /** Out of focus beyond this depth, mm. Every bore is scratched along all its length. */
  readonly blurredFromMm?: number;
};
const SHOTS: Readonly<Record<string, Shot>> = {
  'straight and in the middle': {
    diaMm: 22.2,
    lengthMm: 60,
    focal: 0.72,
    backMm: 45,
    asideMm: [0, 0],
    turnDeg: [0, 0, 0],
    barrel: 0,
    readsToMm: 42.6,
  },
  'a telephone held by hand': {
    diaMm: 22.2,
    lengthMm: 60,
    focal: 0.75,
    backMm: 60,
    asideMm: [3, -2],
    turnDeg: [4, -5, 20],
    barrel: 0.01,
    readsToMm: 29.4,
  },
  'close, with a wide lens': {
    diaMm: 25.4,
    lengthMm: 50,
    focal: 0.5,
    backMm: 25,
    asideMm: [-3, 3],
    turnDeg: [-7, 3, -35],
    barrel: 0.02,
    readsToMm: 50,
  },
  'from far off, with a long lens': {
    diaMm: 31.75,
    lengthMm: 40,
    focal: 1.6,
    backMm: 180,
    asideMm: [5, 5],
    turnDeg: [2, 3, 90],
    barrel: 0,
    readsToMm: 0,
  },
  'small and deep': {
    diaMm: 15.9,
    lengthMm: 45,
    focal: 0.72,
    backMm: 35,
    asideMm: [1, 1],
    turnDeg: [3, 3, 10],
    barrel: 0.01,
    readsToMm: 39.1,
  },
};
const MARKS = [
  { xMm: 4, clockDeg: 30 },
  { xMm: 9, clockDeg: 180 },
  { xMm: 14, clockDeg: 275 },
  { xMm: 18, clockDeg: 100 },
] as const;
const MARK_MM = 1.3;

/** The bore's frame seen from the camera: turned by three angles, one after the other. */
const turned = ([x, y, z]: readonly number[], { turnDeg }: Shot): readonly [number, number, number] => {
  const [p, w, r] = turnDeg.map((d) => (d * Math.PI) / 180) as [number, number, number];
  const [x1, y1] = [(x as number) * Math.cos(r) - (y as number) * Math.sin(r), (x as number) * Math.sin(r) + (y as number) * Math.cos(r)];
  const [y2, z2] = [y1 * Math.cos(p) - (z as number) * Math.sin(p), y1 * Math.sin(p) + (z as number) * Math.cos(p)];
  return [x1 * Math.cos(w) + z2 * Math.sin(w), y2, -x1 * Math.sin(w) + z2 * Math.cos(w)];
};
/** The same, backwards. */
const turnedBack = ([x, y, z]: readonly number[], { turnDeg }: Shot): readonly [number, number, number] => {
  const [p, w, r] = turnDeg.map((d) => (-d * Math.PI) / 180) as [number, number, number];
  const [x1, z1] = [(x as number) * Math.cos(w) + (z as number) * Math.sin(w), -(x as number) * Math.sin(w) + (z as number) * Math.cos(w)];
  const [y2, z2] = [(y as number) * Math.cos(p) - z1 * Math.sin(p), (y as number) * Math.sin(p) + z1 * Math.cos(p)];
  return [x1 * Math.cos(r) - y2 * Math.sin(r), x1 * Math.sin(r) + y2 * Math.cos(r), z2];
};
/** Where the camera stands in the bore's frame: x right and y down as seen from the mouth, z into the bore. It looks at the mouth’s middle, but for its turn. */
const eyeOf = ({ asideMm, backMm }: Shot): readonly [number, number, number] => [asideMm[0], asideMm[1], -backMm];
const onWall = ({ diaMm }: Shot, xMm: number, clockDeg: number): readonly number[] => {
  const a = (clockDeg * Math.PI) / 180;
  return [(diaMm / 2) * Math.sin(a), (-diaMm / 2) * Math.cos(a), xMm];
};
const pictured = (shot: Shot, place: readonly number[]): readonly [number, number] => {
  const eye = eyeOf(shot);
  const [x, y, z] = turned(
    place.map((c, i) => c - (eye[i] as number)),
    shot,
  );
  const [u, v] = [(shot.focal * x) / z, (shot.focal * y) / z];
  const drawn = 1 - shot.barrel * (u * u + v * v);
  return [WIDTH * (0.5 + u * drawn), HEIGHT / 2 + WIDTH * v * drawn];
};

const isMarked = (shot: Shot, [x, y, z]: readonly number[]): boolean =>
  MARKS.some((m) => {
    const clock = (Math.atan2(x as number, -(y as number)) * 180) / Math.PI;
    const off = (((clock - m.clockDeg + 540) % 360) - 180) * (Math.PI / 180) * (shot.diaMm / 2);
    return Math.hypot((z as number) - m.xMm, off) < MARK_MM;
  });

const photographed = (shot: Shot): Pixels => {
  const grey = new Float32Array(WIDTH * HEIGHT);
  const blurred = new Set<number>();
  const [eye, radius] = [eyeOf(shot), shot.diaMm / 2];
  for (let row = 0; row < HEIGHT; row++)
    for (let column = 0; column < WIDTH; column++) {
      let [u, v] = [(column + 0.5) / WIDTH - 0.5, (row + 0.5 - HEIGHT / 2) / WIDTH];
      const grown = 1 + shot.barrel * (u * u + v * v);
      [u, v] = [u * grown, v * grown];
      const ray = turnedBack([u / shot.focal, v / shot.focal, 1], shot);
      const at = (t: number): readonly number[] => ray.map((d, i) => (eye[i] as number) + t * d);
      const outside = (t: number): boolean => Math.hypot(at(t)[0] as number, at(t)[1] as number) > radius;
      const mouthAt = -(eye[2] as number) / ray[2];
      let value = 120;
      if (!outside(mouthAt)) {
        let [near, far] = [mouthAt, mouthAt];
        while (!outside(far) && (at(far)[2] as number) < shot.lengthMm) [near, far] = [far, far + 2];
        for (let i = 0; i < 20; i++) {
          const mid = (near + far) / 2;
          if (outside(mid)) far = mid;
          else near = mid;
        }
        const place = at(near);
        const z = place[2] as number;
        const scratched = Math.abs(Math.sin(15 * Math.atan2(place[0] as number, place[1] as number))) < 0.2;
        value = z >= shot.lengthMm ? 20 : isMarked(shot, place) ? 40 : scratched ? 150 : 210;
        if (z > (shot.blurredFromMm ?? Infinity)) blurred.add(row * WIDTH + column);
      }
      grey[row * WIDTH + column] = value;
    }
  const sharp = grey.slice();
  for (const i of blurred) {
    let sum = 0;
    for (let dy = -6; dy <= 6; dy++) for (let dx = -6; dx <= 6; dx++) sum += sharp[i + dy * WIDTH + dx] as number;
    grey[i] = sum / 169;
  }
  const rgba = new Uint8ClampedArray(WIDTH * HEIGHT * 4);
  for (let i = 0; i < grey.length; i++) rgba.set([grey[i] as number, grey[i] as number, grey[i] as number, 255], i * 4);
  return { width: WIDTH, height: HEIGHT, rgba };
};

/** What a person marks of the outline at a depth: its ends, each off by so many pixels. */
const ringAt = (shot: Shot, xMm: number, offPx: readonly number[]): Ring => {
  const all = Array.from({ length: 360 }, (_, i) => pictured(shot, onWall(shot, xMm, i)));
  const [us, vs] = [all.map((p) => p[0]), all.map((p) => p[1])];
  const [l, r, t, b] = [Math.min(...us), Math.max(...us), Math.min(...vs), Math.max(...vs)].map(
    (e, i) => (e + (offPx[i] ?? 0)) / WIDTH,
  ) as [number, number, number, number];
  return { u: (l + r) / 2, v: (t + b) / 2, ru: (r - l) / 2, rv: (b - t) / 2 };
};
/** Twelve o'clock as a person points to it on the mouth, seen from the middle of its outline. */
const twelveOf = (shot: Shot): number => {
  const [ring, [x, y]] = [ringAt(shot, 0, []), pictured(shot, onWall(shot, 0, 0))];
  return (Math.atan2(x / WIDTH - ring.u, -(y / WIDTH - ring.v)) * 180) / Math.PI;
};
const laid = (shot: Shot, offPx: readonly number[] = [1, -1, 1, 1.5]): DownBore => ({
  from: 'open-end',
  mouth: ringAt(shot, 0, offPx),
  deep: ringAt(
    shot,
    25,
    offPx.map((o) => -o / 2),
  ),
  deepMm: 25,
  twelveDeg: twelveOf(shot),
});

describe.each(Object.entries(SHOTS))('a picture down a bore: %s', (_, shot) => {
  const view = tubeView(laid(shot), shot, HEIGHT / WIDTH);
  test('every mark of it lands on the map within 2 mm and 3°', () => {
    if (view === undefined) throw new Error('no camera was found');
    const { pixels, readTo } = unroll(photographed(shot), view, shot.lengthMm, 'open-end');
    for (const m of MARKS) {
      const [x, y, n] = darkNear(pixels, shot.lengthMm, m);
      expect(n, `something dark near ${m.xMm} mm, ${m.clockDeg}°`).toBeGreaterThan(20);
      expect(Math.abs(x - m.xMm), `${m.xMm} mm`).toBeLessThan(2);
      expect(Math.abs(y - m.clockDeg), `${m.clockDeg}°`).toBeLessThan(3);
    }
    expect(Math.abs(readTo.zMm - shot.readsToMm)).toBeLessThan(5);
  });
  test('what is drawn in it is found where it stands', () => {
    for (const m of MARKS) {
      const [x, y] = pictured(shot, onWall(shot, m.xMm, m.clockDeg));
      const found = view?.placeOf({ u: x / WIDTH, v: y / WIDTH });
      expect(Math.abs((found?.xMm ?? NaN) - m.xMm)).toBeLessThan(2);
      expect(Math.abs((found?.clockDeg ?? NaN) - m.clockDeg)).toBeLessThan(3);
    }
  });
});

/** The middle of what is dark about a place of the unrolled picture: mm, degrees, how many pixels. */
const darkNear = ({ width, height, rgba }: Pixels, lengthMm: number, m: (typeof MARKS)[number]): readonly [number, number, number] => {
  let [sx, sy, n] = [0, 0, 0];
  for (let row = 0; row < height; row++)
    for (let column = 0; column < width; column++) {
      const [x, y] = [((column + 0.5) / width) * lengthMm, ((row + 0.5) / height) * 360];
      const i = (row * width + column) * 4;
      if (Math.abs(x - m.xMm) > 4 || Math.abs(y - m.clockDeg) > 20 || (rgba[i] as number) > 110 || rgba[i + 3] === 0) continue;
      [sx, sy, n] = [sx + x, sy + y, n + 1];
    }
  return [sx / n, sy / n, n];
};

describe('what a picture cannot show', () => {
  const shot = SHOTS['straight and in the middle'] as Shot;
  test('rings that are of no tube have no view', () => {
    const lies = laid(shot);
    expect(tubeView({ ...lies, deep: lies.mouth }, shot, 0.75)).toBeUndefined();
    expect(tubeView({ ...lies, mouth: lies.deep, deep: lies.mouth }, shot, 0.75)).toBeUndefined();
    expect(tubeView({ ...lies, deepMm: 0 }, shot, 0.75)).toBeUndefined();
  });
  test('a place outside of the tube is none', () => {
    const view = tubeView(laid(shot, []), shot, HEIGHT / WIDTH);
    expect(view?.placeOf({ u: 0.01, v: 0.01 })).toBeUndefined();
    expect(view?.placeOf({ u: 0.5, v: 0.375 })).toBeUndefined();
  });
  // By hand: focal 0.72 of 960 px = 691 px; a radius of 11.1 mm; 1 mm is one pixel where (45 + z)² = 691 · 11.1, z = 42.6 mm.
  test('it reads as far as a pixel covers a millimetre', () => {
    const view = tubeView(laid(shot, []), shot, HEIGHT / WIDTH);
    if (view === undefined) throw new Error('no camera was found');
    expect(view.reachMm(1 / WIDTH)).toBeCloseTo(42.6, 0);
    const { pixels, readTo } = unroll(photographed(shot), view, shot.lengthMm, 'open-end');
    expect(readTo.by).toBe('its-pixels');
    const opacityAt = (mm: number): number | undefined => pixels.rgba[(100 * pixels.width + Math.floor((mm / 60) * pixels.width)) * 4 + 3];
    expect([opacityAt(40), (opacityAt(45) as number) < 128]).toEqual([255, true]);
  });
  test('what is out of focus ends it sooner', () => {
    const soft = { ...shot, blurredFromMm: 26 };
    const view = tubeView(laid(soft, []), soft, HEIGHT / WIDTH);
    if (view === undefined) throw new Error('no camera was found');
    const { readTo } = unroll(photographed(soft), view, soft.lengthMm, 'open-end');
    expect(readTo.by).toBe('its-focus');
    expect(Math.abs(readTo.zMm - 26)).toBeLessThan(5);
  });
  test('taken from the far end, depth and clock run the other way', () => {
    const [near, far] = (['open-end', 'far-end'] as const).map((from) => tubeView({ ...laid(shot, []), from }, shot, HEIGHT / WIDTH));
    const at = near?.pointOf({ xMm: 10, clockDeg: 70 });
    const same = far?.placeOf(at ?? { u: 0, v: 0 });
    expect(same?.xMm).toBeCloseTo(50, 3);
    expect(same?.clockDeg).toBeCloseTo(290, 3);
  });
});
