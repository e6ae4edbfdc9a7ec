import type { Line } from './line';
import type { LineSheet } from './line-sheet';

/** A point on the tube's middle line, mm, y down, and which way it goes there, radians. */
type Pose = { readonly x: number; readonly y: number; readonly way: number };

/** The middle line of a tube laid in one plane, mm. */
export type LineDrawing = {
  /** SVG path, starting at the tube's start. */
  readonly path: string;
  readonly box: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
  /** Middle of each leg's straight, where its length is written. */
  readonly legs: readonly Pose[];
  /** Where each bend begins. */
  readonly bends: readonly Pose[];
  readonly coils: readonly Pose[];
  readonly ends: readonly [Pose, Pose];
};

const onward = (p: Pose, mm: number): Pose => ({ ...p, x: p.x + mm * Math.cos(p.way), y: p.y + mm * Math.sin(p.way) });

/** Along an arc: left turns against the clock, as seen from above. */
const turned = (p: Pose, radiusMm: number, angleDeg: number, sign: 1 | -1): Pose => {
  const angle = (sign * angleDeg * Math.PI) / 180;
  const middle = { x: p.x - sign * radiusMm * Math.sin(p.way), y: p.y + sign * radiusMm * Math.cos(p.way) };
  const way = p.way + angle;
  return { x: middle.x + sign * radiusMm * Math.sin(way), y: middle.y - sign * radiusMm * Math.cos(way), way };
};

const at = (p: Pose): string => `${p.x.toFixed(2)} ${p.y.toFixed(2)}`;

/** A tube in its plane, to scale, each bend to the side that the sheet names. */
export const drawLine = (sheet: LineSheet, line: Line): LineDrawing => {
  let pose: Pose = { x: 0, y: 0, way: 0 };
  const start = pose;
  let path = `M${at(pose)}`;
  const legs: Pose[] = [];
  const bends: Pose[] = [];
  const seen: Pose[] = [pose];
  for (const [i, straight] of line.straightsMm.entries()) {
    legs.push(onward(pose, straight / 2));
    pose = onward(pose, straight);
    path += `L${at(pose)}`;
    const bend = sheet.bends[i];
    const arc = line.arcsMm[i];
    if (bend === undefined || arc === undefined) continue;
    const radius = arc / ((bend.angleDeg * Math.PI) / 180);
    const sign = bend.turn === 'left' ? -1 : 1;
    bends.push(pose);
    seen.push(pose, turned(pose, radius, bend.angleDeg / 2, sign));
    pose = turned(pose, radius, bend.angleDeg, sign);
    path += `A${radius.toFixed(2)} ${radius.toFixed(2)} 0 0 ${sign === 1 ? 1 : 0} ${at(pose)}`;
    seen.push(pose);
  }
  seen.push(pose);
  const coils = sheet.coils.map((c) => legs[c.leg] ?? start);
  const [xs, ys] = [seen.map((p) => p.x), seen.map((p) => p.y)];
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return { path, box: { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y }, legs, bends, coils, ends: [start, pose] };
};
