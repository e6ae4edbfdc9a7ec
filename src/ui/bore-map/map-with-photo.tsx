'use client';

import { type ComponentProps, useState } from 'react';
import { layPhotoAction } from '@/app/actions/judge';
import { type FixedPoint, type Lies, startLies, type Underlay } from '@/core/bore-map/underlay';
import { potAsked } from '@/core/family/pots';
import type { Photo } from '@/core/unit/photo';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { late } from '../shell/late';
import { useStation } from '../unit/station-context';
import { BoreMap } from './bore-map';
import type { Laying } from './lay-photo';

const LayPhoto = late(async () => (await import('./lay-photo')).LayPhoto);

/** The bore map with the photo that lies under it, and the way to lay one. */
export function MapWithPhoto({
  photos,
  underlay,
  sheet,
  ...map
}: Omit<ComponentProps<typeof BoreMap>, 'photo' | 'pins' | 'children'> & {
  readonly photos: readonly Photo[];
  readonly underlay: Underlay | null;
  /** Where the verdict stands on paper, once it is saved. */
  readonly sheet: string | undefined;
}) {
  const { tag, open, pot } = useStation();
  const { save, saving, decide } = useSave(layPhotoAction);
  const [laying, setLaying] = useState<Laying>();
  const [hidden, setHidden] = useState(false);
  const shown = laying ?? (hidden ? null : underlay);
  const change = (news: Partial<Laying>): void => setLaying((l) => l && { ...l, ...news });
  const done = (laid: 'so' | 'none'): void => {
    setLaying(undefined);
    if (laying !== undefined) void save({ pot, laid: laid === 'none' ? null : { photoId: laying.photoId, lies: laying.lies } });
  };
  return (
    <>
      <BoreMap
        {...map}
        photo={shown === null ? undefined : { src: `/photos/${shown.photoId}`, lies: shown.lies }}
        pins={
          laying?.lies.kind === 'wall'
            ? {
                points: laying.lies.points,
                at: laying.pin,
                onPlace: (xMm, clockDeg) => change({ lies: pinned(laying, { xMm, clockDeg }) }),
              }
            : undefined
        }
      >
        {open && photos.length > 0 && laying === undefined && (
          <button
            type="button"
            className="btn-quiet"
            onClick={() =>
              setLaying({
                photoId: underlay?.photoId ?? (photos[0] as Photo).id,
                lies: underlay?.lies ?? startLies('wall', map.geometry.lengthMm),
                pin: 0,
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
              href={`/api/v1/units/${tag}/bore-map.${kind}${potAsked(pot)}`}
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
          laying={laying}
          geometry={map.geometry}
          marks={map.marks}
          onLaying={change}
          onDraw={map.onDraw}
          onDone={done}
        />
      )}
      <SaveNote saving={saving} onDecide={decide} />
    </>
  );
}

/** The pin in hand put where it lies in the bore. */
const pinned = ({ lies, pin }: Laying, place: Pick<FixedPoint, 'xMm' | 'clockDeg'>): Lies =>
  lies.kind === 'wall' ? { ...lies, points: lies.points.map((p, i) => (i === pin ? { ...p, ...place } : p)) } : lies;
