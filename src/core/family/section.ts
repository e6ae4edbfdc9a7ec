import type { Family, Slot } from './family';
import { partFacing } from './family';
import type { Geometry, Span } from './geometry';
import type { PartKind } from './part-kind';
import { bodyOf } from './section-body';
import type { Outline } from './shape/outline';
import { isRadial, outlinesOf } from './shape/part-shape';

/** A part as it lies on the tray: the slots of its family, in another kind if that was found, and what else came out. */
export type StackPart = Pick<Slot, 'id' | 'name' | 'kind'>;

export type SectionPart = {
  readonly slotId: string;
  readonly name: string;
  readonly kind: PartKind;
  readonly outlines: readonly Outline[];
  /** Where it lies in the unit, and how far it moves when the drawing is pulled apart; mm, y down. */
  readonly span: Span;
  readonly apart: readonly [dxMm: number, dyMm: number];
};

export type Box = readonly [x0: number, y0: number, width: number, height: number];

/** The unit cut along its axis, to scale: x from the open end, y down from the axis. Boxes hold the drawing put together and pulled apart. */
export type Section = {
  readonly box: Box;
  readonly apartBox: Box;
  readonly boreRadiusMm: number;
  readonly body: readonly Outline[];
  readonly axis: Span;
  readonly parts: readonly SectionPart[];
};

/** Width that a part gets for which nobody has given a place. */
const UNKNOWN_WIDTH_MM = 2;

/**
 * Section drawing of a unit from its geometry and what is on its tray. Lips are drawn where the chambers ask.
 * @param stack the tray from the open end; a part that the geometry does not know lies behind the one before it
 */
export const sectionOf = (family: Family, g: Geometry, stack: readonly StackPart[] = family.slots): Section => {
  const r = g.nominalMm / 2;
  const placed: (StackPart & { readonly span: Span })[] = [];
  for (const p of stack) placed.push({ ...p, span: g.spans[p.id] ?? behind(placed.at(-1)?.span) });
  const shaped = placed.map((p) => {
    const faces = partFacing(family, { slotId: p.id, kind: p.kind }) ?? 'blind';
    const groove = grooveOf(
      g,
      family.slots.find((s) => s.id === p.id),
    );
    return { ...p, outlines: outlinesOf({ kind: p.kind, span: p.span, faces, groove }, g) };
  });
  const moves = pulledApart(family, g, shaped);
  const parts = shaped.map((p, i): SectionPart => {
    const { id: slotId, name, kind, outlines, span } = p;
    return { slotId, name, kind, outlines, span, apart: moves[i] as readonly [number, number] };
  });
  const body = bodyOf(family, g);
  const points = (apart: boolean) => [
    ...body.flatMap((o) => o.points),
    ...parts.flatMap((p) =>
      p.outlines.flatMap((o) => o.points.map(([x, y]) => (apart ? ([x + p.apart[0], y + p.apart[1]] as const) : ([x, y] as const)))),
    ),
  ];
  const box = around(points(false));
  return { box, apartBox: around(points(true)), boreRadiusMm: r, body, axis: { x0Mm: box[0], x1Mm: box[0] + box[2] }, parts };
};

const behind = (before: Span | undefined): Span => {
  const x0Mm = before?.x1Mm ?? 0;
  return { x0Mm, x1Mm: x0Mm + UNKNOWN_WIDTH_MM };
};

const grooveOf = (g: Geometry, slot: Slot | undefined) => g.grooves.find((x) => x.id === slot?.groove);

const MARGIN_MM = 2;
const around = (points: readonly (readonly [number, number])[]): Box => {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [x0, y0] = [Math.min(...xs) - MARGIN_MM, Math.min(...ys) - MARGIN_MM];
  return [x0, y0, Math.max(...xs) + MARGIN_MM - x0, Math.max(...ys) + MARGIN_MM - y0];
};

/** Between parts that are laid out beside the body. */
const GAP_MM = 3;

/** How far each part moves when the unit is pulled apart: out of its mouth in order (of a through bore: the left half to the left, the rest to the right), what sits in the wall straight out of it. */
const pulledApart = (
  family: Family,
  g: Geometry,
  parts: readonly { readonly kind: PartKind; readonly outlines: readonly Outline[] }[],
): readonly (readonly [number, number])[] => {
  const extent = (p: { readonly outlines: readonly Outline[] }): Span => {
    const xs = p.outlines.flatMap((o) => o.points.map(([x]) => x));
    return { x0Mm: Math.min(...xs), x1Mm: Math.max(...xs) };
  };
  const moves: (readonly [number, number])[] = parts.map(() => [0, 0]);
  const axial = parts.flatMap((p, i) => (isRadial(p.kind) ? [] : [{ i, ...extent(p) }]));
  const inside = axial.filter((p) => p.x0Mm < g.lengthMm);
  const middle = g.lengthMm / 2;
  const toLeft = family.bore === 'through' ? inside.filter((p) => (p.x0Mm + p.x1Mm) / 2 <= middle + 0.5) : inside;
  let left = -GAP_MM;
  for (const p of [...toLeft].reverse()) {
    moves[p.i] = [left - p.x1Mm, 0];
    left -= p.x1Mm - p.x0Mm + GAP_MM;
  }
  let right = g.lengthMm + GAP_MM;
  for (const p of inside.filter((x) => !toLeft.includes(x))) {
    moves[p.i] = [right - p.x0Mm, 0];
    right += p.x1Mm - p.x0Mm + GAP_MM;
  }
  for (const p of axial.filter((x) => x.x0Mm >= g.lengthMm)) moves[p.i] = [8, 0];
  let [above, below] = [0, 0];
  for (const [i, p] of parts.entries()) {
    if (!isRadial(p.kind)) continue;
    const ys = p.outlines.flatMap((o) => o.points.map(([, y]) => y));
    if (Math.min(...ys) + Math.max(...ys) < 0) {
      moves[i] = [0, -6 - above];
      above += 4;
    } else {
      moves[i] = [0, 6 + below];
      below += 4;
    }
  }
  return moves;
};
