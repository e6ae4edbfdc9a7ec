'use client';

import { useState } from 'react';
import { noteAtBenchAction } from '@/app/actions/close-up';
import type { Torque } from '@/core/close-up/fastening';
import { HALVES_SCREWS } from '@/core/close-up/joining';
import { Choices } from '../field/choices';
import { CountField } from '../field/quantity-field';
import { SelectField } from '../field/select-field';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { Fasten } from './fasten';

export type Halves = {
  readonly stands: 'apart' | 'joined';
  /** Other halves of the same job that are here, by their tags. */
  readonly others: readonly string[];
  readonly torque: Torque | null;
  /** How it was joined, in words; null: it is not. */
  readonly said: string | null;
};

const SCREWS = [
  { value: 'new', text: 'new' },
  { value: 'old', text: 'the old ones, cleaned' },
] as const;

/** The two halves of a caliper are joined: with the seal between them, their screws, and the manual's torque. */
export function Join({ stands, others, torque, said }: Halves) {
  const { save, saving, decide } = useSave(noteAtBenchAction);
  const [otherTag, setOther] = useState<string | null>(others[0] ?? null);
  const [screws, setScrews] = useState<number | null>(4);
  const [screwsAre, setScrewsAre] = useState<'new' | 'old'>('new');
  if (stands === 'joined') return <p className="mb-2">{said}</p>;
  return (
    <div className="grid gap-3">
      <h2 className="head">JOIN THE HALVES</h2>
      <p className="text-lg leading-snug font-bold">
        Both faces clean and dry, the seal in its seat, the drilling open. Screws by hand first, then crosswise to the torque.
      </p>
      <p className="border-l-4 border-amber pl-3">
        Halves are parted and joined only where the manual allows it, with the screws and the torque that it names: these screws carry the
        whole brake.
      </p>
      <div className="flex flex-wrap items-end gap-3">
        <SelectField label="The other half" value={otherTag} options={others} none="one that is not here" onSay={setOther} />
        <CountField label="Screws" value={screws} onSay={setScrews} from={1} to={20} className="w-24" />
      </div>
      <Choices label="The screws are" value={screwsAre} onPick={setScrewsAre} options={SCREWS} />
      <Fasten
        slotId={HALVES_SCREWS}
        name="screws between the halves"
        torque={torque}
        busy={saving.kind === 'saving' || screws === null}
        home="They are joined."
        onDone={(fastened) => void save({ data: { kind: 'joined', otherTag: otherTag ?? '', screws, screwsAre, fastened } })}
      />
      <SaveNote saving={saving} onDecide={decide} />
    </div>
  );
}
