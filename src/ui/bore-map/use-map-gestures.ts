'use client';

import { useGesture } from '@use-gesture/react';
import { type RefObject, useState } from 'react';
import { MAP_WIDTH, type MapScale, type MapView, panned, snapped, zoomed } from '@/core/bore-map/map-scale';
import { type Patch, patchOf } from '@/core/bore-map/patch';

type Place = readonly [mm: number, deg: number];

/**
 * The map by pointer: a drag marks a place, with Shift or another button it moves the map; the wheel and two fingers make it larger and smaller.
 * @param onDraw absent where nothing may be drawn: every drag moves the map
 * @param onPress takes the place of all that: a press is told where it was
 */
export function useMapGestures(
  svg: RefObject<SVGSVGElement | null>,
  {
    scale,
    view,
    lengthMm,
    setView,
  }: {
    readonly scale: MapScale;
    readonly view: MapView;
    readonly lengthMm: number;
    readonly setView: (next: (v: MapView) => MapView) => void;
  },
  { onDraw, onPress }: { readonly onDraw?: ((patch: Patch) => void) | undefined; readonly onPress?: ((place: Place) => void) | undefined },
) {
  const [growing, setGrowing] = useState<Patch>();
  const placeIn = (at: MapScale, [x, y]: readonly [number, number]): Place => {
    const box = (svg.current as SVGSVGElement).getBoundingClientRect();
    return [at.mmAt(((x - box.left) / box.width) * MAP_WIDTH), at.degAt(((y - box.top) / box.height) * at.height)];
  };
  const whole = view.x1Mm - view.x0Mm > lengthMm - 1e-6;
  useGesture(
    {
      onDrag: ({ first, last, initial, xy, delta, shiftKey, buttons, pinching, cancel, memo }) => {
        if (onPress !== undefined) {
          if (first) onPress(placeIn(scale, initial));
          return undefined;
        }
        if (pinching) {
          setGrowing(undefined);
          cancel();
          return memo;
        }
        const how: 'draw' | 'move' = first ? (shiftKey || buttons > 1 || onDraw === undefined ? 'move' : 'draw') : memo;
        if (how === 'move') {
          const [from, to] = [placeIn(scale, [0, 0]), placeIn(scale, delta)];
          setView((v) => panned(v, lengthMm, from[0] - to[0], from[1] - to[1]));
          return how;
        }
        // The stroke ends where the finger lifts: the last move may not have been drawn yet.
        const [from, to] = [placeIn(scale, initial), placeIn(scale, xy)];
        const patch = patchOf(snapped(from[0], from[1], lengthMm), snapped(to[0], to[1], lengthMm));
        setGrowing(last ? undefined : patch);
        if (last && patch.x1Mm - patch.x0Mm >= 0.2) onDraw?.(patch);
        return how;
      },
      onPinch: ({ first, origin, da: [apart], memo }) => {
        const [then, about, apartThen]: readonly [MapView, Place, number] = first ? [view, placeIn(scale, origin), apart] : memo;
        setView(() => zoomed(then, lengthMm, apart / apartThen, about[0], about[1]));
        return [then, about, apartThen];
      },
      onWheel: ({ event, last, delta: [, dy] }) => {
        if (last || (!event.ctrlKey && whole && dy > 0)) return;
        // The page stays where it is while the map is zoomed.
        event.preventDefault();
        const [mm, deg] = placeIn(scale, [event.clientX, event.clientY]);
        setView((v) => zoomed(v, lengthMm, Math.exp(-dy / 400), mm, deg));
      },
    },
    {
      target: svg,
      eventOptions: { passive: false },
      drag: { pointer: { buttons: -1, keys: false } },
      pinch: { pinchOnWheel: false },
    },
  );
  return growing;
}
