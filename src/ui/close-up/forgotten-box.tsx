'use client';

import { useState } from 'react';
import { uuidv7 } from 'uuidv7';
import { findForgottenAction } from '@/app/actions/close-up';
import { reopenedByParts } from '@/core/close-up/bearing';
import { inTheWay } from '@/core/close-up/order';
import type { Family } from '@/core/family/family';
import { STATION_WORDS } from '@/core/station';
import type { TrayPart } from '@/core/strip/tray-schema';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { NewPartFields, nameOf, type UnlistedPart } from '../strip/new-part-fields';

const UNLISTED = 'unlisted';

/** A part lies on the bench though it was said to be in: which one, what has to come out for it, and which stations that opens. */
export function ForgottenBox({ family, tray }: { readonly family: Family; readonly tray: readonly TrayPart[] }) {
  const { save, saving, decide } = useSave(findForgottenAction);
  const [picked, setPicked] = useState('');
  const [unlisted, setUnlisted] = useState<UnlistedPart>({ kind: 'protector-washer', name: '', behindId: null });
  const inside = tray.filter((p) => p.goesIn !== null);
  const part = inside.find((p) => p.id === picked);
  const out = part === undefined ? [] : [...inTheWay(family, tray, part).filter((p) => p.goesIn !== null), part];
  const opened = reopenedByParts(family, out).map((s) => STATION_WORDS[s]);
  const forgotten =
    picked === UNLISTED
      ? { what: 'unlisted' as const, partId: uuidv7(), ...unlisted, name: nameOf(unlisted) }
      : { what: 'listed' as const, partId: picked };
  return (
    <div className="grid gap-2">
      <label className="label mb-0">
        Which part lies on the bench?
        <select className="field text-ink" value={picked} onChange={(e) => setPicked(e.target.value)}>
          <option value="">choose</option>
          {inside.map((p) => (
            <option key={p.id} value={p.id}>
              {p.name}
            </option>
          ))}
          <option value={UNLISTED}>one that is not on the list</option>
        </select>
      </label>
      {picked === UNLISTED && (
        <div className="flex flex-wrap gap-2">
          <NewPartFields part={unlisted} tray={tray} onSay={setUnlisted} />
        </div>
      )}
      {part !== undefined && (
        <p className="border-l-4 border-amber pl-3">
          {out.length === 1
            ? 'Nothing stands in its way.'
            : `For it must come out again: ${out
                .slice(0, -1)
                .map((p) => p.name)
                .join(', ')}.`}{' '}
          Open again after that: {opened.join(', ')}. New rubber that comes out is looked at for nicks before it goes back.
        </p>
      )}
      <button
        type="button"
        className="btn-quiet w-fit"
        disabled={saving.kind === 'saving' || picked === ''}
        onClick={() => void save({ forgotten })}
      >
        It was left out: open what it needs
      </button>
      <SaveNote saving={saving} onDecide={decide} />
    </div>
  );
}
