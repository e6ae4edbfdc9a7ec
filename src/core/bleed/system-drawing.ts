import type { System, SystemEnd } from './system';
import { treeOf } from './tree';

/** A place as it is drawn; x and y in units of the drawing, y down. */
export type DrawnPlace = {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly ends: readonly SystemEnd[];
  readonly isRoot: boolean;
};
export type DrawnLine = {
  readonly id: string;
  /** Along, then down: as pipes run. */
  readonly points: readonly (readonly [x: number, y: number])[];
};
/** A system as it stands: heights to scale against the fluid in the reservoir, lengths not. */
export type SystemDrawing = {
  readonly width: number;
  readonly height: number;
  /** Of the fluid in the reservoir. */
  readonly levelY: number;
  readonly places: readonly DrawnPlace[];
  readonly lines: readonly DrawnLine[];
  /** Heights that are ticked, mm below the fluid. */
  readonly ticks: readonly { readonly dropMm: number; readonly y: number }[];
};

const WIDTH = 960;
/** Room for reservoir and master on the left, names below. */
const LEFT = 190;
const RIGHT = 60;
const TOP = 64;
const DEEP = 230;
const BELOW = 70;
/** A height that nobody gave is drawn here, and said not to be known. */
const UNKNOWN_MM = 300;

/** Draws a sound system. */
export const drawSystem = (s: System): SystemDrawing => {
  const { roots } = treeOf(s.lines);
  const trunks = s.lines.length === 0 ? [...new Set(s.ends.map((e) => e.at))] : roots;
  const leaves = trunks.flatMap((root) => leavesUnder(s, root));
  const column = new Map(leaves.map((leaf, i) => [leaf, LEFT + ((i + 0.5) * (WIDTH - LEFT - RIGHT)) / leaves.length]));
  const drops = s.ends.map((e) => e.dropMm ?? UNKNOWN_MM);
  const [top, bottom] = [Math.min(0, ...drops), Math.max(100, ...drops)];
  const yOf = (mm: number): number => TOP + ((mm - top) / (bottom - top)) * DEEP;
  const place = new Map<string, { readonly x: number; readonly y: number }>();
  // A node stands over the middle of what hangs on it, on the way down to it.
  const put = (node: string, depth: number, isRoot: boolean, rootNo: number): { readonly x: number; readonly y: number } => {
    const below = s.lines.filter((l) => l.from === node).map((l) => put(l.to, depth + 1, false, rootNo));
    const own = s.ends.filter((e) => e.at === node).map((e) => yOf(e.dropMm ?? UNKNOWN_MM));
    const outletY = yOf(0) + 30 + rootNo * 26;
    const nearest = below.length === 0 ? outletY + 60 : Math.min(...below.map((b) => b.y));
    const at = isRoot
      ? { x: LEFT - 60, y: outletY }
      : {
          x: below.length === 0 ? (column.get(node) ?? LEFT) : below.reduce((sum, b) => sum + b.x, 0) / below.length,
          y: own.length > 0 ? Math.min(...own) : outletY + (nearest - outletY) * 0.45,
        };
    place.set(node, at);
    return at;
  };
  for (const [n, root] of trunks.entries()) put(root, 0, true, n);
  return {
    width: WIDTH,
    height: TOP + DEEP + BELOW,
    levelY: yOf(0),
    places: [...place].map(([id, at]) => ({ id, ...at, ends: s.ends.filter((e) => e.at === id), isRoot: trunks.includes(id) })),
    lines: s.lines.flatMap((l) => {
      const [from, to] = [place.get(l.from), place.get(l.to)];
      return from === undefined || to === undefined
        ? []
        : [
            {
              id: l.id,
              points: [
                [from.x, from.y],
                [to.x, from.y],
                [to.x, to.y],
              ] as const,
            },
          ];
    }),
    ticks: ticksOf(top, bottom).map((dropMm) => ({ dropMm, y: yOf(dropMm) })),
  };
};

const leavesUnder = (s: System, node: string): readonly string[] => {
  const next = s.lines.filter((l) => l.from === node);
  return next.length === 0 ? [node] : next.flatMap((l) => leavesUnder(s, l.to));
};

/** Four to eight round heights. */
const ticksOf = (top: number, bottom: number): readonly number[] => {
  const step = [50, 100, 200, 250, 500, 1000, 2000, 5000, 10_000, 50_000].find((s) => (bottom - top) / s <= 6) ?? 100_000;
  const first = Math.ceil(top / step);
  return Array.from({ length: Math.floor(bottom / step) - first + 1 }, (_, i) => (first + i) * step);
};
