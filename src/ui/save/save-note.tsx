'use client';

import { sayWhen } from '@/core/quantity/say-time';
import { EVENT_KINDS } from '@/core/unit/event-kind';
import { type Stale, saySaveError } from '@/core/unit/save-error';
import { sayFields } from '@/core/unit/say-fields';
import type { Decide, Saving } from './use-save';

/** Tells how a save went wrong, where it was asked for. Silent while all is well. */
export function SaveNote({ saving, onDecide }: { readonly saving: Saving; readonly onDecide?: Decide }) {
  if (saving.kind === 'idle' || saving.kind === 'saving') return <p aria-live="polite" className="hidden" />;
  if (saving.kind === 'offline') {
    return (
      <p role="status" className="border-l-4 border-amber bg-sheet px-3 py-2 text-amber">
        No connection. What you entered is kept here and is sent as soon as the server answers.
      </p>
    );
  }
  const { error } = saving;
  return (
    <div role="alert" className="border-l-4 border-red bg-sheet px-3 py-2">
      {saySaveError(error).map((line) => (
        <p key={line} className="text-red">
          {line}
        </p>
      ))}
      {error.code === 'stale' && (
        <>
          <Versions stale={error} mine={saving.mine} />
          {onDecide !== undefined && (
            <div className="mt-2 flex gap-2">
              <button type="button" className="btn-quiet" onClick={() => onDecide('keep-mine')}>
                Keep mine
              </button>
              <button type="button" className="btn-quiet" onClick={() => onDecide('take-theirs')}>
                Take theirs
              </button>
            </div>
          )}
        </>
      )}
    </div>
  );
}

/** Both versions side by side: what others changed to what since, and what was to be saved. */
function Versions({ stale: { yours, theirs }, mine = {} }: { readonly stale: Stale; readonly mine?: object | undefined }) {
  return (
    <div className="mt-2 grid grid-cols-2 gap-3 text-[13px]">
      <div>
        <p className="font-bold">Theirs, saved</p>
        {theirs.since.map((s) => (
          <div key={`${s.at}-${s.what}`}>
            <p>
              {s.by}, {sayWhen(s.at, Date.now())}: {EVENT_KINDS[s.what]} {s.note}
            </p>
            {s.changes.map((c) => (
              <p key={c} className="pl-2 text-ink2">
                {c}
              </p>
            ))}
          </div>
        ))}
      </div>
      <div>
        <p className="font-bold">Yours, not saved</p>
        <p>{EVENT_KINDS[yours.what]}</p>
        {sayFields(mine as Readonly<Record<string, unknown>>).map((line) => (
          <p key={line} className="pl-2 text-ink2">
            {line}
          </p>
        ))}
      </div>
    </div>
  );
}
