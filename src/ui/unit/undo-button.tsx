'use client';

import type { JustTarget } from '@/core/unit/unit-doors';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import type { SaveAction, UnitTarget } from './unit-actions';

/** Takes the person's own last step back. */
export function UndoButton({
  target,
  what,
  undo,
}: {
  readonly target: UnitTarget;
  readonly what: string;
  readonly undo: SaveAction<JustTarget>;
}) {
  const { save, saving, acceptTheirs } = useSave(undo, target);
  return (
    <div className="mb-2 grid gap-2">
      <button type="button" className="btn-quiet w-fit" disabled={saving.kind === 'saving'} onClick={() => void save({})}>
        Undo: {what}
      </button>
      <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
    </div>
  );
}
