'use client';

import { useState } from 'react';
import { reopenAfterFailAction } from '@/app/actions/prove';
import type { Wet } from '@/core/prove/programme/seen';
import type { Suspect } from '@/core/prove/programme/suspects';
import { STATION_WORDS } from '@/core/station';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useStation } from '../unit/station-context';
import { WetPick } from './wet-pick';

/** What may be behind a failed step, the likeliest first; each leads back to the station where it is put right. */
export function Failed({
  means,
  byWet,
  wet: seen,
}: {
  readonly means: string;
  /** What may be behind it, by where it is wet. */
  readonly byWet: { readonly [W in Wet | 'unsaid']: readonly Suspect[] };
  readonly wet: Wet | null;
}) {
  const { open } = useStation();
  const { save, saving, decide } = useSave(reopenAfterFailAction);
  const [wet, setWet] = useState(seen);
  const [chosen, setChosen] = useState<string>();
  const suspects = byWet[wet ?? 'unsaid'];
  const suspect = suspects.find((s) => s.what === chosen);
  return (
    <section className="mt-3 border-t border-hair pt-2">
      <h3 className="head mb-1">WHERE TO LOOK</h3>
      <p className="mb-2">{means}</p>
      <WetPick label="Where is it wet?" value={wet} onSay={setWet} />
      <fieldset>
        <legend className="sr-only">What may be behind it</legend>
        {suspects.map((s) => (
          // biome-ignore lint/a11y/noLabelWithoutControl: whoever may only look has nothing to choose
          <label key={s.what} className="flex min-h-9 items-center gap-2">
            {open && (
              <input
                type="radio"
                name="suspect"
                className="size-4 accent-act"
                checked={chosen === s.what}
                onChange={() => setChosen(s.what)}
              />
            )}
            <span>{s.what}</span>
          </label>
        ))}
      </fieldset>
      {open && (
        <button
          type="button"
          className="btn mt-2"
          disabled={suspect?.reopens == null || saving.kind === 'saving'}
          onClick={() => suspect !== undefined && void save({ what: suspect.what })}
        >
          {suspect === undefined
            ? 'Choose what to look at first'
            : suspect.reopens === null
              ? 'Put it right and run the step again'
              : `Open ${STATION_WORDS[suspect.reopens]} again`}
        </button>
      )}
      {suspect !== undefined && suspect.reopens !== null && (
        <p className="mt-1 text-[13px] text-ink2">
          {suspect.reopens === 'close-up' && suspect.slots.length > 0
            ? 'It comes out again with what is in its way, and goes back in, or a new one does.'
            : `${STATION_WORDS[suspect.reopens]} and all after it are done over.`}{' '}
          What was proved does not count any more.
        </p>
      )}
      <SaveNote saving={saving} onDecide={decide} />
    </section>
  );
}
