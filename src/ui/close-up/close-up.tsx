'use client';

import { type ComponentProps, type ReactNode, useState } from 'react';
import type { NoteAtBench } from '@/core/bench/bench-doors';
import type { FindForgotten, NoteTorque } from '@/core/close-up/close-up-doors';
import type { CloseUpStep } from '@/core/close-up/guide';
import type { Family } from '@/core/family/family';
import type { Touch } from '@/core/fluid/contact';
import type { RubberName } from '@/core/fluid/rubber';
import type { SpoilPiece } from '@/core/kit/kit-doors';
import type { Units } from '@/core/quantity/units';
import type { RecordPart } from '@/core/strip/strip-doors';
import type { TrayPart } from '@/core/strip/tray-door';
import type { Treatment } from '@/core/strip/treatment';
import type { Photo } from '@/core/unit/photo';
import type { StartWait } from '@/core/unit/unit-doors';
import { SendingNote } from '../photo/sending-note';
import { usePhotos } from '../photo/use-photos';
import { SaveNote } from '../save/save-note';
import { useTray } from '../save/use-tray';
import { Go } from '../shell/go';
import { late } from '../shell/late';
import { Fold } from '../unit/fold';
import { StationFrame } from '../unit/station-frame';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';
import type { ForgottenBox as Forgotten } from './forgotten-box';
import { InTable } from './in-table';
import { NowPart, type PutIn } from './now-part';
import { Stroke } from './stroke';
import { TouchBox } from './touch-box';

const ForgottenBox = late<ComponentProps<typeof Forgotten>>(async () => (await import('./forgotten-box')).ForgottenBox);

export type CloseUpActions = {
  readonly recordPart: SaveAction<RecordPart>;
  readonly note: SaveAction<NoteAtBench>;
  readonly noteTorque: SaveAction<NoteTorque>;
  readonly findForgotten: SaveAction<FindForgotten>;
  readonly startWait: SaveAction<StartWait>;
  readonly spoilPiece: SaveAction<SpoilPiece>;
};

/** The tray going back in, the order of stripping reversed: what touches what, then part by part, then stroked by hand. */
export function CloseUp({
  target,
  family,
  tray: saved,
  steps,
  touch,
  photos,
  units,
  first,
  returns,
  actions,
  open,
  mayWork,
  ledger,
  children,
}: {
  readonly target: UnitTarget;
  readonly family: Family;
  readonly tray: readonly TrayPart[];
  /** How each part goes in, in their order. */
  readonly steps: readonly CloseUpStep[];
  /** What touches the new rubber; null where none of a fluid path goes in. */
  readonly touch: { readonly saved: Touch; readonly stated: readonly RubberName[]; readonly treatments: readonly Treatment[] } | null;
  readonly photos: readonly Photo[];
  readonly units: Units;
  /** What must be done before anything goes in, and where. */
  readonly first: readonly { readonly text: string; readonly href: string | null; readonly place: string }[];
  /** How it came back when it was stroked; null: not yet. Undefined: nothing in it moves. */
  readonly returns: 'by-itself' | 'sticks' | null | undefined;
  readonly actions: CloseUpActions;
  readonly open: boolean;
  /** The unit is here, and this person works at benches. */
  readonly mayWork: boolean;
  readonly ledger: ReactNode;
  readonly children: ReactNode;
}) {
  const { tray, tell, saving, acceptTheirs } = useTray(saved, actions.recordPart, target);
  const { send, sending } = usePhotos(target.unitId, 'in');
  const [picked, setPicked] = useState<string>();
  const partOf = (id: string): TrayPart | undefined => tray.find((p) => p.id === id);
  const waiting = steps.filter((s) => partOf(s.partId)?.goesIn === null);
  const step = waiting.find((s) => s.partId === picked) ?? waiting[0];
  const now = step === undefined ? undefined : partOf(step.partId);
  const put = (s: CloseUpStep, part: TrayPart, { faces, ...more }: PutIn): void =>
    tell(part, { goesIn: { piece: s.piece, faces }, ...more });
  return (
    <StationFrame
      title={`TRAY · from the open end · ${steps.length - waiting.length} of ${steps.length} in`}
      note="nothing may stay on the tray"
      ledger={ledger}
      aside={
        <>
          {open &&
            first.map((f) => (
              <p key={f.text} className="mb-3 border-l-4 border-red pl-3 font-bold">
                {f.text}{' '}
                {f.href !== null && (
                  <Go className="text-act underline" href={f.href}>
                    To {f.place}
                  </Go>
                )}
              </p>
            ))}
          {touch !== null && (
            <TouchBox target={target} {...touch} units={units} note={actions.note} startWait={actions.startWait} open={open} />
          )}
          <section className="mb-4" aria-live="polite">
            {open && first.length === 0 && step !== undefined && now !== undefined && (
              <NowPart
                key={step.partId}
                target={target}
                part={now}
                step={step}
                photos={photos.filter((x) => x.onKind === 'part' && x.onId === now.id)}
                noteTorque={actions.noteTorque}
                spoilPiece={actions.spoilPiece}
                busy={saving.kind === 'saving'}
                put={(news) => put(step, now, news)}
              />
            )}
            {open && step === undefined && returns !== undefined && <Stroke target={target} returns={returns} note={actions.note} />}
            <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
            {step === undefined && <div className="mt-3">{children}</div>}
          </section>
          {mayWork && tray.some((p) => p.goesIn !== null) && (
            <Fold title="A part was left over">
              <ForgottenBox target={target} family={family} tray={tray} findForgotten={actions.findForgotten} />
            </Fold>
          )}
        </>
      }
    >
      <SendingNote sending={sending} />
      <InTable
        tray={tray}
        steps={steps}
        nowId={open ? now?.id : undefined}
        photos={photos}
        units={units}
        open={open}
        pick={setPicked}
        photograph={(part, files) => void send(files, { kind: 'part', id: part.id }, part.name)}
      />
    </StationFrame>
  );
}
