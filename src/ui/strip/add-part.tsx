'use client';

import { useState } from 'react';
import { uuidv7 } from 'uuidv7';
import type { AddPart as AddPartSent, DropPart as DropPartSent } from '@/core/strip/strip-doors';
import type { TrayPart } from '@/core/strip/tray-door';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';
import { NewPartFields, nameOf, type UnlistedPart } from './new-part-fields';

/** A part that came out though the family knows none such: where it lay, and what it is. */
export function AddPart({
  target,
  tray,
  addPart,
}: {
  readonly target: UnitTarget;
  readonly tray: readonly TrayPart[];
  readonly addPart: SaveAction<AddPartSent>;
}) {
  const { save, saving, acceptTheirs } = useSave(addPart, target);
  const [isOpen, setOpen] = useState(false);
  const [part, setPart] = useState<UnlistedPart>({ kind: 'o-ring', name: '', behindId: null });
  const [qty, setQty] = useState(1);
  if (!isOpen)
    return (
      <button type="button" className="btn-quiet mt-2" onClick={() => setOpen(true)}>
        Something else came out
      </button>
    );
  const add = async (): Promise<void> => {
    const entry = {
      partId: uuidv7(),
      kind: part.kind,
      name: nameOf(part),
      qty,
      note: '',
      behindId: part.behindId,
    };
    const result = await save(entry);
    if (!result.ok) return;
    setPart({ ...part, name: '' });
    setOpen(false);
  };
  return (
    <form
      className="mt-2 flex flex-wrap items-end gap-3 border border-line bg-sheet p-3"
      onSubmit={(e) => {
        e.preventDefault();
        void add();
      }}
    >
      <NewPartFields part={part} tray={tray} onSay={setPart} />
      <label className="label mb-0">
        How many
        <input type="number" min={1} max={20} className="field mt-1 w-20" value={qty} onChange={(e) => setQty(Number(e.target.value))} />
      </label>
      <button type="submit" className="btn">
        Put it on the tray
      </button>
      <button type="button" className="btn-quiet" onClick={() => setOpen(false)}>
        Leave it
      </button>
      <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
    </form>
  );
}

/** Takes a part off the tray again that was added to it. */
export function DropPart({
  target,
  part,
  dropPart,
}: {
  readonly target: UnitTarget;
  readonly part: TrayPart;
  readonly dropPart: SaveAction<DropPartSent>;
}) {
  const { save, saving, acceptTheirs } = useSave(dropPart, target);
  return (
    <>
      <button
        type="button"
        className="min-h-[44px] font-bold text-act"
        aria-label={`Take the ${part.name} off the tray`}
        onClick={() => void save({ partId: part.id })}
      >
        take off
      </button>
      <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
    </>
  );
}
