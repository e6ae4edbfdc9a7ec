'use client';

import { undoAction } from '@/app/actions/unit';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';

/** Takes the person's own last step back. */
export function UndoButton({ what }: { readonly what: string }) {
  const { save, saving, decide } = useSave(undoAction);
  return (
    <div className="mb-2 grid gap-2">
      <button type="button" className="btn-quiet w-fit" disabled={saving.kind === 'saving'} onClick={() => void save({})}>
        Undo: {what}
      </button>
      <SaveNote saving={saving} onDecide={decide} />
    </div>
  );
}
