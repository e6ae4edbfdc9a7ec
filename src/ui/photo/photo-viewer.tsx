'use client';

import { useParams } from 'next/navigation';
import { Dialog } from 'radix-ui';
import { useEffect, useState } from 'react';
import { sayFullDate } from '@/core/quantity/say-time';
import type { Photo } from '@/core/unit/photo';

const ZOOMS = [1, 1.5, 2.5, 4] as const;
export const PHASE_WORDS: { readonly [P in Photo['phase']]: string } = { out: 'as it came out', in: 'as it went in' };

/** Photos at full size: one, or two side by side (out and in), with zoom by button, wheel or + and −. */
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
  const [all, setAll] = useState<readonly Photo[]>();
  useEffect(() => {
    const fetchAll = async (): Promise<void> => {
      const answer = await fetch(`/api/v1/units/${tag}/photos`);
      if (answer.ok) setAll((await answer.json()) as readonly Photo[]);
    };
    if (tag !== undefined) fetchAll().catch(() => undefined);
  }, [tag]);
  // The page sends those that hang on its things; all of the unit's come when one is opened, to be laid beside it.
  const photos = all?.some((p) => p.id === openId) ? all : sent;
  const [shown, setShown] = useState<readonly string[]>([]);
  const [zoom, setZoom] = useState(0);
  const ids = shown.length > 0 ? shown : [openId];
  const step = (by: 1 | -1): void => setZoom((z) => Math.min(ZOOMS.length - 1, Math.max(0, z + by)));
  const move = (by: 1 | -1): void => {
    const at = photos.findIndex((p) => p.id === ids[0]);
    const next = photos[(at + by + photos.length) % photos.length];
    if (next !== undefined) setShown([next.id, ...ids.slice(1)]);
  };
  const beside = (): void => setShown(ids.length === 2 ? [ids[0] as string] : [ids[0] as string, counterpart(photos, ids[0] as string)]);
  return (
    <Dialog.Root open onOpenChange={onClose}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 bg-[#12181bcc]" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-3 flex flex-col border border-line bg-sheet text-ink"
          onKeyDown={(e) => {
            if (e.key === '+' || e.key === '=') step(1);
            else if (e.key === '-') step(-1);
            else if (e.key === 'ArrowRight') move(1);
            else if (e.key === 'ArrowLeft') move(-1);
            else return;
            e.preventDefault();
          }}
        >
          <div className="flex flex-wrap items-center gap-2 border-b border-line px-3 py-1.5">
            <Dialog.Title className="mr-auto font-bold">Photos</Dialog.Title>
            <button type="button" className="btn-quiet" onClick={() => move(-1)} disabled={photos.length < 2}>
              Before
            </button>
            <button type="button" className="btn-quiet" onClick={() => move(1)} disabled={photos.length < 2}>
              After
            </button>
            <button type="button" className="btn-quiet" aria-pressed={ids.length === 2} onClick={beside} disabled={photos.length < 2}>
              {ids.length === 2 ? 'One only' : 'Side by side'}
            </button>
            <button type="button" className="btn-quiet" aria-label="Smaller" onClick={() => step(-1)} disabled={zoom === 0}>
              −
            </button>
            <span className="w-16 text-center whitespace-nowrap">{Math.round((ZOOMS[zoom] ?? 1) * 100)} %</span>
            <button type="button" className="btn-quiet" aria-label="Larger" onClick={() => step(1)} disabled={zoom === ZOOMS.length - 1}>
              +
            </button>
            <Dialog.Close className="btn-quiet">Close</Dialog.Close>
          </div>
          <div className={`grid min-h-0 flex-1 ${ids.length === 2 ? 'grid-cols-2 gap-2' : ''}`}>
            {ids.map((id, i) => (
              <Pane
                key={i}
                photos={photos}
                id={id}
                zoom={ZOOMS[zoom] ?? 1}
                onZoom={step}
                onPick={ids.length === 2 ? (picked) => setShown(ids.map((x, j) => (j === i ? picked : x))) : undefined}
              />
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

function Pane({
  photos,
  id,
  zoom,
  onZoom,
  onPick,
}: {
  readonly photos: readonly Photo[];
  readonly id: string;
  readonly zoom: number;
  readonly onZoom: (by: 1 | -1) => void;
  readonly onPick: ((id: string) => void) | undefined;
}) {
  const photo = photos.find((p) => p.id === id);
  if (photo === undefined) return null;
  const words = `${photo.caption || 'photo'}, ${PHASE_WORDS[photo.phase]}`;
  return (
    <figure className="flex min-h-0 min-w-0 flex-col">
      <section
        className="min-h-0 flex-1 overflow-auto bg-ground"
        aria-label={words}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must be reachable by keyboard
        tabIndex={0}
        onWheel={(e) => e.ctrlKey && onZoom(e.deltaY < 0 ? 1 : -1)}
      >
        {/* biome-ignore lint/performance/noImgElement: re-encoded to size when it was stored */}
        <img
          src={`/photos/${photo.id}`}
          alt={words}
          className="mx-auto object-contain"
          style={{ width: `${zoom * 100}%`, height: `${zoom * 100}%`, maxWidth: 'none' }}
        />
      </section>
      <figcaption className="flex flex-wrap items-center gap-3 px-3 py-1.5 text-[13px]">
        {onPick === undefined ? (
          <b>{photo.caption || 'photo'}</b>
        ) : (
          <select className="field w-auto" aria-label="Which photo" value={photo.id} onChange={(e) => onPick(e.target.value)}>
            {photos.map((p) => (
              <option key={p.id} value={p.id}>
                {p.caption || 'photo'} ({p.phase})
              </option>
            ))}
          </select>
        )}
        <span className="text-ink2">
          {PHASE_WORDS[photo.phase]} · {sayFullDate(photo.at)}
        </span>
      </figcaption>
    </figure>
  );
}
