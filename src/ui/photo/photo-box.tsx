'use client';

import { useState } from 'react';
import type { Photo } from '@/core/unit/photo';
import { CameraButton } from './camera-button';
import { SendingNote } from './sending-note';
import { Thumbs } from './thumbs';
import { usePhotos } from './use-photos';

/** The unit's photos, the newest first; `p` adds some, from a camera where there is one. */
export function PhotoBox({
  unitId,
  tag,
  photos,
  total,
  phase,
  open,
}: {
  readonly unitId: string;
  readonly tag: string;
  /** The newest of them, oldest first. */
  readonly photos: readonly Photo[];
  readonly total: number;
  readonly phase: Photo['phase'];
  readonly open: boolean;
}) {
  const { send, sending } = usePhotos(unitId, phase);
  const [all, setAll] = useState<readonly Photo[]>();
  const newest = [...(all !== undefined && all.length >= total ? all : photos)].reverse();
  const fetchAll = async (): Promise<void> => {
    const answer = await fetch(`/api/v1/units/${tag}/photos`).catch(() => undefined);
    if (answer?.ok === true) setAll((await answer.json()) as readonly Photo[]);
  };
  return (
    <section className="border-t border-hair pt-3">
      <div className="mb-1 flex items-center justify-between">
        <h2 className="head">Photos{total > 0 ? ` · ${total}` : ''}</h2>
        {open && (
          <CameraButton
            label="Add photos of the unit (p)"
            shortcut="p"
            onPick={(files) => void send(files, { kind: 'unit', id: unitId })}
          />
        )}
      </div>
      <SendingNote sending={sending} />
      <div className="grid grid-cols-3 gap-2">
        <Thumbs photos={newest} className="aspect-[4/3] w-full border border-hair" />
      </div>
      {total === 0 && <p className="text-[13px] text-ink2">None yet.</p>}
      {total > newest.length && (
        <button type="button" className="min-h-[44px] font-bold text-act" onClick={() => void fetchAll()}>
          All {total}
        </button>
      )}
    </section>
  );
}
