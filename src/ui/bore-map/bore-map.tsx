'use client';

import { memo, type ReactNode, useMemo, useRef, useState } from 'react';
import type { Gauged } from '@/core/bore-map/gauged';
import { closeTo, MAP_WIDTH, type MapView, mapScale, snapped, wholeBore, zoomed } from '@/core/bore-map/map-scale';
import type { Patch } from '@/core/bore-map/patch';
import type { FixedPoint, Lies } from '@/core/bore-map/underlay';
import type { Geometry } from '@/core/family/geometry';
import type { Lane } from '@/core/family/lane';
import { sayLength } from '@/core/quantity/say';
import { late } from '../shell/late';
import { useUnits } from '../shell/units-context';
import { Loupe } from './loupe';
import { MapDefs, MapGround } from './map-ground';
import { type MapMark, MapMarks } from './map-marks';
import { useMapGestures } from './use-map-gestures';
import { useMapKeys } from './use-map-keys';

const LaidPhoto = late(async () => (await import('./laid-photo')).LaidPhoto);
const Ground = memo(MapGround);
const Marks = memo(MapMarks);

/** The bore unrolled: depth across, clock down, cut along the top so that the bottom lies in the middle. A drag marks a place; the wheel zooms, a drag with Shift or the right button pans. */
export function BoreMap({
  geometry,
  lanes,
  marks,
  gauged,
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
  readonly chosen: string | undefined;
  readonly onChoose: (id: string) => void;
  /** These are absent where nothing may be drawn. */
  readonly onDraw?: ((patch: Patch) => void) | undefined;
  readonly onMove?: ((id: string, patch: Patch) => void) | undefined;
  readonly onRemove?: ((id: string) => void) | undefined;
  /** Laid under the map. */
  readonly photo?: { readonly src: string; readonly lies: Lies } | undefined;
  /** Takes the place of drawing while a photo is being laid: a press puts the chosen pin there. */
  readonly pins?:
    | { readonly points: readonly FixedPoint[]; readonly at: number; readonly onPlace: (xMm: number, clockDeg: number) => void }
    | undefined;
  /** Beside the zoom buttons. */
  readonly children?: ReactNode;
}) {
  const units = useUnits();
  const { lengthMm } = geometry;
  const svg = useRef<SVGSVGElement>(null);
  const [view, setView] = useState(() => wholeBore(lengthMm));
  const scale = useMemo(() => mapScale(view), [view]);
  const [loupe, setLoupe] = useState(true);
  const whole = view.x1Mm - view.x0Mm > lengthMm - 1e-6;
  const zoom = (by: number, [mm, deg]: readonly [number, number]): void =>
    setView((v) => (by === 0 ? wholeBore(lengthMm) : zoomed(v, lengthMm, by, mm, deg)));
  const mark = marks.find((m) => m.id === chosen);
  const keys = useMapKeys({ lengthMm, marks, chosen, onChoose, onDraw, onMove, onRemove, onZoom: zoom });
  const drawn = useMapGestures(
    svg,
    { scale, view, lengthMm, setView },
    { onDraw, onPress: pins && (([mm, deg]) => pins.onPlace(...snapped(mm, deg, lengthMm))) },
  );
  const growing = drawn ?? keys.growing;
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
        {photo !== undefined && <LaidPhoto {...photo} scale={scale} geometry={geometry} />}
        <svg
          ref={svg}
          viewBox={`0 0 ${MAP_WIDTH} ${scale.height}`}
          aria-hidden="true"
          className={`relative block h-auto w-full touch-none ${onDraw === undefined ? 'cursor-grab' : 'cursor-crosshair'}`}
          onContextMenu={(e) => e.preventDefault()}
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
          {mark !== undefined && loupe && drawn === undefined && pins === undefined && (
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
