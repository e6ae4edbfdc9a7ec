'use client';

import { useRef, useState } from 'react';
import { uuidv7 } from 'uuidv7';
import type { Photo } from '@/core/unit/unit-record';

/** The unit's photos; `p` adds one, from a camera where there is one. */
export function PhotoBox({
  unitId,
  photos,
  addPhoto,
  open,
}: {
  readonly unitId: string;
  readonly photos: readonly Photo[];
  readonly addPhoto: (form: FormData) => Promise<{ readonly ok: boolean }>;
  readonly open: boolean;
}) {
  const input = useRef<HTMLInputElement>(null);
  const [note, setNote] = useState('');
  const send = async (file: File | undefined): Promise<void> => {
    if (file === undefined) return;
    setNote('Sending the photo');
    const form = new FormData();
    form.set('eventId', uuidv7());
    form.set('unitId', unitId);
    form.set('caption', file.name.replace(/\.\w+$/, ''));
    form.set('file', file);
    try {
      setNote((await addPhoto(form)).ok ? '' : 'Not saved: that file is not a picture of at most 10 MB.');
    } catch {
      setNote('No connection: the photo was not sent. Choose it again when the line is back.');
    }
  };
  return (
    <section className="border-t border-hair pt-3">
      <div className="flex items-center justify-between">
        <h2 className="head">Photos</h2>
        {open && (
          <button
            type="button"
            data-key="p"
            className="min-h-11 font-bold text-act"
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
        onChange={(e) => void send(e.target.files?.[0])}
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
