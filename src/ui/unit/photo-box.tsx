'use client';

import { useRef } from 'react';
import type { Photo } from '@/core/unit/unit-record';
import { type AddPhoto, useAddPhoto } from './use-add-photo';

/** The unit's photos; `p` adds one, from a camera where there is one. */
export function PhotoBox({
  unitId,
  photos,
  addPhoto,
  open,
}: {
  readonly unitId: string;
  readonly photos: readonly Photo[];
  readonly addPhoto: AddPhoto;
  readonly open: boolean;
}) {
  const input = useRef<HTMLInputElement>(null);
  const { send, note } = useAddPhoto(unitId, addPhoto);
  return (
    <section className="border-t border-hair pt-3">
      <div className="flex items-center justify-between">
        <h2 className="head">Photos</h2>
        {open && (
          <button
            type="button"
            data-key="p"
            className="min-h-[44px] font-bold text-act"
            title="Add a photo (p)"
            onClick={() => input.current?.click()}
          >
            Add
          </button>
        )}
      </div>
      <input
        ref={input}
        type="file"
        accept="image/*"
        className="hidden"
        aria-label="Photo file"
        tabIndex={-1}
        onChange={(e) => void send(e.target.files?.[0], (e.target.files?.[0]?.name ?? '').replace(/\.\w+$/, ''))}
      />
      <p role="status" className="text-[13px] text-ink2 empty:hidden">
        {note}
      </p>
      <div className="grid grid-cols-3 gap-2">
        {photos.map((p) => (
          <a key={p.id} href={`/photos/${p.id}`} target="_blank" rel="noreferrer" className="block border border-hair">
            {/* biome-ignore lint/performance/noImgElement: re-encoded to size when it was stored */}
            <img
              src={`/photos/${p.id}`}
              alt={p.caption === '' ? 'photo' : p.caption}
              className="aspect-[4/3] w-full object-cover"
              loading="lazy"
            />
            <span className="block truncate px-1 text-[12px] text-ink2">{p.caption}</span>
          </a>
        ))}
      </div>
      {photos.length === 0 && <p className="text-[13px] text-ink2">None yet.</p>}
    </section>
  );
}
