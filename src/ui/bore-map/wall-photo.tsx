'use client';

import { useState } from 'react';
import type { FixedPoint } from '@/core/bore-map/underlay';
import { Choices } from '../field/choices';

/** A photo of the wall: a pin is put on it, and on the map where that place lies in the bore. */
export function WallPhoto({
  src,
  points,
  pin,
  onPin,
  onPoints,
}: {
  readonly src: string;
  readonly points: readonly FixedPoint[];
  readonly pin: number;
  readonly onPin: (pin: number) => void;
  readonly onPoints: (points: readonly FixedPoint[]) => void;
}) {
  const [large, setLarge] = useState(false);
  const put = (u: number, v: number): void => onPoints(points.map((p, i) => (i === pin ? { ...p, u: within(u), v: within(v) } : p)));
  return (
    <>
      <p className="mb-2">
        Choose a pin; press its place on the photo, then on the map where that place lies in the bore. Edges of ports and the mouth serve
        best.
      </p>
      <div className="mb-2 flex flex-wrap gap-2">
        <Choices
          label="Pin"
          options={points.map((_, i) => ({ value: String(i), text: String(i + 1) }))}
          value={String(pin)}
          onPick={(next) => onPin(Number(next))}
        />
        <button type="button" className="btn-quiet" onClick={() => setLarge(!large)}>
          {large ? 'Smaller' : 'Larger'}
        </button>
      </div>
      <div className={`relative ${large ? 'w-full' : 'w-80 max-w-full'}`}>
        {/* biome-ignore lint/performance/noImgElement: pins are put on it by share of its size */}
        <img src={src} alt="To be laid under the map" className="block w-full" draggable={false} />
        <button
          type="button"
          aria-label={`Put pin ${pin + 1} on the photo`}
          className="absolute inset-0 cursor-crosshair"
          onPointerDown={(e) => {
            const box = e.currentTarget.getBoundingClientRect();
            put((e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height);
          }}
          onKeyDown={(e) => {
            const way = ({ ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] } as const)[e.key];
            const p = points[pin];
            if (way === undefined || p === undefined) return;
            e.preventDefault();
            put(p.u + way[0] * 0.01, p.v + way[1] * 0.01);
          }}
        />
        {points.map((p, i) => (
          <span
            key={i}
            className={`pointer-events-none absolute -m-[10px] size-5 border bg-sheet text-center text-[11px] leading-[18px] font-bold ${i === pin ? 'border-2 border-act' : 'border-ink'}`}
            style={{ left: `${p.u * 100}%`, top: `${p.v * 100}%` }}
          >
            {i + 1}
          </span>
        ))}
      </div>
    </>
  );
}

const within = (share: number): number => Math.min(1, Math.max(0, share));
