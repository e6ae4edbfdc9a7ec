'use client';

import { useState } from 'react';
import { uuidv7 } from 'uuidv7';
import { PART_KIND_NAMES, PART_KINDS, type PartKind } from '@/core/family/part-kind';
import type { TrayPart } from '@/core/strip/tray-door';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';

const KINDS = [...PART_KIND_NAMES].sort((a, b) => PART_KINDS[a].label.localeCompare(PART_KINDS[b].label));

/** A part that came out though the family knows none such: where it lay, and what it is. */
export function AddPart({
  target,
  tray,
  addPart,
}: {
  readonly target: UnitTarget;
  readonly tray: readonly TrayPart[];
  readonly addPart: SaveAction;
}) {
  const { save, saving, acceptTheirs } = useSave(addPart, target);
  const [isOpen, setOpen] = useState(false);
  const [kind, setKind] = useState<PartKind>('o-ring');
  const [name, setName] = useState('');
  const [qty, setQty] = useState(1);
  const [behind, setBehind] = useState('');
  if (!isOpen)
    return (
      <button type="button" className="btn-quiet mt-2" onClick={() => setOpen(true)}>
        Something else came out
      </button>
    );
  const add = async (): Promise<void> => {
    const entry = {
      partId: uuidv7(),
      kind,
      name: name.trim() === '' ? PART_KINDS[kind].label : name,
      qty,
      note: '',
      behindId: behind === '' ? null : behind,
    };
    const result = await save(entry);
    if (!result.ok) return;
    setName('');
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
      <label className="label mb-0">
        What it is
        <select className="field mt-1 w-44" value={kind} onChange={(e) => setKind(e.target.value as PartKind)}>
          {KINDS.map((k) => (
            <option key={k} value={k}>
              {PART_KINDS[k].label}
            </option>
          ))}
        </select>
      </label>
      <label className="label mb-0">
        Called
        <input
          className="field mt-1 w-44"
          value={name}
          onChange={(e) => setName(e.target.value)}
          placeholder={PART_KINDS[kind].label}
          maxLength={60}
        />
      </label>
      <label className="label mb-0">
        How many
        <input type="number" min={1} max={20} className="field mt-1 w-20" value={qty} onChange={(e) => setQty(Number(e.target.value))} />
      </label>
      <label className="label mb-0">
        Lay behind
        <select className="field mt-1 w-44" value={behind} onChange={(e) => setBehind(e.target.value)}>
          <option value="">the mouth: it came first</option>
          {tray.map((p) => (
            <option key={p.id} value={p.id}>
              {p.name}
            </option>
          ))}
        </select>
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
  readonly dropPart: SaveAction;
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
