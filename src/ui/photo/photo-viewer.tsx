'use client';

import 'yet-another-react-lightbox/styles.css';
import { useParams } from 'next/navigation';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import Lightbox from 'yet-another-react-lightbox';
import Inline from 'yet-another-react-lightbox/plugins/inline';
import Zoom from 'yet-another-react-lightbox/plugins/zoom';
import { sayFullDate } from '@/core/quantity/say-time';
import type { Photo } from '@/core/unit/photo';
import { useRead } from '../shell/reads';

export const PHASE_WORDS: { readonly [P in Photo['phase']]: string } = { out: 'as it came out', in: 'as it went in' };

/** Photos at full size: one, or two side by side (out and in), drawn and pinched larger, moved and turned over by hand or keys. */
export function PhotoViewer({
  photos: sent,
  openId,
  onClose,
}: {
  readonly photos: readonly Photo[];
  readonly openId: string;
  readonly onClose: () => void;
}) {
  const { tag } = useParams<{ tag?: string }>();
  // The page sends those that hang on its things; all of the unit's come when one is opened, to be laid beside it.
  const { data: all } = useRead<readonly Photo[]>(`/api/v1/units/${tag}/photos`);
  const photos = all?.some((p) => p.id === openId) === true ? all : sent;
  const [shown, setShown] = useState<readonly string[]>([openId]);
  const first = shown[0] ?? openId;
  const show = (pane: number, id: string): void => setShown(shown.map((x, i) => (i === pane ? id : x)));
  return (
    <Dialog.Root open onOpenChange={onClose}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 bg-[#12181bcc]" />
        <Dialog.Content aria-describedby={undefined} className="fixed inset-3 flex flex-col border border-line bg-sheet text-ink">
          <div className="flex flex-wrap items-center gap-2 border-b border-line px-3 py-1.5">
            <Dialog.Title className="mr-auto font-bold">Photos</Dialog.Title>
            <button
              type="button"
              className="btn-quiet"
              aria-pressed={shown.length === 2}
              disabled={photos.length < 2}
              onClick={() => setShown(shown.length === 2 ? [first] : [first, counterpart(photos, first)])}
            >
              {shown.length === 2 ? 'One only' : 'Side by side'}
            </button>
            <Dialog.Close className="btn-quiet">Close</Dialog.Close>
          </div>
          <div className={`grid min-h-0 flex-1 ${shown.length === 2 ? 'grid-cols-2 gap-2' : ''}`}>
            {shown.map((id, i) => (
              <Pane key={`${i} of ${shown.length}, ${photos.length}`} photos={photos} id={id} onShow={(next) => show(i, next)} />
            ))}
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

/** What one would lay beside a photo: the same thing from the other way, else the next one. */
const counterpart = (photos: readonly Photo[], id: string): string => {
  const photo = photos.find((p) => p.id === id);
  const other =
    photos.find((p) => p.id !== id && p.onId === photo?.onId && p.phase !== photo?.phase) ??
    photos.find((p) => p.id !== id && p.phase !== photo?.phase);
  return (other ?? photos.find((p) => p.id !== id))?.id ?? id;
};

const sayPhoto = (photo: Photo): string => `${photo.caption || 'photo'}, ${PHASE_WORDS[photo.phase]}`;

function Pane({ photos, id, onShow }: { readonly photos: readonly Photo[]; readonly id: string; readonly onShow: (id: string) => void }) {
  const at = Math.max(
    0,
    photos.findIndex((p) => p.id === id),
  );
  const photo = photos[at];
  if (photo === undefined) return null;
  return (
    <figure className="flex min-h-0 min-w-0 flex-col">
      <div className="min-h-0 flex-1">
        <Lightbox
          plugins={[Inline, Zoom]}
          slides={photos.map((p) => ({ src: `/photos/${p.id}`, alt: sayPhoto(p) }))}
          index={at}
          on={{ view: ({ index }) => photos[index] !== undefined && onShow(photos[index].id) }}
          labels={{ Previous: 'Photo before', Next: 'Photo after', 'Zoom in': 'Larger', 'Zoom out': 'Smaller' }}
          inline={{ style: { width: '100%', height: '100%' } }}
          zoom={{ maxZoomPixelRatio: 4, scrollToZoom: true }}
          carousel={{ finite: photos.length < 2, preload: 1 }}
          animation={{ fade: 0, swipe: 150 }}
          styles={{
            root: {
              '--yarl__color_backdrop': 'var(--ground)',
              '--yarl__color_button': 'var(--ink)',
              '--yarl__color_button_active': 'var(--act)',
            },
          }}
        />
      </div>
      <figcaption className="flex flex-wrap items-center gap-3 px-3 py-1.5 text-[13px]">
        <b>{photo.caption || 'photo'}</b>
        <span>
          {at + 1} of {photos.length}
        </span>
        <span className="text-ink2">
          {PHASE_WORDS[photo.phase]} · {sayFullDate(photo.at)}
        </span>
      </figcaption>
    </figure>
  );
}
