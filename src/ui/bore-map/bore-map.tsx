'use client';

import { memo, type PointerEvent, type ReactNode, useEffect, useMemo, useRef, useState } from 'react';
import type { Geometry } from '@/core/family/geometry';
import type { Lane } from '@/core/family/lane';
import type { FixedPoint } from '@/core/judge/underlay';
import { sayLength } from '@/core/quantity/say';
import type { Units } from '@/core/quantity/units';
import { late } from '../shell/late';
import type { Gauged } from './gauged';
import { Loupe } from './loupe';
import { MapDefs, MapGround } from './map-ground';
import { type MapMark, MapMarks, type Patch } from './map-marks';
import { closeTo, MAP_WIDTH, type MapView, mapScale, panned, snapped, wholeBore, zoomed } from './map-scale';
import { patchOf, useMapKeys } from './use-map-keys';

const LaidPhoto = late(async () => (await import('./laid-photo')).LaidPhoto);
const Ground = memo(MapGround);
const Marks = memo(MapMarks);

type Drag = {
  readonly how: 'draw' | 'pan';
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
  readonly view: MapView;
};

/** The bore unrolled: depth across, clock down, cut along the top so that the bottom lies in the middle. A drag marks a place; the wheel zooms, a drag with Shift or the right button pans. */
export function BoreMap({
  geometry,
  lanes,
  marks,
  gauged,
  units,
  chosen,
  onChoose,
  onDraw,
  onMove,
  onRemove,
  photo,
  pins,
  children,
}: {
  readonly geometry: Geometry;
  readonly lanes: readonly Lane[];
  readonly marks: readonly MapMark[];
  readonly gauged: Gauged;
  readonly units: Units;
  readonly chosen: string | undefined;
  readonly onChoose: (id: string) => void;
  /** These are absent where nothing may be drawn. */
  readonly onDraw?: ((patch: Patch) => void) | undefined;
  readonly onMove?: ((id: string, patch: Patch) => void) | undefined;
  readonly onRemove?: ((id: string) => void) | undefined;
  /** Laid under the map. */
  readonly photo?: { readonly src: string; readonly points: readonly FixedPoint[] } | undefined;
  /** Takes the place of drawing while a photo is being laid: a press puts the chosen pin there. */
  readonly pins?:
    | { readonly points: readonly FixedPoint[]; readonly at: number; readonly onPlace: (xMm: number, clockDeg: number) => void }
    | undefined;
  /** Beside the zoom buttons. */
  readonly children?: ReactNode;
}) {
  const { lengthMm } = geometry;
  const svg = useRef<SVGSVGElement>(null);
  const [view, setView] = useState(() => wholeBore(lengthMm));
  const scale = useMemo(() => mapScale(view), [view]);
  const [drag, setDrag] = useState<Drag>();
  const [loupe, setLoupe] = useState(true);
  const whole = view.x1Mm - view.x0Mm > lengthMm - 1e-6;
  const zoom = (by: number, [mm, deg]: readonly [number, number]): void =>
    setView((v) => (by === 0 ? wholeBore(lengthMm) : zoomed(v, lengthMm, by, mm, deg)));
  const mark = marks.find((m) => m.id === chosen);
  const keys = useMapKeys({ lengthMm, marks, chosen, onChoose, onDraw, onMove, onRemove, onZoom: zoom });
  const place = (e: { readonly clientX: number; readonly clientY: number }): readonly [number, number] => {
    const box = (svg.current as SVGSVGElement).getBoundingClientRect();
    return [scale.mmAt(((e.clientX - box.left) / box.width) * MAP_WIDTH), scale.degAt(((e.clientY - box.top) / box.height) * scale.height)];
  };
  // React listens to the wheel passively; a map that zooms must keep the page where it is.
  useEffect(() => {
    const map = svg.current as SVGSVGElement;
    const wheel = (e: WheelEvent): void => {
      if (!e.ctrlKey && whole && e.deltaY > 0) return;
      e.preventDefault();
      const at = place(e);
      setView((v) => zoomed(v, lengthMm, Math.exp(-e.deltaY / 400), at[0], at[1]));
    };
    map.addEventListener('wheel', wheel, { passive: false });
    return () => map.removeEventListener('wheel', wheel);
  });
  const begin = (e: PointerEvent): void => {
    const from = place(e);
    if (pins !== undefined) {
      const [mm, deg] = snapped(from[0], from[1], lengthMm);
      pins.onPlace(mm, deg);
      return;
    }
    const how = e.shiftKey || e.button !== 0 || onDraw === undefined ? 'pan' : 'draw';
    e.currentTarget.setPointerCapture(e.pointerId);
    setDrag({ how, from, to: from, view });
  };
  const go = (e: PointerEvent): void => {
    if (drag === undefined) return;
    const to = place(e);
    if (drag.how === 'draw') setDrag({ ...drag, to });
    else setView((v) => panned(v, lengthMm, drag.from[0] - to[0], drag.from[1] - to[1]));
  };
  const drawn = (to: readonly [number, number]): Patch | undefined =>
    drag?.how === 'draw' ? patchOf(snapped(drag.from[0], drag.from[1], lengthMm), snapped(to[0], to[1], lengthMm)) : undefined;
  const end = (e: PointerEvent): void => {
    // The stroke ends where the finger lifts: the last move may not have been drawn yet.
    const patch = drawn(place(e));
    if (patch !== undefined && patch.x1Mm - patch.x0Mm >= 0.2) onDraw?.(patch);
    setDrag(undefined);
  };
  const growing = drag === undefined ? keys.growing : drawn(drag.to);
  return (
    <div>
      <div
        // biome-ignore lint/a11y/noNoninteractiveTabindex: the map is drawn on by keyboard too
        tabIndex={0}
        role="application"
        aria-label={`The bore unrolled, ${marks.length} marks; the table below holds the same marks`}
        aria-describedby="map-keys"
        className="peer bore-map relative overflow-hidden border border-line bg-sheet"
        onKeyDown={keys.onKeyDown}
      >
        {photo !== undefined && <LaidPhoto {...photo} scale={scale} />}
        <svg
          ref={svg}
          viewBox={`0 0 ${MAP_WIDTH} ${scale.height}`}
          aria-hidden="true"
          className={`relative block h-auto w-full touch-none ${onDraw === undefined ? 'cursor-grab' : 'cursor-crosshair'}`}
          onContextMenu={(e) => e.preventDefault()}
          onPointerDown={begin}
          onPointerMove={go}
          onPointerUp={end}
        >
          <MapDefs scale={scale} />
          <Ground
            scale={scale}
            geometry={geometry}
            lanes={lanes}
            gauged={gauged}
            units={units}
            laneOpacity={photo === undefined ? 1 : 0.4}
          />
          <Marks scale={scale} marks={marks} chosen={chosen} onChoose={pins === undefined ? onChoose : undefined} />
          {growing !== undefined && (
            <rect
              x={scale.x(growing.x0Mm)}
              y={scale.y(growing.clock0Deg)}
              width={Math.max(2, scale.x(growing.x1Mm) - scale.x(growing.x0Mm))}
              height={Math.max(2, scale.y(growing.clock1Deg) - scale.y(growing.clock0Deg))}
              fill="var(--act)"
              opacity="0.3"
            />
          )}
          <g className="map-cross" stroke="var(--red)" pointerEvents="none">
            <path d={`M${scale.x(keys.at[0]) - 9} ${scale.y(keys.at[1])}h18m-9 -9v18`} strokeWidth="1.5" />
          </g>
          {mark !== undefined && loupe && drag === undefined && pins === undefined && (
            <Loupe scale={scale} mark={mark} marks={marks} geometry={geometry} lanes={lanes} gauged={gauged} units={units} />
          )}
          {pins?.points.map((p, i) => (
            <g key={i} transform={`translate(${scale.x(p.xMm)} ${scale.y(p.clockDeg)})`} pointerEvents="none">
              <circle r="9" fill="var(--sheet)" stroke="var(--act)" strokeWidth={i === pins.at ? 3.5 : 1.5} />
              <text y="4" textAnchor="middle" fontSize="11" fontWeight="700" fill="var(--ink)">
                {i + 1}
              </text>
            </g>
          ))}
        </svg>
      </div>
      <div className="mt-1 flex flex-wrap items-center gap-2 text-[13px] text-ink2">
        <button type="button" className="btn-quiet" aria-label="Zoom in" onClick={() => zoom(1.5, centreOf(view))}>
          +
        </button>
        <button type="button" className="btn-quiet" aria-label="Zoom out" disabled={whole} onClick={() => zoom(1 / 1.5, centreOf(view))}>
          −
        </button>
        <button type="button" className="btn-quiet" disabled={whole} onClick={() => zoom(0, centreOf(view))}>
          Whole bore
        </button>
        {mark !== undefined && (
          <>
            <button type="button" className="btn-quiet" onClick={() => setView(closeTo(mark, lengthMm))}>
              Zoom to {mark.name}
            </button>
            <button type="button" className="btn-quiet" aria-pressed={loupe} onClick={() => setLoupe(!loupe)}>
              Loupe
            </button>
          </>
        )}
        {children}
      </div>
      <p id="map-keys" className="mt-1 hidden text-[13px] text-ink2 peer-focus-visible:block" aria-live="polite">
        Cross at {sayLength(keys.at[0], units)} {units.length}, {keys.at[1]}°. Arrows move it, Shift finely; Enter begins and ends a mark;
        n, p go through the marks, Alt and arrows move the chosen one, Delete takes it away; +, −, 0 zoom; a drag with Shift pans.
      </p>
    </div>
  );
}

const centreOf = (v: MapView): readonly [number, number] => [(v.x0Mm + v.x1Mm) / 2, (v.clock0Deg + v.clock1Deg) / 2];
