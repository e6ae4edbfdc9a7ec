'use client';

import { useState } from 'react';
import { WET, WET_NAMES, type Wet } from '@/core/prove/programme/seen';
import type { Suspect } from '@/core/prove/programme/suspects';
import { STATION_WORDS } from '@/core/route/station';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';

/** What may be behind a failed step, the likeliest first; each leads back to the station where it is put right. */
export function Failed({
  target,
  means,
  byWet,
  wet: seen,
  reopen,
  open,
}: {
  readonly target: UnitTarget;
  readonly means: string;
  /** What may be behind it, by where it is wet. */
  readonly byWet: { readonly [W in Wet | 'unsaid']: readonly Suspect[] };
  readonly wet: Wet | null;
  readonly reopen: SaveAction;
  readonly open: boolean;
}) {
  const { save, saving, acceptTheirs } = useSave(reopen, target);
  const [wet, setWet] = useState<Wet | 'unsaid'>(seen ?? 'unsaid');
  const [chosen, setChosen] = useState<string>();
  const suspects = byWet[wet];
  const suspect = suspects.find((s) => s.what === chosen);
  return (
    <section className="mt-3 border-t border-hair pt-2">
      <h3 className="head mb-1">WHERE TO LOOK</h3>
      <p className="mb-2">{means}</p>
      <label className="label mb-2 w-72">
        Where is it wet?
        <select className="field text-ink" value={wet} onChange={(e) => setWet(WET_NAMES.find((w) => w === e.target.value) ?? 'unsaid')}>
          <option value="unsaid">not looked yet</option>
          {WET_NAMES.map((w) => (
            <option key={w} value={w}>
              {WET[w]}
            </option>
          ))}
        </select>
      </label>
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
          disabled={suspect === undefined || saving.kind === 'saving'}
          onClick={() => suspect !== undefined && void save({ station: suspect.reopens, because: suspect.what })}
        >
          {suspect === undefined ? 'Choose what to look at first' : `Open ${STATION_WORDS[suspect.reopens]} again`}
        </button>
      )}
      {suspect !== undefined && (
        <p className="mt-1 text-[13px] text-ink2">
          {STATION_WORDS[suspect.reopens]} and all after it are done over; what was proved does not count any more.
        </p>
      )}
      <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
    </section>
  );
}
