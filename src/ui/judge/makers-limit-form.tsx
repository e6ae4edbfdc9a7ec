'use client';

import { useState } from 'react';
import type { SetMakersLimit } from '@/core/judge/judge-doors';
import type { MakersLimit } from '@/core/judge/limits';
import type { Units } from '@/core/quantity/units';
import { LengthField } from '../field/quantity-field';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';

/** What a maker's manual allows, for this unit or for its fitment. It prevails over the shop's limits. */
export function MakersLimitForm({
  target,
  limit,
  fitment,
  units,
  setLimit,
}: {
  readonly target: UnitTarget;
  readonly limit: MakersLimit | null;
  /** The machine and place that share the limit, in words. */
  readonly fitment: string;
  readonly units: Units;
  readonly setLimit: SaveAction<SetMakersLimit>;
}) {
  const { save, saving, acceptTheirs } = useSave(setLimit, target);
  const [maxDiaMm, setMax] = useState<number | null>(limit?.maxDiaMm ?? null);
  const [source, setSource] = useState(limit?.source ?? '');
  const [scope, setScope] = useState<'unit' | 'fitment'>('unit');
  return (
    <div className="grid gap-2 pt-2">
      <div className="flex flex-wrap items-end gap-3">
        <LengthField
          label={`Largest bore, ${units.length}`}
          fine
          className="w-28"
          say="typing"
          value={maxDiaMm}
          units={units}
          onSay={setMax}
        />
        <label className="label mb-0">
          Holds for
          <select className="field text-ink" value={scope} onChange={(e) => setScope(e.target.value as typeof scope)}>
            <option value="unit">this unit</option>
            <option value="fitment">{fitment}</option>
          </select>
        </label>
      </div>
      <input
        className="field"
        aria-label="Manual, and where in it"
        placeholder="Manual, and where in it"
        value={source}
        maxLength={200}
        onChange={(e) => setSource(e.target.value)}
      />
      <div className="flex gap-2">
        <button
          type="button"
          className="btn-quiet"
          disabled={maxDiaMm === null || source.trim().length < 3 || saving.kind === 'saving'}
          onClick={() => void save({ scope, maxDiaMm, source })}
        >
          Let it prevail
        </button>
        {limit !== null && (
          <button
            type="button"
            className="btn-quiet"
            disabled={source.trim().length < 3}
            onClick={() => void save({ scope, maxDiaMm: null, source })}
          >
            Take it back
          </button>
        )}
      </div>
      <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
    </div>
  );
}
