'use client';

import { useState } from 'react';
import { uuidv7 } from 'uuidv7';
import { addPartAction, dropPartAction } from '@/app/actions/strip';
import type { TrayPart } from '@/core/strip/tray-schema';
import { CountField } from '../field/quantity-field';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { NewPartFields, nameOf, type UnlistedPart } from './new-part-fields';

/** A part that came out though the family knows none such: where it lay, and what it is. */
export function AddPart({ tray }: { readonly tray: readonly TrayPart[] }) {
  const { save, saving, decide } = useSave(addPartAction);
  const [isOpen, setOpen] = useState(false);
  const [part, setPart] = useState<UnlistedPart>({ kind: 'o-ring', name: '', behindId: null });
  const [qty, setQty] = useState<number | null>(1);
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
      qty: qty ?? 0,
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
      <CountField label="How many" to={20} value={qty} onSay={setQty} />
      <button type="submit" className="btn">
        Put it on the tray
      </button>
      <button type="button" className="btn-quiet" onClick={() => setOpen(false)}>
        Leave it
      </button>
      <SaveNote saving={saving} onDecide={decide} />
    </form>
  );
}

/** Takes a part off the tray again that was added to it. */
export function DropPart({ part }: { readonly part: TrayPart }) {
  const { save, saving, decide } = useSave(dropPartAction);
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
      <SaveNote saving={saving} onDecide={decide} />
    </>
  );
}
