'use client';

import { useState } from 'react';
import { noteTorqueAction } from '@/app/actions/close-up';
import type { Torque } from '@/core/close-up/fastening';
import type { Fastened } from '@/core/strip/tray-schema';
import { Choices } from '../field/choices';
import { TextField } from '../field/text-field';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useUnitForm } from '../form/use-action-form';

/** How a screw is tightened: to the manual's figure, entered once for its fitment, or by feel with why. */
export function Fasten({
  slotId,
  name,
  torque,
  busy,
  home,
  onDone,
}: {
  readonly slotId: string;
  readonly name: string;
  readonly torque: Torque | null;
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
      {how === 'torque' && torque === null && <EnterTorque slotId={slotId} name={name} />}
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
          <TextField label="Why it is not by torque" value={reason} onSay={setReason} />
          <Choices label="Thread" value={hand} onPick={setHand} options={HANDS} />
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

const HANDS = [
  { value: 'right', text: 'right-hand thread' },
  { value: 'left', text: 'left-hand thread' },
] as const;

type Entered = { readonly nm: number | null; readonly hand: Torque['hand']; readonly source: string };
const { Text, Amount, Choice } = fieldsOf<Entered>();

/** A manual's figure is entered once for a fitment; the next unit of it has it already. */
function EnterTorque({ slotId, name }: { readonly slotId: string; readonly name: string }) {
  const saving = useUnitForm(noteTorqueAction, { nm: null, hand: 'right', source: '' } as Entered, (values) => ({
    slotId,
    ...values,
    nm: values.nm ?? Number.NaN,
  }));
  return (
    <ActionFormFrame of={saving} submit="Keep this torque" quiet className="grid gap-2">
      <p>No torque is known for the {name} of this fitment yet. Take it from the manual; it is kept for the next one.</p>
      <div className="flex flex-wrap items-end gap-2">
        <Amount name="nm" label="Torque, Nm" className="w-24" />
        <Text name="source" label="Manual and place in it" className="min-w-40 flex-1" />
      </div>
      <Choice name="hand" label="Thread" options={HANDS} />
    </ActionFormFrame>
  );
}
