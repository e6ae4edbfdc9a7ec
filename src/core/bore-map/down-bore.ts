import { leastSquares } from '../statistics/least-squares';

/** A point of a picture in shares of its width: u across from the left, v down from the top. Circles stay circles in it. */
export type PicturePoint = { readonly u: number; readonly v: number };
/** The bore's outline at one depth as it stands in a picture: an ellipse that is not turned. Shares of the picture's width. */
export type Ring = PicturePoint & { readonly ru: number; readonly rv: number };
/** How a picture that looks down a bore lies in it. */
export type DownBore = {
  /** The end that it was taken from; the clock is always as seen from the open end. */
  readonly from: 'open-end' | 'far-end';
  /** The outline at the end that it was taken from. */
  readonly mouth: Ring;
  /** The outline at a known depth from that end: an edge of a step, of a port, of the far end. */
  readonly deep: Ring;
  readonly deepMm: number;
  /** Where twelve o'clock of the bore stands in the picture, degrees clockwise from straight up. */
  readonly twelveDeg: number;
};

/** A place on the wall: depth from the open end, clock as seen from it. */
export type WallPlace = { readonly xMm: number; readonly clockDeg: number };

/** A picture fitted to the straight tube that it looks down. */
export type TubeView = {
  /** Where a place of the wall stands in the picture; undefined where it lies behind the camera. */
  readonly pointOf: (place: WallPlace) => PicturePoint | undefined;
  /** The place of the wall that a point of the picture shows; undefined where it shows none. */
  readonly placeOf: (point: PicturePoint) => WallPlace | undefined;
  /** Depth from the end that it was taken from, mm, at which one step of the picture covers a millimetre of the wall. @param step share of the picture's width */
  readonly reachMm: (step: number) => number;
};

type Vector = readonly [number, number, number];
/** Tilt of the axis (2), place of the mouth's middle across the line of sight (2), its distance, and the focal length: pinhole units, mm. */
type Camera = readonly [tiltX: number, tiltY: number, mx: number, my: number, distance: number, focal: number];

/** Points taken from each ring. */
const ON_RING = 16;
const MOST_ROUNDS = 60;

/**
 * The camera that sees the two rings as the ends of a straight tube: a pinhole in the middle of the picture, its focal length and where it stands free.
 * Every point of a ring is carried back along its ray to the plane of its depth, where it has to lie on the tube.
 * @param aspect height of the picture over its width
 * @returns undefined where the rings are of no tube: the deeper one not smaller, or no camera found
 * @source pinhole camera and the section of a ray with a plane; least squares by Gauss and Newton, damped after Levenberg
 */
export function tubeView(
  lies: DownBore,
  bore: { readonly diaMm: number; readonly lengthMm: number },
  aspect: number,
): TubeView | undefined {
  const start = firstGuess(lies, bore.diaMm / 2, aspect);
  if (start === undefined) return undefined;
  const seen = [...ringPoints(lies.mouth).map((p) => ({ p, zMm: 0 })), ...ringPoints(lies.deep).map((p) => ({ p, zMm: lies.deepMm }))];
  const missBy = (camera: Camera): readonly number[] => seen.map(({ p, zMm }) => offAxis(camera, p, zMm, aspect) / (bore.diaMm / 2) - 1);
  const camera = fitted(start, missBy);
  return camera === undefined ? undefined : viewOf(camera, lies, bore, aspect);
}

/** The camera as if it looked along the axis: radii are as one over the distance, and middles run to the point where the axis vanishes. */
const firstGuess = ({ mouth, deep, deepMm }: DownBore, radiusMm: number, aspect: number): Camera | undefined => {
  const [r0, r1] = [(mouth.ru + mouth.rv) / 2, (deep.ru + deep.rv) / 2];
  if (!(deepMm > 0 && r1 > 0 && r0 > r1)) return undefined;
  const distance = deepMm / (r0 / r1 - 1);
  const focal = (r0 * distance) / radiusMm;
  const vanish = (at0: number, at1: number): number => ((distance + deepMm) * at1 - distance * at0) / deepMm;
  const [vu, vv] = [vanish(mouth.u, deep.u), vanish(mouth.v, deep.v)];
  return [(vu - 0.5) / focal, (vv - aspect / 2) / focal, (mouth.u - 0.5) / focal, (mouth.v - aspect / 2) / focal, distance, focal];
};

const ringPoints = ({ u, v, ru, rv }: Ring): readonly PicturePoint[] =>
  Array.from({ length: ON_RING }, (_, i) => {
    const at = (2 * Math.PI * i) / ON_RING;
    return { u: u + ru * Math.cos(at), v: v + rv * Math.sin(at) };
  });

const fitted = (start: Camera, missBy: (c: Camera) => readonly number[]): Camera | undefined => {
  let [camera, damping] = [start, 1e-3];
  let miss = missBy(camera);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const columns = camera.map((value, i) => {
      const step = 1e-5 * Math.max(1, Math.abs(value));
      const moved = missBy(camera.map((c, k) => (k === i ? c + step : c)) as unknown as Camera);
      return moved.map((m, k) => (m - (miss[k] as number)) / step);
    });
    // Damped: a row a parameter that asks it to stay where it is, the more the worse the last step was.
    const sizes = columns.map((c) => Math.sqrt(damping * squares(c)));
    const rows = columns.map((c, i) => [...c, ...sizes.map((s, k) => (k === i ? s : 0))]);
    const { coefficients } = leastSquares(rows, [...miss.map((m) => -m), ...sizes.map(() => 0)]);
    const next = camera.map((c, i) => c + (coefficients[i] ?? 0)) as unknown as Camera;
    const then = missBy(next);
    if (next[4] > 0 && next[5] > 0 && squares(then) <= squares(miss)) {
      const done = squares(miss) - squares(then) < 1e-14;
      [camera, miss, damping] = [next, then, damping / 10];
      if (done) return camera;
    } else damping *= 10;
    if (!Number.isFinite(damping) || damping > 1e12) break;
  }
  return miss.every(Number.isFinite) ? camera : undefined;
};

const squares = (values: readonly number[]): number => values.reduce((sum, v) => sum + v * v, 0);

const viewOf = (
  camera: Camera,
  lies: DownBore,
  { diaMm, lengthMm }: { readonly diaMm: number; readonly lengthMm: number },
  aspect: number,
): TubeView => {
  const [, , , , , focal] = camera;
  const { axis, mouth } = standOf(camera);
  const up = unit(minus([0, -1, 0], scaled(axis, -axis[1])));
  const right = cross(axis, up);
  const radius = diaMm / 2;
  // From the far end the depth runs the other way, and the clock with it.
  const way = lies.from === 'open-end' ? 1 : -1;
  const depthOf = (xMm: number): number => (way === 1 ? xMm : lengthMm - xMm);
  const onWall = (zMm: number, turnDeg: number): PicturePoint | undefined => {
    const turn = (turnDeg * Math.PI) / 180;
    const out = plus(scaled(up, radius * Math.cos(turn)), scaled(right, radius * Math.sin(turn)));
    const [x, y, z] = plus(plus(mouth, scaled(axis, zMm)), out);
    return z > 1e-6 ? { u: 0.5 + (focal * x) / z, v: aspect / 2 + (focal * y) / z } : undefined;
  };
  return {
    pointOf: ({ xMm, clockDeg }) => onWall(depthOf(xMm), lies.twelveDeg + way * clockDeg),
    placeOf: (point) => {
      const ray = rayOf(camera, point, aspect);
      const [across, off] = [minus(ray, scaled(axis, dot(ray, axis))), minus(mouth, scaled(axis, dot(mouth, axis)))];
      // |t·across − off| = radius: the far side of the tube is what the camera sees.
      const [a, b, c] = [dot(across, across), dot(across, off), dot(off, off) - radius * radius];
      const root = b * b - a * c;
      if (!(a > 1e-12 && root >= 0)) return undefined;
      const t = (b + Math.sqrt(root)) / a;
      const w = minus(scaled(ray, t), mouth);
      const xMm = depthOf(dot(w, axis));
      const turn = (Math.atan2(dot(w, right), dot(w, up)) * 180) / Math.PI;
      if (t <= 0 || xMm < 0 || xMm > lengthMm) return undefined;
      return { xMm, clockDeg: (((way * (turn - lies.twelveDeg)) % 360) + 360) % 360 };
    },
    reachMm: (step) => {
      // Along the wall, depth z stands at focal · radius / (distance + z) from the vanishing point.
      const distance = dot(mouth, axis);
      return Math.min(lengthMm, Math.max(0, Math.sqrt((focal * radius) / step) - distance));
    },
  };
};

/** How far from the axis a point of the picture would lie, were it at this depth, mm. */
const offAxis = (camera: Camera, point: PicturePoint, zMm: number, aspect: number): number => {
  const { axis, mouth } = standOf(camera);
  const ray = rayOf(camera, point, aspect);
  const t = (dot(mouth, axis) + zMm) / dot(ray, axis);
  const w = minus(minus(scaled(ray, t), mouth), scaled(axis, zMm));
  return Math.sqrt(dot(w, w));
};

const standOf = ([tiltX, tiltY, mx, my, distance]: Camera): { readonly axis: Vector; readonly mouth: Vector } => ({
  axis: unit([tiltX, tiltY, 1]),
  mouth: scaled([mx, my, 1], distance),
});
const rayOf = ([, , , , , focal]: Camera, { u, v }: PicturePoint, aspect: number): Vector => [
  (u - 0.5) / focal,
  (v - aspect / 2) / focal,
  1,
];

const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const scaled = (a: Vector, by: number): Vector => [a[0] * by, a[1] * by, a[2] * by];
const plus = (a: Vector, b: Vector): Vector => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
const minus = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const unit = (a: Vector): Vector => scaled(a, 1 / Math.sqrt(dot(a, a)));
const cross = (a: Vector, b: Vector): Vector => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
