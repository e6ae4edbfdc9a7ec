'use client';

import { useState } from 'react';
import { may, type Role } from '@/core/people/role';
import type { Station } from '@/core/station';
import type { SignOff } from '@/core/unit/unit-doors';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import type { SaveAction, UnitTarget } from './unit-actions';

/** Signs a station off; says what is missing while it may not be, and lets a lead pass over it with a reason. */
export function SignOffBar({
  target,
  station,
  text,
  unmet,
  role,
  signOff,
  note = '',
}: {
  readonly target: UnitTarget;
  readonly station: Station;
  readonly text: string;
  /** What is missing, in words. */
  readonly unmet: readonly string[];
  readonly role: Role;
  readonly signOff: SaveAction<SignOff>;
  readonly note?: string;
}) {
  const { save, saving, acceptTheirs } = useSave(signOff, target);
  const [reason, setReason] = useState('');
  const busy = saving.kind === 'saving';
  return (
    <div className="grid gap-2">
      <button
        type="button"
        className="btn w-fit"
        disabled={unmet.length > 0 || busy || !may(role, 'bench')}
        onClick={() => void save({ station, note, override: null })}
      >
        {text}
      </button>
      {unmet.length > 0 && (
        <div className="border-l-4 border-line pl-3 text-ink2">
          <p className="font-bold text-ink">Not yet:</p>
          {unmet.map((u) => (
            <p key={u}>{u}</p>
          ))}
          {may(role, 'override') && may(role, 'bench') && (
            <form
              className="mt-2 flex flex-wrap gap-2"
              onSubmit={(e) => {
                e.preventDefault();
                void save({ station, note, override: reason });
              }}
            >
              <input
                className="field max-w-xs"
                aria-label="Reason for passing over this"
                placeholder="Reason; stands on the certificate"
                value={reason}
                onChange={(e) => setReason(e.target.value)}
              />
              <button type="submit" className="btn-quiet" disabled={reason.trim().length < 3 || busy}>
                Override as lead
              </button>
            </form>
          )}
        </div>
      )}
      <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
    </div>
  );
}
