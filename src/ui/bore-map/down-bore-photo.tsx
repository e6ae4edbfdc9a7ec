'use client';

import { useDrag } from '@use-gesture/react';
import { type KeyboardEvent, useMemo, useRef, useState } from 'react';
import { type DownBore, type PicturePoint, type TubeView, tubeView, type WallPlace } from '@/core/bore-map/down-bore';
import { snapped } from '@/core/bore-map/map-scale';
import { type Patch, patchAround } from '@/core/bore-map/patch';
import type { Geometry } from '@/core/family/geometry';
import { Choices } from '../field/choices';
import { LengthField } from '../field/quantity-field';
import { useUnits } from '../shell/units-context';
import type { MapMark } from './map-marks';

/** Width of the drawing over the picture, in its own px. */
const WIDE = 1000;
/** Every so many mm a ring of the grid, and every so many degrees a line along the wall. */
const [RING_MM, LINE_DEG] = [10, 30];

/**
 * A photo that looks down the bore: the ring of the mouth and one at a known depth are put where they are seen, and the grid follows.
 * With the grid right, marks are drawn in the photo itself.
 */
export function DownBorePhoto({
  src,
  lies,
  geometry,
  marks,
  onLies,
  onDraw,
}: {
  readonly src: string;
  readonly lies: DownBore;
  readonly geometry: Geometry;
  readonly marks: readonly MapMark[];
  readonly onLies: (lies: DownBore) => void;
  readonly onDraw: ((patch: Patch) => void) | undefined;
}) {
  const units = useUnits();
  const [doing, setDoing] = useState<'rings' | 'marks'>('rings');
  const [aspect, setAspect] = useState(0.75);
  const view = useMemo(() => tubeView(lies, { diaMm: geometry.nominalMm, lengthMm: geometry.lengthMm }, aspect), [lies, geometry, aspect]);
  return (
    <>
      <p className="mb-2">
        {doing === 'rings'
          ? 'Move the large ring onto the mouth and the small one onto an edge whose depth you know; turn the 12 to where it is on the bore.'
          : 'Drag over what you see: it lands on the map and in the table.'}
      </p>
      <div className="mb-2 flex flex-wrap items-end gap-3">
        <Choices
          label="What a drag does"
          options={[
            { value: 'rings', text: 'Move the rings' },
            { value: 'marks', text: 'Draw marks' },
          ]}
          value={doing}
          onPick={setDoing}
          disabled={onDraw === undefined || view === undefined}
        />
        <LengthField
          label={`Small ring, ${units.length} deep`}
          className="w-40"
          value={lies.deepMm}
          onSay={(deepMm) => deepMm !== null && deepMm > 0 && onLies({ ...lies, deepMm })}
        />
        <Choices
          label="Taken from"
          options={[
            { value: 'open-end', text: 'from the open end' },
            { value: 'far-end', text: 'from the far end' },
          ]}
          value={lies.from}
          onPick={(from) => onLies({ ...lies, from })}
        />
      </div>
      <div className="relative max-w-3xl">
        {/* biome-ignore lint/performance/noImgElement: rings are put on it by share of its size */}
        <img
          src={src}
          alt="Down the bore"
          className="block w-full"
          draggable={false}
          onLoad={(e) => setAspect(e.currentTarget.naturalHeight / e.currentTarget.naturalWidth)}
        />
        <svg viewBox={`0 0 ${WIDE} ${WIDE * aspect}`} className="absolute inset-0 size-full touch-none">
          <title>The bore’s grid in the photo</title>
          {view !== undefined && <Grid view={view} lies={lies} geometry={geometry} marks={marks} />}
          {doing === 'rings' ? (
            <Handles lies={lies} onLies={onLies} />
          ) : (
            view !== undefined && onDraw !== undefined && <Pen view={view} aspect={aspect} lengthMm={geometry.lengthMm} onDraw={onDraw} />
          )}
        </svg>
      </div>
    </>
  );
}

const pathOf = (points: readonly (PicturePoint | undefined)[]): string =>
  `M${points.flatMap((p) => (p === undefined ? [] : [`${(p.u * WIDE).toFixed(1)} ${(p.v * WIDE).toFixed(1)}`])).join('L')}`;
const upTo = (most: number, step: number): readonly number[] => Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => i * step);

function Grid({
  view,
  lies,
  geometry: { lengthMm },
  marks,
}: {
  readonly view: TubeView;
  readonly lies: DownBore;
  readonly geometry: Geometry;
  readonly marks: readonly MapMark[];
}) {
  const rings = upTo(lengthMm, RING_MM);
  const label = (place: WallPlace, text: string) => {
    const p = view.pointOf(place);
    return (
      p !== undefined && (
        <text
          key={text}
          x={p.u * WIDE}
          y={p.v * WIDE - 18}
          fontSize="22"
          fontWeight="700"
          fill="#fff"
          stroke="#000"
          strokeWidth="4"
          paintOrder="stroke"
        >
          {text}
        </text>
      )
    );
  };
  return (
    <g fill="none" stroke="#8fd0ff" strokeWidth="1.5">
      {rings.map((xMm) => (
        <path key={xMm} d={`${pathOf(upTo(360, 6).map((clockDeg) => view.pointOf({ xMm, clockDeg })))}Z`} />
      ))}
      {upTo(330, LINE_DEG).map((clockDeg) => (
        <path
          key={clockDeg}
          d={pathOf(rings.concat(lengthMm).map((xMm) => view.pointOf({ xMm, clockDeg })))}
          strokeWidth={clockDeg === 0 ? 4 : 1.5}
        />
      ))}
      {marks.map((m) => (
        <path key={m.id} d={`${patchPath(view, m)}Z`} stroke="#ffd166" strokeWidth="3" />
      ))}
      {rings.slice(1).map((xMm) => label({ xMm, clockDeg: (xMm / RING_MM) * LINE_DEG }, `${xMm}`))}
      {label({ xMm: lies.from === 'open-end' ? 0 : lengthMm, clockDeg: 0 }, '12')}
    </g>
  );
}

/** The edge of a patch as it stands in the picture. */
const patchPath = (view: TubeView, { x0Mm, x1Mm, clock0Deg, clock1Deg }: Patch): string => {
  const wide = (((clock1Deg - clock0Deg) % 360) + 360) % 360;
  const along = upTo(12, 1).map((i) => clock0Deg + (wide * i) / 12);
  return pathOf([
    ...along.map((clockDeg) => view.pointOf({ xMm: x0Mm, clockDeg })),
    ...along.toReversed().map((clockDeg) => view.pointOf({ xMm: x1Mm, clockDeg })),
  ]);
};

/** What can be moved of the rings: their middles, their sides, and where twelve o'clock is. */
function Handles({ lies, onLies }: { readonly lies: DownBore; readonly onLies: (lies: DownBore) => void }) {
  const { mouth, deep, twelveDeg } = lies;
  const turn = (twelveDeg * Math.PI) / 180;
  const of = (which: 'mouth' | 'deep', name: string) => {
    const ring = lies[which];
    const say = (news: Partial<typeof ring>): void => onLies({ ...lies, [which]: { ...ring, ...news } });
    return (
      <g key={which}>
        <ellipse
          cx={ring.u * WIDE}
          cy={ring.v * WIDE}
          rx={ring.ru * WIDE}
          ry={ring.rv * WIDE}
          fill="none"
          stroke="#ffd166"
          strokeWidth="3"
          strokeDasharray={which === 'deep' ? '12 8' : undefined}
        />
        <Handle
          name={`The whole ${name}`}
          at={{ u: ring.u - ring.ru, v: ring.v }}
          onMove={(du, dv) => say({ u: ring.u + du, v: ring.v + dv })}
        />
        <Handle
          name={`Side of the ${name}`}
          at={{ u: ring.u + ring.ru, v: ring.v }}
          onMove={(du) => say({ ru: Math.max(0.01, ring.ru + du) })}
        />
        <Handle
          name={`Foot of the ${name}`}
          at={{ u: ring.u, v: ring.v + ring.rv }}
          onMove={(_, dv) => say({ rv: Math.max(0.01, ring.rv + dv) })}
        />
      </g>
    );
  };
  const twelve = { u: mouth.u + mouth.ru * Math.sin(turn), v: mouth.v - mouth.rv * Math.cos(turn) };
  return (
    <>
      {of('mouth', 'large ring')}
      {deep.ru > 0 && of('deep', 'small ring')}
      <Handle
        name="Twelve o’clock"
        at={twelve}
        onMove={(du, dv) =>
          onLies({
            ...lies,
            twelveDeg: (Math.atan2((twelve.u + du - mouth.u) / mouth.ru, (mouth.v - twelve.v - dv) / mouth.rv) * 180) / Math.PI,
          })
        }
      />
    </>
  );
}

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
/** What an arrow moves a handle, of the picture's width. */
const ARROW_STEP = 0.003;

function Handle({
  name,
  at,
  onMove,
}: {
  readonly name: string;
  readonly at: PicturePoint;
  readonly onMove: (du: number, dv: number) => void;
}) {
  const spot = useRef<SVGCircleElement>(null);
  const bind = useDrag(({ delta: [dx, dy] }) => {
    const px = spot.current?.ownerSVGElement?.getBoundingClientRect().width ?? 1;
    if (dx !== 0 || dy !== 0) onMove(dx / px, dy / px);
  });
  return (
    // biome-ignore lint/a11y/useSemanticElements: a spot of a drawing
    <circle
      {...bind()}
      ref={spot}
      role="button"
      tabIndex={0}
      aria-label={`${name}: drag it, or use the arrows`}
      cx={at.u * WIDE}
      cy={at.v * WIDE}
      r="15"
      className="cursor-move touch-none"
      fill="#12181b"
      fillOpacity="0.55"
      stroke="#ffd166"
      strokeWidth="4"
      onKeyDown={(e: KeyboardEvent) => {
        const way = ARROWS[e.key];
        if (way === undefined) return;
        e.preventDefault();
        onMove(way[0] * ARROW_STEP, way[1] * ARROW_STEP);
      }}
    />
  );
}

/** Draws marks in the photo. */
function Pen({
  view,
  aspect,
  lengthMm,
  onDraw,
}: {
  readonly view: TubeView;
  readonly aspect: number;
  readonly lengthMm: number;
  readonly onDraw: (patch: Patch) => void;
}) {
  const [growing, setGrowing] = useState<Patch>();
  const sheet = useRef<SVGRectElement>(null);
  const bind = useDrag(({ initial, xy, last }) => {
    const box = (sheet.current as SVGRectElement).getBoundingClientRect();
    const place = ([x, y]: readonly [number, number]): readonly [number, number] | undefined => {
      const at = view.placeOf({ u: (x - box.left) / box.width, v: (y - box.top) / box.width });
      return at && snapped(at.xMm, at.clockDeg, lengthMm);
    };
    const [from, to] = [place(initial), place(xy)];
    const patch = from && to && patchAround(from, to);
    setGrowing(last ? undefined : patch);
    if (last && patch !== undefined && patch.x1Mm - patch.x0Mm >= 0.2) onDraw(patch);
  });
  return (
    <>
      <rect {...bind()} ref={sheet} width={WIDE} height={WIDE * aspect} fill="transparent" className="cursor-crosshair touch-none" />
      {growing !== undefined && (
        <path d={`${patchPath(view, growing)}Z`} fill="#ffd166" fillOpacity="0.4" stroke="#ffd166" pointerEvents="none" />
      )}
    </>
  );
}
