'use client';

import { useState } from 'react';
import type { NoteTorque } from '@/core/close-up/close-up-doors';
import type { Torque } from '@/core/close-up/fastening';
import type { Fastened } from '@/core/strip/tray-door';
import { Choices } from '../field/choices';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';

/** How a screw is tightened: to the manual's figure, entered once for its fitment, or by feel with why. */
export function Fasten({
  target,
  slotId,
  name,
  torque,
  noteTorque,
  busy,
  home,
  onDone,
}: {
  readonly target: UnitTarget;
  readonly slotId: string;
  readonly name: string;
  readonly torque: Torque | null;
  readonly noteTorque: SaveAction<NoteTorque>;
  readonly busy: boolean;
  readonly home: string;
  readonly onDone: (fastened: Fastened) => void;
}) {
  const [how, setHow] = useState<Fastened['how']>('torque');
  const [reason, setReason] = useState('');
  const [hand, setHand] = useState<Torque['hand']>(torque?.hand ?? 'right');
  return (
    <div className="grid gap-3">
      <Choices
        label={`How the ${name} is tightened`}
        value={how}
        onPick={setHow}
        options={[
          { value: 'torque', text: 'To a torque' },
          { value: 'by-feel', text: 'By feel' },
        ]}
      />
      {how === 'torque' && torque === null && <EnterTorque target={target} slotId={slotId} name={name} noteTorque={noteTorque} />}
      {how === 'torque' && torque !== null && (
        <>
          <p>
            <b className="text-2xl tabular-nums">{torque.nm} Nm</b> <span className="text-ink2">{torque.source}</span>
          </p>
          <LeftHand hand={torque.hand} />
          <button
            type="button"
            className="btn w-fit"
            disabled={busy}
            onClick={() => onDone({ how: 'torque', nm: torque.nm, hand: torque.hand, source: torque.source })}
          >
            Tightened to {torque.nm} Nm. {home}
          </button>
        </>
      )}
      {how === 'by-feel' && (
        <>
          <p className="border-l-4 border-amber pl-3">
            By feel is recorded as such, and printed on the certificate. The manual’s figure goes before.
          </p>
          <label className="label mb-0">
            Why it is not by torque
            <input className="field text-ink" value={reason} onChange={(e) => setReason(e.target.value)} />
          </label>
          <Hand value={hand} onPick={setHand} />
          <button
            type="button"
            className="btn w-fit"
            disabled={busy || reason.trim().length < 3}
            onClick={() => onDone({ how: 'by-feel', hand, reason: reason.trim() })}
          >
            Tight by feel. {home}
          </button>
        </>
      )}
    </div>
  );
}

const LeftHand = ({ hand }: { readonly hand: Torque['hand'] }) =>
  hand === 'left' && <p className="border-l-4 border-red pl-3 font-bold">Left-hand thread: it tightens anticlockwise.</p>;

const Hand = ({ value, onPick }: { readonly value: Torque['hand']; readonly onPick: (hand: Torque['hand']) => void }) => (
  <Choices
    label="Thread"
    value={value}
    onPick={onPick}
    options={[
      { value: 'right', text: 'right-hand thread' },
      { value: 'left', text: 'left-hand thread' },
    ]}
  />
);

/** A manual's figure is entered once for a fitment; the next unit of it has it already. */
function EnterTorque({
  target,
  slotId,
  name,
  noteTorque,
}: {
  readonly target: UnitTarget;
  readonly slotId: string;
  readonly name: string;
  readonly noteTorque: SaveAction<NoteTorque>;
}) {
  const { save, saving, acceptTheirs } = useSave(noteTorque, target);
  const [nm, setNm] = useState('');
  const [hand, setHand] = useState<Torque['hand']>('right');
  const [source, setSource] = useState('');
  const value = Number(nm.replace(',', '.'));
  return (
    <div className="grid gap-2">
      <p>No torque is known for the {name} of this fitment yet. Take it from the manual; it is kept for the next one.</p>
      <div className="flex flex-wrap items-end gap-2">
        <label className="label mb-0 w-24">
          Torque, Nm
          <input className="field text-ink" inputMode="decimal" value={nm} onChange={(e) => setNm(e.target.value)} />
        </label>
        <label className="label mb-0 min-w-40 flex-1">
          Manual and place in it
          <input className="field text-ink" value={source} onChange={(e) => setSource(e.target.value)} />
        </label>
      </div>
      <Hand value={hand} onPick={setHand} />
      <button
        type="button"
        className="btn-quiet w-fit"
        disabled={!(value > 0) || source.trim().length < 3}
        onClick={() => void save({ slotId, nm: value, hand, source: source.trim() })}
      >
        Keep this torque
      </button>
      <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
    </div>
  );
}
