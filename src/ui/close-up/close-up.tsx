'use client';

import { type ComponentProps, type ReactNode, useState } from 'react';
import type { CloseUpStep } from '@/core/close-up/guide';
import type { Family } from '@/core/family/family';
import type { Touch } from '@/core/fluid/contact';
import type { RubberName } from '@/core/fluid/rubber';
import type { TrayPart } from '@/core/strip/tray-schema';
import type { Treatment } from '@/core/strip/treatment';
import type { Photo } from '@/core/unit/photo';
import { SendingNote } from '../photo/sending-note';
import { usePhotos } from '../photo/use-photos';
import { SaveNote } from '../save/save-note';
import { useTray } from '../save/use-tray';
import { Go } from '../shell/go';
import { late } from '../shell/late';
import { Fold } from '../unit/fold';
import { useStation } from '../unit/station-context';
import { StationFrame } from '../unit/station-frame';
import type { ForgottenBox as Forgotten } from './forgotten-box';
import { InTable } from './in-table';
import { type Halves, Join } from './join';
import { NowPart, type PutIn } from './now-part';
import { Stroke } from './stroke';
import { TouchBox } from './touch-box';

const ForgottenBox = late<ComponentProps<typeof Forgotten>>(async () => (await import('./forgotten-box')).ForgottenBox);

/** The tray going back in, the order of stripping reversed: what touches what, then part by part, then stroked by hand. */
export function CloseUp({
  family,
  tray: saved,
  steps,
  touch,
  photos,
  first,
  halves,
  returns,
  mayWork,
  ledger,
  children,
}: {
  readonly family: Family;
  readonly tray: readonly TrayPart[];
  /** How each part goes in, in their order. */
  readonly steps: readonly CloseUpStep[];
  /** What touches the new rubber; null where none of a fluid path goes in. */
  readonly touch: { readonly saved: Touch; readonly stated: readonly RubberName[]; readonly treatments: readonly Treatment[] } | null;
  readonly photos: readonly Photo[];
  /** What must be done before anything goes in, and where. */
  readonly first: readonly { readonly text: string; readonly href: string | null; readonly place: string }[];
  /** Where it is half of a caliper: whether it is joined to the other half, which that may be, and the torque of the screws between them. */
  readonly halves: Halves | null;
  /** How it came back when it was stroked; null: not yet. Undefined: nothing in it moves. */
  readonly returns: 'by-itself' | 'sticks' | null | undefined;
  /** The unit is here, and this person works at benches. */
  readonly mayWork: boolean;
  readonly ledger: ReactNode;
  readonly children: ReactNode;
}) {
  const { target, open } = useStation();
  const { tray, tell, saving, decide } = useTray(saved);
  const { send, sending } = usePhotos(target.unitId, 'in');
  const [follows, setFollows] = useState<'nothing' | 'a-part'>('nothing');
  const [picked, setPicked] = useState<string>();
  const partOf = (id: string): TrayPart | undefined => tray.find((p) => p.id === id);
  const waiting = steps.filter((s) => partOf(s.partId)?.goesIn === null);
  const step = waiting.find((s) => s.partId === picked) ?? waiting[0];
  const now = step === undefined ? undefined : partOf(step.partId);
  const put = (s: CloseUpStep, part: TrayPart, { faces, ...more }: PutIn): void => {
    setFollows('a-part');
    tell(part, { goesIn: { piece: s.piece, faces }, ...more });
  };
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
          {touch !== null && <TouchBox {...touch} />}
          <section className="mb-4" aria-live="polite">
            {open && first.length === 0 && step !== undefined && now !== undefined && (
              <NowPart
                key={step.partId}
                part={now}
                step={step}
                photos={photos.filter((x) => x.onKind === 'part' && x.onId === now.id)}
                busy={saving.kind === 'saving'}
                follows={follows}
                put={(news) => put(step, now, news)}
              />
            )}
            {open && step === undefined && halves !== null && <Join {...halves} />}
            {open && step === undefined && halves?.stands !== 'apart' && returns !== undefined && <Stroke returns={returns} />}
            <SaveNote saving={saving} onDecide={decide} />
            {step === undefined && <div className="mt-3">{children}</div>}
          </section>
          {mayWork && tray.some((p) => p.goesIn !== null) && (
            <Fold title="A part was left over">
              <ForgottenBox family={family} tray={tray} />
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
        pick={setPicked}
        photograph={(part, files) => void send(files, { kind: 'part', id: part.id }, part.name)}
      />
    </StationFrame>
  );
}
