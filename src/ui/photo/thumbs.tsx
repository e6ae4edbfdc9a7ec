'use client';

import { useState } from 'react';
import type { Photo } from '@/core/unit/photo';
import { late } from '../shell/late';

const PhotoViewer = late(async () => (await import('./photo-viewer')).PhotoViewer);

/** Small pictures that open the viewer; `among` is what the viewer pages through. */
export function Thumbs({
  photos,
  among = photos,
  className,
}: {
  readonly photos: readonly Photo[];
  readonly among?: readonly Photo[];
  readonly className?: string;
}) {
  const [openId, setOpenId] = useState<string>();
  return (
    <>
      {photos.map((p) => (
        <button
          key={p.id}
          type="button"
          aria-label={`Open the photo ${p.caption}`}
          className={className ?? 'size-[44px] shrink-0 border border-hair'}
          onClick={() => setOpenId(p.id)}
        >
          {/* biome-ignore lint/performance/noImgElement: re-encoded to size when it was stored */}
          <img src={`/photos/${p.id}?size=small`} alt="" className="size-full object-cover" loading="lazy" />
        </button>
      ))}
      {openId !== undefined && <PhotoViewer photos={among} openId={openId} onClose={() => setOpenId(undefined)} />}
    </>
  );
}
