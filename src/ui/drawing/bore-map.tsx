'use client';

import { type PointerEvent, useRef, useState } from 'react';
import type { BoreOutcome } from '@/core/bore/judge';
import type { Lane } from '@/core/bore/lane';
import type { Geometry } from '@/core/family/geometry';
import { sayLength } from '@/core/quantity/say';
import type { Units } from '@/core/quantity/units';

export type MapMark = {
  readonly id: string;
  readonly name: string;
  readonly x0Mm: number;
  readonly x1Mm: number;
  readonly clock0Deg: number;
  readonly clock1Deg: number;
  readonly outcome: BoreOutcome | null;
};
export type Patch = { readonly x0Mm: number; readonly x1Mm: number; readonly clock0Deg: number; readonly clock1Deg: number };

const [WIDTH, HEIGHT, LEFT, TOP, RIGHT, BOTTOM] = [830, 262, 52, 18, 10, 40];
const CLOCKS: readonly (readonly [number, string])[] = [
  [0, 'top'],
  [90, '90°'],
  [180, 'bottom'],
  [270, '270°'],
  [360, 'top'],
];

/** The bore unrolled: depth across, clock down, cut along the top so that the bottom lies in the middle. A drag marks a place. */
export function BoreMap({
  geometry,
  lanes,
  marks,
  stationsMm,
  units,
  chosen,
  onChoose,
  onDraw,
}: {
  readonly geometry: Geometry;
  readonly lanes: readonly Lane[];
  readonly marks: readonly MapMark[];
  readonly stationsMm: readonly number[];
  readonly units: Units;
  readonly chosen: string | undefined;
  readonly onChoose: (id: string) => void;
  /** Absent where nothing may be drawn. */
  readonly onDraw?: ((patch: Patch) => void) | undefined;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const [drag, setDrag] = useState<{ readonly from: readonly [number, number]; readonly to: readonly [number, number] }>();
  const x = (mm: number): number => LEFT + (mm / geometry.lengthMm) * (WIDTH - LEFT - RIGHT);
  const y = (deg: number): number => TOP + (deg / 360) * (HEIGHT - TOP - BOTTOM);
  const at = (e: PointerEvent): readonly [number, number] => {
    const box = (svg.current as SVGSVGElement).getBoundingClientRect();
    const px = ((e.clientX - box.left) / box.width) * WIDTH;
    const py = ((e.clientY - box.top) / box.height) * HEIGHT;
    const mm = ((px - LEFT) / (WIDTH - LEFT - RIGHT)) * geometry.lengthMm;
    const deg = ((py - TOP) / (HEIGHT - TOP - BOTTOM)) * 360;
    return [Math.round(Math.min(geometry.lengthMm, Math.max(0, mm)) * 10) / 10, Math.round(Math.min(359, Math.max(0, deg)))];
  };
  const patch = drag === undefined ? undefined : patchOf(drag.from, drag.to);
  const ticks = Array.from({ length: Math.floor(geometry.lengthMm / 10) + 1 }, (_, i) => i * 10);
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`The bore unrolled, ${marks.length} marks; the table below holds the same marks`}
      className={`h-auto w-full touch-none border border-line bg-sheet ${onDraw === undefined ? '' : 'cursor-crosshair'}`}
      onPointerDown={(e) => {
        if (onDraw === undefined) return;
        e.currentTarget.setPointerCapture(e.pointerId);
        setDrag({ from: at(e), to: at(e) });
      }}
      onPointerMove={(e) => drag !== undefined && setDrag({ ...drag, to: at(e) })}
      onPointerUp={(e) => {
        // The stroke ends where the finger lifts: the last move may not have been drawn yet.
        const stroke = drag === undefined ? undefined : patchOf(drag.from, at(e));
        if (stroke !== undefined && stroke.x1Mm - stroke.x0Mm >= 0.2 && onDraw !== undefined) onDraw(stroke);
        setDrag(undefined);
      }}
    >
      <defs>
        <MarkPatterns />
      </defs>
      {lanes.map((l) => (
        <g key={l.sealId}>
          <title>{l.sealId.replaceAll('-', ' ')}</title>
          <rect x={x(l.x0Mm)} y={y(0)} width={x(l.x1Mm) - x(l.x0Mm)} height={y(360) - y(0)} fill="var(--tint2)" />
        </g>
      ))}
      {lanes.map((l, i) => (
        <g key={l.sealId}>
          <rect x={x(l.parked0Mm)} y={y(0)} width={x(l.parked1Mm) - x(l.parked0Mm)} height={y(360) - y(0)} fill="var(--tint)" />
          <text x={x(l.parked0Mm) + 2} y={y(360) - 6 - (i % 2) * 13} fontSize="11" fill="var(--act)">
            {l.sealId.replaceAll('-', ' ')}
          </text>
        </g>
      ))}
      {CLOCKS.map(([deg, text]) => (
        <g key={deg}>
          <path d={`M${LEFT} ${y(deg)}H${WIDTH - RIGHT}`} stroke="var(--hair)" />
          <text x="4" y={y(deg) + 4} fontSize="12" fill="var(--ink2)">
            {text}
          </text>
        </g>
      ))}
      {stationsMm.map((mm) => (
        <g key={mm}>
          <path d={`M${x(mm)} ${y(0)}V${y(360)}`} stroke="var(--brass)" strokeDasharray="2 4" />
          <path d={`M${x(mm) - 5} ${TOP - 10}h10l-5 8Z`} fill="var(--brass)" />
        </g>
      ))}
      {geometry.ports
        .filter((p) => p.side !== 'end')
        .flatMap((p) =>
          (p.side === 'top' ? [0, 360] : [180]).map((deg) => (
            <ellipse
              key={`${p.id}-${deg}`}
              cx={x(p.xMm)}
              cy={y(deg)}
              rx={Math.max(2.5, x(p.diaMm / 2) - x(0))}
              ry={Math.max(2.5, (p.diaMm / 2 / (Math.PI * geometry.nominalMm)) * (y(360) - y(0)))}
              fill="var(--sheet)"
              stroke="var(--ink)"
            >
              <title>{`${p.id.replaceAll('-', ' ')} at ${sayLength(p.xMm, units)} ${units.length}`}</title>
            </ellipse>
          )),
        )}
      {marks.map((m) => (
        <g
          key={m.id}
          onPointerDown={(e) => {
            e.stopPropagation();
            onChoose(m.id);
          }}
          className="cursor-pointer"
        >
          {pieces(m).map((p, i) => {
            const [w, h] = [Math.max(9, x(p.x1Mm) - x(p.x0Mm)), Math.max(9, y(p.clock1Deg) - y(p.clock0Deg))];
            const [cx, cy] = [(x(p.x0Mm) + x(p.x1Mm)) / 2, (y(p.clock0Deg) + y(p.clock1Deg)) / 2];
            return (
              <rect
                key={i}
                x={cx - w / 2}
                y={cy - h / 2}
                width={w}
                height={h}
                fill={fillOf(m.outcome)}
                stroke={m.id === chosen ? 'var(--act)' : 'var(--ink)'}
                strokeWidth={m.id === chosen ? 3 : 1.2}
                strokeDasharray={m.outcome === 'undecided' ? '4 3' : undefined}
              />
            );
          })}
          <text
            x={x(m.x1Mm) + 8}
            y={y(m.clock0Deg) + 4}
            fontSize="12"
            fontWeight="700"
            fill={m.id === chosen ? 'var(--act)' : 'var(--ink)'}
          >
            {m.name}
          </text>
        </g>
      ))}
      {patch !== undefined && (
        <rect
          x={x(patch.x0Mm)}
          y={y(patch.clock0Deg)}
          width={x(patch.x1Mm) - x(patch.x0Mm)}
          height={y(patch.clock1Deg) - y(patch.clock0Deg)}
          fill="var(--act)"
          opacity="0.3"
        />
      )}
      {ticks.map((mm) => (
        <g key={mm}>
          <path d={`M${x(mm)} ${y(360)}v5`} stroke="var(--ink2)" />
          <text x={x(mm)} y={y(360) + 17} textAnchor="middle" fontSize="11" fill="var(--ink2)">
            {sayLength(mm, units)}
          </text>
        </g>
      ))}
      <text x={LEFT} y={HEIGHT - 6} fontSize="12" fill="var(--ink2)">
        {units.length} from the open end →
      </text>
    </svg>
  );
}

const patchOf = (a: readonly [number, number], b: readonly [number, number]): Patch => ({
  x0Mm: Math.min(a[0], b[0]),
  x1Mm: Math.max(a[0], b[0]),
  clock0Deg: Math.min(a[1], b[1]),
  clock1Deg: Math.max(a[1], b[1]),
});

/** A mark across the top is cut in two on the map. */
const pieces = (m: Patch): readonly Patch[] => {
  const [from, to] = [((m.clock0Deg % 360) + 360) % 360, ((m.clock1Deg % 360) + 360) % 360];
  return to >= from
    ? [{ ...m, clock0Deg: from, clock1Deg: to }]
    : [
        { ...m, clock0Deg: from, clock1Deg: 360 },
        { ...m, clock0Deg: 0, clock1Deg: to },
      ];
};

const fillOf = (outcome: BoreOutcome | null): string => {
  switch (outcome) {
    case 'polish':
    case 'hone':
    case 'sleeve':
      return `url(#fill-${outcome})`;
    case 'scrap':
      return 'var(--ink)';
    case 'reuse':
    case 'undecided':
    case null:
      return 'var(--sheet)';
  }
};

const MarkPatterns = () => (
  <>
    <pattern id="fill-polish" width="5" height="5" patternUnits="userSpaceOnUse">
      <rect width="5" height="5" fill="var(--sheet)" />
      <circle cx="2.5" cy="2.5" r="1" fill="var(--ink)" />
    </pattern>
    <pattern id="fill-hone" width="5" height="5" patternUnits="userSpaceOnUse">
      <rect width="5" height="5" fill="var(--sheet)" />
      <path d="M0 0 5 5M5 0 0 5" stroke="var(--ink)" strokeWidth="0.9" />
    </pattern>
    <pattern id="fill-sleeve" width="6" height="6" patternUnits="userSpaceOnUse">
      <rect width="6" height="6" fill="var(--sheet)" />
      <path d="M1 0V6M4 0V6" stroke="var(--ink)" strokeWidth="1.2" />
    </pattern>
  </>
);
