'use client';

import { useRouter } from 'next/navigation';
import { SendingNote } from '../photo/sending-note';
import type { Sending } from '../photo/use-photos';

/** Booked in: its tag, its label to be tied on, and on to the unit or the next. */
export function Booked({
  tag,
  machine,
  sending,
  onNext,
  onSameMachine,
}: {
  readonly tag: string;
  readonly sending: readonly Sending[];
  readonly machine: string;
  readonly onNext: () => void;
  readonly onSameMachine: () => void;
}) {
  const router = useRouter();
  return (
    <div className="mx-auto max-w-3xl px-4 py-8">
      <h1 className="text-2xl font-bold">Booked in: {tag}</h1>
      <p className="mt-2 mb-4 text-ink2">Print the label and tie it on before the unit leaves the counter.</p>
      <SendingNote sending={sending} />
      <div className="mb-6 w-fit border border-line bg-white p-3">
        {/* biome-ignore lint/performance/noImgElement: an SVG of our own, nothing to optimise */}
        <img src={`/api/v1/units/${tag}/label.svg`} alt={`Label of ${tag}`} width={340} height={150} />
      </div>
      <div className="flex flex-wrap gap-3">
        <a className="btn" href={`/api/v1/units/${tag}/label.pdf`} target="_blank" rel="noreferrer">
          Print the label
        </a>
        <a className="btn-quiet" href={`/api/v1/units/${tag}/traveller.pdf`} target="_blank" rel="noreferrer">
          Print the traveller
        </a>
        <button type="button" className="btn-quiet" onClick={() => router.push(`/units/${tag}`)}>
          Go to the unit
        </button>
        <button type="button" className="btn-quiet" onClick={onSameMachine}>
          Another off the same {machine.length > 24 ? 'machine' : machine}
        </button>
        <button type="button" className="btn-quiet" onClick={onNext}>
          Book in the next
        </button>
      </div>
    </div>
  );
}
