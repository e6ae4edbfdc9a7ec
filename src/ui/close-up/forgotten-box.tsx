'use client';

import { useState } from 'react';
import { uuidv7 } from 'uuidv7';
import { reopenedByParts } from '@/core/close-up/bearing';
import { inTheWay } from '@/core/close-up/order';
import type { Family } from '@/core/family/family';
import { PART_KIND_NAMES, PART_KINDS, type PartKind } from '@/core/family/part-kind';
import { STATION_WORDS } from '@/core/route/station';
import type { TrayPart } from '@/core/strip/tray-door';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';

const UNLISTED = 'unlisted';

/** A part lies on the bench though it was said to be in: which one, what has to come out for it, and which stations that opens. */
export function ForgottenBox({
  target,
  family,
  tray,
  findForgotten,
}: {
  readonly target: UnitTarget;
  readonly family: Family;
  readonly tray: readonly TrayPart[];
  readonly findForgotten: SaveAction;
}) {
  const { save, saving, acceptTheirs } = useSave(findForgotten, target);
  const [picked, setPicked] = useState('');
  const [kind, setKind] = useState<PartKind>('protector-washer');
  const [name, setName] = useState('');
  const [behindId, setBehindId] = useState('');
  const inside = tray.filter((p) => p.goesIn !== null);
  const part = inside.find((p) => p.id === picked);
  const out = part === undefined ? [] : [...inTheWay(family, tray, part).filter((p) => p.goesIn !== null), part];
  const opened = reopenedByParts(family, out).map((s) => STATION_WORDS[s]);
  const forgotten =
    picked === UNLISTED
      ? { what: 'unlisted', partId: uuidv7(), kind, name: name.trim(), behindId: behindId === '' ? null : behindId }
      : { what: 'listed', partId: picked };
  return (
    <div className="grid gap-2">
      <label className="label mb-0">
        Which part lies on the bench?
        <select className="field text-ink" value={picked} onChange={(e) => setPicked(e.target.value)}>
          <option value="">choose</option>
          {inside.map((p) => (
            <option key={p.id} value={p.id}>
              {p.name}
            </option>
          ))}
          <option value={UNLISTED}>one that is not on the list</option>
        </select>
      </label>
      {picked === UNLISTED && (
        <>
          <label className="label mb-0">
            What is it?
            <select className="field text-ink" value={kind} onChange={(e) => setKind(e.target.value as PartKind)}>
              {PART_KIND_NAMES.map((k) => (
                <option key={k} value={k}>
                  {PART_KINDS[k].label}
                </option>
              ))}
            </select>
          </label>
          <label className="label mb-0">
            A name for it
            <input className="field text-ink" value={name} onChange={(e) => setName(e.target.value)} />
          </label>
          <label className="label mb-0">
            It lies behind, from the open end
            <select className="field text-ink" value={behindId} onChange={(e) => setBehindId(e.target.value)}>
              <option value="">nothing: it comes first</option>
              {tray.map((p) => (
                <option key={p.id} value={p.id}>
                  {p.name}
                </option>
              ))}
            </select>
          </label>
        </>
      )}
      {part !== undefined && (
        <p className="border-l-4 border-amber pl-3">
          {out.length === 1
            ? 'Nothing stands in its way.'
            : `For it must come out again: ${out
                .slice(0, -1)
                .map((p) => p.name)
                .join(', ')}.`}{' '}
          Open again after that: {opened.join(', ')}. New rubber that comes out is looked at for nicks before it goes back.
        </p>
      )}
      <button
        type="button"
        className="btn-quiet w-fit"
        disabled={saving.kind === 'saving' || picked === '' || (picked === UNLISTED && name.trim().length < 2)}
        onClick={() => void save({ forgotten })}
      >
        It was left out: open what it needs
      </button>
      <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
    </div>
  );
}
