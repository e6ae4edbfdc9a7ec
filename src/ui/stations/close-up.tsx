'use client';

import { type ReactNode, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { type Faces, NEVER_REUSED } from '@/core/close-up/stack-check';
import type { Family } from '@/core/family/family';
import { partFacing } from '@/core/family/family';
import type { TrayPart } from '@/core/strip/tray-door';
import type { Photo } from '@/core/unit/unit-record';
import { LIP_WORDS, Lip } from '../drawing/lip';
import { CameraButton } from '../photo/camera-button';
import { SendingNote } from '../photo/sending-note';
import { Thumbs } from '../photo/thumbs';
import { usePhotos } from '../photo/use-photos';
import { SaveNote } from '../save/save-note';
import { useTray } from '../save/use-tray';
import { Go } from '../shell/go';
import { FATE_WORDS } from '../strip/tray';
import { Scroll } from '../unit/scroll';
import { StationFrame } from '../unit/station-frame';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';

/** The tray going back in, deepest part first. A lip is confirmed by choosing what one sees; a wrong choice stops and says why. */
export function CloseUp({
  target,
  family,
  tray: saved,
  kits,
  photos,
  recordPart,
  first,
  cleanHref,
  open,
  ledger,
  children,
}: {
  readonly target: UnitTarget;
  readonly family: Family;
  readonly tray: readonly TrayPart[];
  /** Numbers of the kits set aside. */
  readonly kits: readonly string[];
  readonly photos: readonly Photo[];
  readonly recordPart: SaveAction;
  /** What must be done before anything goes in, and where. */
  readonly first: readonly string[];
  readonly cleanHref: string;
  readonly open: boolean;
  readonly ledger: ReactNode;
  readonly children: ReactNode;
}) {
  const { tray, tell, saving, acceptTheirs } = useTray(saved, recordPart, target);
  const goingIn = tray.filter(
    (p) => p.fate !== 'binned' && !(p.found === 'absent' && family.slots.find((s) => s.id === p.slotId)?.optional !== false),
  );
  const waiting = [...goingIn].reverse().filter((p) => p.goesIn === null);
  const { send, sending } = usePhotos(target.unitId, 'in');
  const [picked, setPicked] = useState<string>();
  const now = waiting.find((p) => p.id === picked) ?? waiting[0];
  const put = (part: TrayPart, piece: 'same' | 'new', faces: Faces | null): void => tell(part, { goesIn: { piece, faces } });
  return (
    <StationFrame
      title={`TRAY · from the open end · ${goingIn.length - waiting.length} of ${goingIn.length} in`}
      note="nothing may stay on the tray"
      ledger={ledger}
      aside={
        <section className="mb-4" aria-live="polite">
          {open &&
            first.map((f) => (
              <p key={f} className="mb-3 border-l-4 border-red pl-3 font-bold">
                {f}{' '}
                <Go className="text-act underline" href={cleanHref}>
                  To Clean
                </Go>
              </p>
            ))}
          {open && first.length === 0 && now !== undefined && (
            <NowPart key={now.id} part={now} family={family} kits={kits} put={put} busy={saving.kind === 'saving'} />
          )}
          {open && now === undefined && <p className="mb-3 text-lg font-bold">Everything is in. Stroke it: free, returns by itself.</p>}
          <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
          {now === undefined && <div className="mt-3">{children}</div>}
        </section>
      }
    >
      <SendingNote sending={sending} />
      <Scroll label="Tray">
        <table className="w-full border-collapse bg-sheet">
          <thead>
            <tr>
              {['', 'Part', 'As it came out', 'As it goes in', 'Faces', '', 'Photo out and in'].map((h, i) => (
                <th key={i} scope="col" className={`th ${i === 3 ? 'border-l-2 border-l-ink' : ''}`}>
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {tray.map((p, i) => {
              const isNow = open && p.id === now?.id;
              const facing = p.goesIn?.faces ?? null;
              return (
                <tr key={p.id} id={`part-${p.slotId}`} className={isNow ? 'bg-tint2' : ''}>
                  <td className="cell text-ink2">{i + 1}</td>
                  <th scope="row" className="cell font-normal">
                    {isNow ? <b>{p.name}</b> : p.name}
                    {p.qty > 1 ? ` × ${p.qty}` : ''}
                  </th>
                  <td className="cell text-ink2">
                    {p.found === 'absent' ? 'was absent' : [p.condition, p.note].filter(Boolean).join(', ')}
                  </td>
                  <td className="cell border-l-2 border-l-ink">{intended(p, goingIn.includes(p), kits)}</td>
                  <td className="cell">{facing !== null && <Lip faces={facing} size={20} />}</td>
                  <td className="cell min-w-20">
                    {p.goesIn !== null ? (
                      'in'
                    ) : isNow ? (
                      <b className="text-act">now</b>
                    ) : goingIn.includes(p) ? (
                      <button
                        type="button"
                        disabled={!open}
                        className="min-h-[44px] w-full text-left text-ink2 enabled:underline"
                        onClick={() => setPicked(p.id)}
                      >
                        waits
                      </button>
                    ) : (
                      <span className="text-ink2">–</span>
                    )}
                  </td>
                  <td className="cell">
                    <span className="flex gap-1">
                      <Thumbs photos={photos.filter((x) => x.onKind === 'part' && x.onId === p.id)} among={photos} />
                      {open && p.goesIn !== null && (
                        <CameraButton
                          label={`Photo of the ${p.name}, in`}
                          onPick={(files) => void send(files, { kind: 'part', id: p.id }, p.name)}
                        />
                      )}
                    </span>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </Scroll>
    </StationFrame>
  );
}

const intended = (p: TrayPart, goes: boolean, kits: readonly string[]): string => {
  if (!goes) return p.found === 'absent' ? 'none on this unit' : 'not put back';
  if (p.goesIn !== null) return p.goesIn.piece === 'new' ? `new, ${kits.join(', ')}` : 'same one back';
  return p.fate === 'refitted' ? 'same one back' : p.found === 'absent' ? 'a new one' : FATE_WORDS[p.fate ?? 'replaced'];
};

/** The part whose turn it is: which piece, and for a lip which of two drawings it looks like. Keys 1 and 2 choose. */
function NowPart({
  part,
  family,
  kits,
  put,
  busy,
}: {
  readonly part: TrayPart;
  readonly family: Family;
  readonly kits: readonly string[];
  readonly put: (part: TrayPart, piece: 'same' | 'new', faces: Faces | null) => void;
  readonly busy: boolean;
}) {
  const [wrong, setWrong] = useState<Faces>();
  const expected = partFacing(family, part);
  const piece = part.fate === 'refitted' && !NEVER_REUSED.includes(part.kind) ? 'same' : 'new';
  const choose = (faces: Faces): void => (faces === expected ? put(part, piece, faces) : setWrong(faces));
  const keys = { useKey: true, enabled: expected !== undefined && !busy };
  useHotkeys('1', () => choose('blind'), keys);
  useHotkeys('2', () => choose('open'), keys);
  return (
    <div>
      <h2 className="head mb-1">NOW: {part.name.toUpperCase()}</h2>
      {expected === undefined ? (
        <div className="grid gap-3">
          <p className="text-lg font-bold">
            {piece === 'new'
              ? `A new ${part.name}${kits.length === 0 ? '' : ` from ${kits.join(', ')}`}`
              : `The same ${part.name} goes back`}
          </p>
          <button type="button" className="btn w-fit" disabled={busy} onClick={() => put(part, piece, null)}>
            {piece === 'new' ? 'New one is in' : 'Same one is in'}
          </button>
        </div>
      ) : (
        <div className="grid gap-3">
          <p className="text-lg leading-snug font-bold">Which of these do you have in front of you, open end to your left?</p>
          <div className="grid grid-cols-2 gap-3">
            {(['blind', 'open'] as const).map((faces, i) => (
              <button
                key={faces}
                type="button"
                disabled={busy}
                onClick={() => choose(faces)}
                className={`grid min-h-32 place-items-center gap-1 border bg-sheet py-3 ${wrong === faces ? 'border-2 border-red' : 'border-line hover:border-act'}`}
              >
                <Lip faces={faces} size={84} />
                <span>
                  <b>{i + 1}</b> {LIP_WORDS[faces]}
                </span>
              </button>
            ))}
          </div>
          {wrong !== undefined && (
            <p role="alert" className="border-l-4 border-red pl-3 text-red">
              Turn it round. The {part.name} holds the pressure that stands to its {expected === 'blind' ? 'right' : 'left'}, so its lip
              must open to the {expected === 'blind' ? 'right' : 'left'}.
            </p>
          )}
          <p className="text-ink2">
            Wet it with fresh fluid of this system. Feed its lip past ports and grooves with a slip sleeve; turn, do not push.
          </p>
        </div>
      )}
    </div>
  );
}
