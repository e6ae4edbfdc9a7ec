import { type KeyboardEvent, useState } from 'react';
import { snapped } from '@/core/bore-map/map-scale';
import { type Patch, patchOf } from '@/core/bore-map/patch';
import type { MapMark } from './map-marks';

type Place = readonly [mm: number, deg: number];

/** How far an arrow goes: in mm and degrees; with Shift, as fine as marks are kept. */
const [STEP, FINE_STEP]: readonly [Place, Place] = [
  [1, 5],
  [0.1, 1],
];
const ARROWS: Readonly<Record<string, Place>> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

/**
 * The map by keyboard: arrows move a cross (Shift: finely), Enter begins and ends a mark, N and P go through the marks, Alt with arrows
 * moves the chosen one, Delete takes it away, + and − zoom, 0 shows the whole bore.
 */
export function useMapKeys({
  lengthMm,
  marks,
  chosen,
  onChoose,
  onDraw,
  onMove,
  onRemove,
  onZoom,
}: {
  readonly lengthMm: number;
  readonly marks: readonly MapMark[];
  readonly chosen: string | undefined;
  readonly onChoose: (id: string) => void;
  readonly onDraw: ((patch: Patch) => void) | undefined;
  readonly onMove: ((id: string, patch: Patch) => void) | undefined;
  readonly onRemove: ((id: string) => void) | undefined;
  readonly onZoom: (by: number, about: Place) => void;
}) {
  const [at, setAt] = useState<Place>([lengthMm / 2, 180]);
  const [from, setFrom] = useState<Place>();
  const mark = marks.find((m) => m.id === chosen);
  const next = (by: 1 | -1): void => {
    const to = marks[(marks.findIndex((m) => m.id === chosen) + by + marks.length) % marks.length];
    if (to === undefined) return;
    onChoose(to.id);
    setAt(snapped((to.x0Mm + to.x1Mm) / 2, to.clock0Deg, lengthMm));
  };
  const arrow = (e: KeyboardEvent, way: Place): void => {
    const [mm, deg] = e.shiftKey ? FINE_STEP : STEP;
    const [dx, dc] = [way[0] * mm, way[1] * deg];
    if (!e.altKey) setAt(snapped(at[0] + dx, at[1] + dc, lengthMm));
    else if (mark !== undefined && mark.x0Mm + dx >= 0 && mark.x1Mm + dx <= lengthMm)
      onMove?.(mark.id, {
        x0Mm: round(mark.x0Mm + dx),
        x1Mm: round(mark.x1Mm + dx),
        clock0Deg: (mark.clock0Deg + dc + 360) % 360,
        clock1Deg: (mark.clock1Deg + dc + 360) % 360,
      });
  };
  const onKeyDown = (e: KeyboardEvent): void => {
    const way = ARROWS[e.key];
    if (way !== undefined) arrow(e, way);
    else if (e.key === 'Enter') {
      if (from !== undefined) onDraw?.(patchOf(from, at));
      setFrom(from === undefined && onDraw !== undefined ? at : undefined);
    } else if (e.key === 'Escape') setFrom(undefined);
    else if (e.key === 'n' || e.key === 'p') next(e.key === 'n' ? 1 : -1);
    else if (e.key === 'Delete' && mark !== undefined) onRemove?.(mark.id);
    else if (e.key === '+' || e.key === '=') onZoom(1.5, at);
    else if (e.key === '-') onZoom(1 / 1.5, at);
    else if (e.key === '0') onZoom(0, at);
    else return;
    // The page's own keys are not meant.
    e.preventDefault();
    e.stopPropagation();
  };
  return { at, onKeyDown, growing: from === undefined ? undefined : patchOf(from, at) };
}

const round = (mm: number): number => Math.round(mm * 10) / 10;
