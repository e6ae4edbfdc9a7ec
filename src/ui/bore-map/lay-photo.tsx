'use client';

import { useState } from 'react';
import type { FixedPoint } from '@/core/judge/underlay';
import type { Photo } from '@/core/unit/photo';
import { Choices } from '../field/choices';

/** Lays a photo under the map: a pin is put on the photo, and on the map where that place lies in the bore. */
export function LayPhoto({
  photos,
  photoId,
  points,
  at,
  onPhoto,
  onPin,
  onAt,
  onDone,
  onTakeAway,
}: {
  readonly photos: readonly Photo[];
  readonly photoId: string;
  readonly points: readonly FixedPoint[];
  readonly at: number;
  readonly onPhoto: (id: string) => void;
  readonly onPin: (u: number, v: number) => void;
  readonly onAt: (pin: number) => void;
  readonly onDone: () => void;
  readonly onTakeAway: () => void;
}) {
  const [large, setLarge] = useState(false);
  return (
    <section className="mt-2 border border-line bg-sheet p-3">
      <p className="mb-2">
        Choose a pin; press its place on the photo, then on the map where that place lies in the bore. Edges of ports and the mouth serve
        best.
      </p>
      <div className="mb-2 flex flex-wrap gap-2">
        <Choices
          label="Pin"
          options={points.map((_, i) => ({ value: String(i), text: String(i + 1) }))}
          value={String(at)}
          onPick={(pin) => onAt(Number(pin))}
        />
        <select className="field w-auto" aria-label="Photo" value={photoId} onChange={(e) => onPhoto(e.target.value)}>
          {photos.map((p, i) => (
            <option key={p.id} value={p.id}>
              {p.caption === '' ? `photo ${i + 1}` : p.caption}
            </option>
          ))}
        </select>
        <button type="button" className="btn-quiet" onClick={() => setLarge(!large)}>
          {large ? 'Smaller' : 'Larger'}
        </button>
      </div>
      <div className={`relative ${large ? 'w-full' : 'w-80 max-w-full'}`}>
        {/* biome-ignore lint/performance/noImgElement: pins are put on it by share of its size */}
        <img src={`/photos/${photoId}`} alt="To be laid under the map" className="block w-full" draggable={false} />
        <button
          type="button"
          aria-label={`Put pin ${at + 1} on the photo`}
          className="absolute inset-0 cursor-crosshair"
          onPointerDown={(e) => {
            const box = e.currentTarget.getBoundingClientRect();
            onPin((e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height);
          }}
          onKeyDown={(e) => {
            const way = ({ ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] } as const)[e.key];
            const p = points[at];
            if (way === undefined || p === undefined) return;
            e.preventDefault();
            onPin(within(p.u + way[0] * 0.01), within(p.v + way[1] * 0.01));
          }}
        />
        {points.map((p, i) => (
          <span
            key={i}
            className={`pointer-events-none absolute -m-[10px] size-5 border bg-sheet text-center text-[11px] leading-[18px] font-bold ${i === at ? 'border-2 border-act' : 'border-ink'}`}
            style={{ left: `${p.u * 100}%`, top: `${p.v * 100}%` }}
          >
            {i + 1}
          </span>
        ))}
      </div>
      <div className="mt-2 flex gap-2">
        <button type="button" className="btn" onClick={onDone}>
          Lay it so
        </button>
        <button type="button" className="btn-quiet" onClick={onTakeAway}>
          No photo
        </button>
      </div>
    </section>
  );
}

const within = (share: number): number => Math.min(1, Math.max(0, share));
