import { createElement, type ReactElement } from 'react';
import type { Family } from '@/core/family/family';
import { METRIC } from '@/core/quantity/units';
import { type BoreDrawing, partsIn } from '@/core/unit/bore-drawing';
import type { DrawnPart } from '@/core/unit/drawn-parts';
import { SectionDrawing, type SectionProps } from '@/ui/drawing/section-drawing';
import { boxOf, drawingFile } from './drawing-file';

/** A unit to be drawn: its bores, and all of its parts. */
export type SectionFile = {
  readonly family: Family;
  readonly bores: readonly BoreDrawing[];
  readonly parts: readonly DrawnPart[];
  readonly view: SectionProps['view'];
};

/** Room for a bore's name above it, mm. */
const NAME_MM = 6;

/** The section drawing as a file of its own, one millimetre a millimetre; of several bores one below the other, each with its name. */
export const sectionSvg = ({ family, bores, parts, view }: SectionFile): Promise<string> => {
  const drawn = bores.map((bore) => ({
    name: bore.name,
    drawing: createElement(SectionDrawing, {
      family: bore.family,
      geometry: bore.geometry,
      parts: partsIn(bore, parts, family),
      view,
      units: METRIC,
      trayHref: null,
    }),
  }));
  const [only] = drawn;
  return drawingFile(drawn.length === 1 && only !== undefined ? only.drawing : oneBelowTheOther(drawn), 1);
};

const oneBelowTheOther = (drawn: readonly { readonly name: string; readonly drawing: ReactElement }[]): ReactElement => {
  let y = 0;
  let widest = 0;
  const placed = drawn.flatMap(({ name, drawing }) => {
    const { width, height } = boxOf(drawing);
    const at = y + NAME_MM;
    y = at + height;
    widest = Math.max(widest, width);
    return [
      createElement('text', { key: name, x: 2, y: at - 1.5, fontSize: 4, fontWeight: 700, fill: 'var(--ink)' }, name),
      createElement('svg', { key: `${name} drawn`, x: 0, y: at, width, height }, drawing),
    ];
  });
  return createElement('svg', { viewBox: `0 0 ${widest} ${y}` }, placed);
};
