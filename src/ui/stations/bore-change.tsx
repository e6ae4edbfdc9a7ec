'use client';

import { useState } from 'react';
import { MATERIAL_WORDS, type Material } from '@/core/bore/material';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';

const SLEEVES: readonly Material[] = ['sleeve-stainless', 'sleeve-brass', 'sleeve-steel'];

/** The bore was cut or sleeved elsewhere: what was done is noted, and the unit goes back to be gauged and judged as it is now. */
export function BoreChange({
  target,
  station,
  suggested = '',
  open,
  boreChanged,
}: {
  readonly target: UnitTarget;
  readonly station: 'hone' | 'sleeve';
  /** What the record knows already. */
  readonly suggested?: string;
  readonly open: boolean;
  readonly boreChanged: SaveAction;
}) {
  const { save, saving, acceptTheirs } = useSave(boreChanged, target);
  const [note, setNote] = useState(suggested);
  const [material, setMaterial] = useState<Material>('sleeve-stainless');
  return (
    <form
      className="grid max-w-xl gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        void save({ station, note, material: station === 'sleeve' ? material : null });
      }}
    >
      {station === 'sleeve' && (
        <label className="label">
          Sleeve
          <select className="field text-ink" value={material} onChange={(e) => setMaterial(e.target.value as Material)}>
            {SLEEVES.map((m) => (
              <option key={m} value={m}>
                {MATERIAL_WORDS[m]}
              </option>
            ))}
          </select>
        </label>
      )}
      <label className="label">
        {station === 'hone' ? 'What was done: grits, strokes, speed' : 'Who sleeved it, to what size'}
        <textarea className="field min-h-20 py-2 text-ink" value={note} onChange={(e) => setNote(e.target.value)} />
      </label>
      <button type="submit" className="btn w-fit" disabled={!open || saving.kind === 'saving'}>
        {station === 'hone' ? 'Honed and washed: gauge again' : 'Back with its sleeve: gauge again'}
      </button>
      <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
    </form>
  );
}
