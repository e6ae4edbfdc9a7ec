'use client';

import { type ComponentProps, useState } from 'react';
import type { LayPhoto as LayPhotoSent } from '@/core/judge/judge-doors';
import type { Underlay } from '@/core/judge/underlay';
import { type FixedPoint, startPoints } from '@/core/judge/underlay';
import type { Photo } from '@/core/unit/photo';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { late } from '../shell/late';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';
import { BoreMap } from './bore-map';

const LayPhoto = late(async () => (await import('./lay-photo')).LayPhoto);

type Laying = { readonly photoId: string; readonly points: readonly FixedPoint[]; readonly at: number };

/** The bore map with the photo that lies under it, and the way to lay one. */
export function MapWithPhoto({
  target,
  tag,
  photos,
  underlay,
  layPhoto,
  sheet,
  open,
  ...map
}: Omit<ComponentProps<typeof BoreMap>, 'photo' | 'pins' | 'children'> & {
  readonly target: UnitTarget;
  readonly tag: string;
  readonly photos: readonly Photo[];
  readonly underlay: Underlay | null;
  readonly layPhoto: SaveAction<LayPhotoSent>;
  /** Where the verdict stands on paper, once it is saved. */
  readonly sheet: string | undefined;
  readonly open: boolean;
}) {
  const { save, saving, acceptTheirs } = useSave(layPhoto, target);
  const [laying, setLaying] = useState<Laying>();
  const [hidden, setHidden] = useState(false);
  const shown = laying ?? (hidden ? null : underlay);
  const pin = (news: Partial<FixedPoint>): void =>
    setLaying((l) => l && { ...l, points: l.points.map((p, i) => (i === l.at ? { ...p, ...news } : p)) });
  const keep = (laid: Omit<Laying, 'at'> | null): void => {
    setLaying(undefined);
    void save({ laid });
  };
  return (
    <>
      <BoreMap
        {...map}
        photo={shown === null ? undefined : { src: `/photos/${shown.photoId}`, points: shown.points }}
        pins={laying && { points: laying.points, at: laying.at, onPlace: (xMm, clockDeg) => pin({ xMm, clockDeg }) }}
      >
        {open && photos.length > 0 && laying === undefined && (
          <button
            type="button"
            className="btn-quiet"
            onClick={() =>
              setLaying({
                photoId: underlay?.photoId ?? (photos[0] as Photo).id,
                points: underlay?.points ?? startPoints(map.geometry.lengthMm),
                at: 0,
              })
            }
          >
            {underlay === null ? 'Lay a photo under it' : 'Move the photo'}
          </button>
        )}
        {underlay !== null && laying === undefined && (
          <button type="button" className="btn-quiet" aria-pressed={hidden} onClick={() => setHidden(!hidden)}>
            {hidden ? 'Show the photo' : 'Hide the photo'}
          </button>
        )}
        <span className="ml-auto flex gap-3">
          {sheet !== undefined && (
            <a className="inline-flex min-h-[44px] items-center font-bold text-act" href={sheet} target="_blank" rel="noreferrer">
              Verdict sheet
            </a>
          )}
          {(['svg', 'png'] as const).map((kind) => (
            <a
              key={kind}
              className="inline-flex min-h-[44px] items-center font-bold text-act uppercase"
              href={`/api/v1/units/${tag}/bore-map.${kind}`}
              download
            >
              {kind}
            </a>
          ))}
        </span>
      </BoreMap>
      {laying !== undefined && (
        <LayPhoto
          photos={photos}
          {...laying}
          onPhoto={(photoId) => setLaying({ ...laying, photoId })}
          onPin={(u, v) => pin({ u, v })}
          onAt={(at) => setLaying({ ...laying, at })}
          onDone={() => keep({ photoId: laying.photoId, points: laying.points })}
          onTakeAway={() => keep(null)}
        />
      )}
      <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
    </>
  );
}
