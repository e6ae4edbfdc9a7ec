'use client';

import type { Patch } from '@/core/bore-map/patch';
import { type Lies, startLies } from '@/core/bore-map/underlay';
import type { Geometry } from '@/core/family/geometry';
import type { Photo } from '@/core/unit/photo';
import { Choices } from '../field/choices';
import { DownBorePhoto } from './down-bore-photo';
import type { MapMark } from './map-marks';
import { WallPhoto } from './wall-photo';

/** A photo that is being laid, and the pin of it that is in hand. */
export type Laying = { readonly photoId: string; readonly lies: Lies; readonly pin: number };

/** Lays a photo under the map: one of the wall by four pins, one that looks down the bore by two rings. */
export function LayPhoto({
  photos,
  laying: { photoId, lies, pin },
  geometry,
  marks,
  onLaying,
  onDraw,
  onDone,
}: {
  readonly photos: readonly Photo[];
  readonly laying: Laying;
  readonly geometry: Geometry;
  readonly marks: readonly MapMark[];
  readonly onLaying: (news: Partial<Laying>) => void;
  readonly onDraw: ((patch: Patch) => void) | undefined;
  readonly onDone: (laid: 'so' | 'none') => void;
}) {
  return (
    <section className="mt-2 border border-line bg-sheet p-3" aria-label="Lay a photo">
      <div className="mb-2 flex flex-wrap gap-2">
        <Choices
          label="How it was taken"
          options={[
            { value: 'wall', text: 'of the wall' },
            { value: 'down-bore', text: 'straight down the bore' },
          ]}
          value={lies.kind}
          onPick={(kind) => onLaying({ lies: startLies(kind, geometry.lengthMm), pin: 0 })}
        />
        <select className="field w-auto" aria-label="Photo" value={photoId} onChange={(e) => onLaying({ photoId: e.target.value })}>
          {photos.map((p, i) => (
            <option key={p.id} value={p.id}>
              {p.caption === '' ? `photo ${i + 1}` : p.caption}
            </option>
          ))}
        </select>
      </div>
      {lies.kind === 'wall' ? (
        <WallPhoto
          src={`/photos/${photoId}`}
          points={lies.points}
          pin={pin}
          onPin={(next) => onLaying({ pin: next })}
          onPoints={(points) => onLaying({ lies: { kind: 'wall', points } })}
        />
      ) : (
        <DownBorePhoto
          src={`/photos/${photoId}`}
          lies={lies}
          geometry={geometry}
          marks={marks}
          onLies={(next) => onLaying({ lies: { kind: 'down-bore', ...next } })}
          onDraw={onDraw}
        />
      )}
      <div className="mt-2 flex gap-2">
        <button type="button" className="btn" onClick={() => onDone('so')}>
          Lay it so
        </button>
        <button type="button" className="btn-quiet" onClick={() => onDone('none')}>
          No photo
        </button>
      </div>
    </section>
  );
}
