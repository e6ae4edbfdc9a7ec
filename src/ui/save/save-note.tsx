'use client';

import { sayWhen } from '@/core/quantity/say-time';
import { EVENT_KINDS } from '@/core/unit/event-kind';
import { type Stale, saySaveError } from '@/core/unit/save-error';
import type { Saving } from './use-save';

/** Tells how a save went wrong, where it was asked for. Silent while all is well. */
export function SaveNote({ saving, onAcceptTheirs }: { readonly saving: Saving; readonly onAcceptTheirs?: (theirs: number) => void }) {
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
          <Versions stale={error} />
          {onAcceptTheirs !== undefined && (
            <button type="button" className="btn-quiet mt-2" onClick={() => onAcceptTheirs(error.theirs.version)}>
              Seen; keep mine here to save again
            </button>
          )}
        </>
      )}
    </div>
  );
}

/** Both versions side by side: what others did since, and what was to be saved. */
function Versions({ stale: { yours, theirs } }: { readonly stale: Stale }) {
  return (
    <div className="mt-2 grid grid-cols-2 gap-3 text-[13px]">
      <div>
        <p className="font-bold">Theirs, version {theirs.version}</p>
        {theirs.since.map((s) => (
          <p key={`${s.at}-${s.what}`}>
            {s.by}, {sayWhen(s.at, Date.now())}: {EVENT_KINDS[s.what]} {s.note}
          </p>
        ))}
      </div>
      <div>
        <p className="font-bold">Yours, from version {yours.version}</p>
        <p>{EVENT_KINDS[yours.what]}: as it stands on this page, not saved</p>
      </div>
    </div>
  );
}
