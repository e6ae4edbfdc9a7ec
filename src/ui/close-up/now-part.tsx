'use client';

import { TriangleAlert } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { spoilPieceAction } from '@/app/actions/kit';
import type { CloseUpStep } from '@/core/close-up/guide';
import type { Faces } from '@/core/family/facing';
import type { Fastened, TrayPart } from '@/core/strip/tray-schema';
import type { Photo } from '@/core/unit/photo';
import { TextField } from '../field/text-field';
import { Thumbs } from '../photo/thumbs';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { ChooseSide } from './choose-side';
import { Fasten } from './fasten';

/** What is said of the part that goes in. */
export type PutIn = { readonly faces: Faces | null; readonly fastened?: Fastened; readonly note?: string };

/** The part whose turn it is: which piece, wet with what, how it gets in, which way round, and what is seen when it is home. */
export function NowPart({
  part,
  step,
  photos,
  busy,
  follows,
  put,
}: {
  readonly part: TrayPart;
  readonly step: CloseUpStep;
  readonly photos: readonly Photo[];
  readonly busy: boolean;
  /** What was done last on this page. */
  readonly follows: 'nothing' | 'a-part';
  readonly put: (news: PutIn) => void;
}) {
  const { fitting, side, fastener } = step;
  const [reason, setReason] = useState('');
  const home = useRef<HTMLButtonElement>(null);
  // After each part the next one's button has the focus.
  useEffect(() => {
    if (follows === 'a-part' && !busy) home.current?.focus();
  }, [follows, busy]);
  const missing = step.asksReason && reason.trim().length < 3;
  const note = step.asksReason ? { note: reason.trim() } : {};
  return (
    <div className="grid gap-3" data-testid="now" aria-busy={busy}>
      <div>
        <h2 className="head">NOW: {part.name.toUpperCase()}</h2>
        <p>
          <b>{step.piece === 'new' ? `New: ${step.from}` : 'The same one goes back'}</b>
          {part.qty > 1 ? ` · ${part.qty} of them` : ''} · {step.wetWith}
        </p>
      </div>
      {step.asksReason && (
        <TextField
          label="It is usually replaced. Why it goes back, and how it was made good"
          value={reason}
          placeholder="refaced flat on fine paper"
          onSay={setReason}
        />
      )}
      {side !== null && !missing && (
        <ChooseSide name={part.name} side={side} even={step.even} busy={busy} onRight={(faces) => put({ faces, ...note })} />
      )}
      <div className="grid gap-1">
        <p>{fitting.todo}</p>
        {step.passing !== null && <p>{step.passing}</p>}
        {fitting.tool !== undefined && (
          <p className="text-[13px]">
            <span className="text-ink2">tool </span>
            {fitting.tool}
          </p>
        )}
        {fitting.flies !== undefined && (
          <p className="flex gap-2 text-[13px]">
            <TriangleAlert size={16} className="mt-0.5 shrink-0 text-amber" aria-label="Caution" />
            {fitting.flies}
          </p>
        )}
      </div>
      {fastener !== null && !missing && (
        <Fasten
          slotId={part.slotId}
          name={part.name}
          torque={fastener.torque}
          busy={busy}
          home={fitting.home}
          onDone={(fastened) => put({ faces: null, fastened, ...note })}
        />
      )}
      {side === null && fastener === null && (
        <button
          ref={home}
          type="button"
          className="btn w-fit text-left"
          disabled={busy || missing}
          // A key that is held down puts in one part, not all of them.
          onKeyDown={(e) => e.repeat && e.preventDefault()}
          onClick={() => put({ faces: null, ...note })}
        >
          {fitting.home}
        </button>
      )}
      {step.piece === 'new' && <Spoilt part={part} />}
      {photos.length > 0 && (
        <div>
          <p className="label">as it came out</p>
          <Thumbs photos={photos} among={photos} />
        </div>
      )}
    </div>
  );
}

/** The new piece is no good any more: it is put away, and Kit gives another. */
function Spoilt({ part }: { readonly part: TrayPart }) {
  const { save, saving, decide } = useSave(spoilPieceAction);
  return (
    <div>
      <button
        type="button"
        className="btn-quiet"
        disabled={saving.kind === 'saving'}
        onClick={() => void save({ partId: part.id, name: part.name })}
      >
        It is nicked or cut: take another
      </button>
      <SaveNote saving={saving} onDecide={decide} />
    </div>
  );
}
