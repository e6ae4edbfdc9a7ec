'use client';

import { useState } from 'react';
import type { BoreCut } from '@/core/hone/hone-doors';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';

/** The bore was cut: what was done is noted, and the unit goes back to be gauged and judged as it is now. */
export function BoreChange({
  target,
  suggested,
  open,
  boreCut,
}: {
  readonly target: UnitTarget;
  /** What the record knows already. */
  readonly suggested: string;
  readonly open: boolean;
  readonly boreCut: SaveAction<BoreCut>;
}) {
  const { save, saving, acceptTheirs } = useSave(boreCut, target);
  const [note, setNote] = useState(suggested);
  return (
    <form
      className="grid max-w-xl gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        void save({ note });
      }}
    >
      <label className="label">
        What was done: grits, strokes, speed
        <textarea className="field min-h-20 py-2 text-ink" value={note} onChange={(e) => setNote(e.target.value)} />
      </label>
      <button type="submit" className="btn w-fit" disabled={!open || saving.kind === 'saving'}>
        Honed and washed: gauge again
      </button>
      <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
    </form>
  );
}
