'use client';

import { saySaveError } from '@/core/wire/save-error';
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
      {error.code === 'stale' && onAcceptTheirs !== undefined && (
        <button type="button" className="btn-quiet mt-2" onClick={() => onAcceptTheirs(error.theirs)}>
          I have seen theirs (version {error.theirs}); mine is version {error.yours}
        </button>
      )}
    </div>
  );
}
