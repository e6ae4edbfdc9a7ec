import type { Family, Slot } from './family';
import { partFacing } from './family';
import type { Geometry, Span } from './geometry';
import type { PartKind } from './part-kind';
import { isRadial } from './part-kind';
import { bodyOf } from './section-body';
import { type Extent, extentOf, type Outline } from './shape/outline';
import { outlinesOf } from './shape/part-shape';

/** A part as it lies on the tray: the slots of its family, in another kind if that was found, and what else came out. */
export type StackPart = Pick<Slot, 'id' | 'name' | 'kind'>;

export type SectionPart = {
  readonly slotId: string;
  readonly name: string;
  readonly kind: PartKind;
  readonly outlines: readonly Outline[];
  readonly extent: Extent;
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
    const outlines = outlinesOf({ kind: p.kind, span: p.span, faces, groove }, g);
    return { ...p, outlines, extent: extentOf(outlines) };
  });
  const moves = pulledApart(family, g, shaped);
  const parts = shaped.map((p, i): SectionPart => {
    const { id: slotId, name, kind, outlines, extent, span } = p;
    return { slotId, name, kind, outlines, extent, span, apart: moves[i] as readonly [number, number] };
  });
  const body = bodyOf(family, g);
  const bodyExtent = extentOf(body);
  const box = around([bodyExtent, ...parts.map((p) => p.extent)]);
  const apartBox = around([bodyExtent, ...parts.map(({ extent, apart }) => shifted(extent, apart))]);
  return { box, apartBox, boreRadiusMm: r, body, axis: { x0Mm: box[0], x1Mm: box[0] + box[2] }, parts };
};

const behind = (before: Span | undefined): Span => {
  const x0Mm = before?.x1Mm ?? 0;
  return { x0Mm, x1Mm: x0Mm + UNKNOWN_WIDTH_MM };
};

const grooveOf = (g: Geometry, slot: Slot | undefined) => g.grooves.find((x) => x.id === slot?.groove);

const MARGIN_MM = 2;
const around = (extents: readonly Extent[]): Box => {
  const [x0, y0] = [Math.min(...extents.map((e) => e.x0)) - MARGIN_MM, Math.min(...extents.map((e) => e.y0)) - MARGIN_MM];
  const [x1, y1] = [Math.max(...extents.map((e) => e.x1)) + MARGIN_MM, Math.max(...extents.map((e) => e.y1)) + MARGIN_MM];
  return [x0, y0, x1 - x0, y1 - y0];
};

const shifted = (e: Extent, [dx, dy]: readonly [number, number]): Extent => ({
  x0: e.x0 + dx,
  y0: e.y0 + dy,
  x1: e.x1 + dx,
  y1: e.y1 + dy,
});

/** Between parts that are laid out beside the body, and the room that each takes at least, for its number. */
const GAP_MM = 3;
const ROOM_MM = 4;

/** How far each part moves when the unit is pulled apart: out of its mouth in order (of a through bore: the left half to the left, the rest to the right), what sits in the wall straight out of it. */
const pulledApart = (
  family: Family,
  g: Geometry,
  parts: readonly Pick<SectionPart, 'kind' | 'extent'>[],
): readonly (readonly [number, number])[] => {
  const moves: (readonly [number, number])[] = parts.map(() => [0, 0]);
  const axial = parts.flatMap((p, i) => (isRadial(p.kind) ? [] : [{ i, x0Mm: p.extent.x0, x1Mm: p.extent.x1 }]));
  const inside = axial.filter((p) => p.x0Mm < g.lengthMm);
  const middle = g.lengthMm / 2;
  const toLeft = family.bore === 'through' ? inside.filter((p) => (p.x0Mm + p.x1Mm) / 2 <= middle + 0.5) : inside;
  const room = (p: Span): number => Math.max(p.x1Mm - p.x0Mm, ROOM_MM);
  const middleOf = (p: Span): number => (p.x0Mm + p.x1Mm) / 2;
  let left = -GAP_MM;
  for (const p of [...toLeft].reverse()) {
    moves[p.i] = [left - room(p) / 2 - middleOf(p), 0];
    left -= room(p) + GAP_MM;
  }
  // Past the far end: what lies in the bore there, then what is joined on outside.
  let right = g.lengthMm + GAP_MM;
  for (const p of axial.filter((x) => !toLeft.includes(x))) {
    moves[p.i] = [right + room(p) / 2 - middleOf(p), 0];
    right += room(p) + GAP_MM;
  }
  let [above, below] = [0, 0];
  for (const [i, p] of parts.entries()) {
    if (!isRadial(p.kind)) continue;
    if (p.extent.y0 + p.extent.y1 < 0) {
      moves[i] = [0, -6 - above];
      above += 4;
    } else {
      moves[i] = [0, 6 + below];
      below += 4;
    }
  }
  return moves;
};
