'use client';

import { useRouter, useSelectedLayoutSegment } from 'next/navigation';
import { type ReactNode, useState } from 'react';
import { endJobAction, measureAction } from '@/app/actions/practice-job';
import type { Seen } from '@/core/practice/job/seen';
import { STATIONS, type Station } from '@/core/station';
import { NumberField } from '../field/quantity-field';
import { Told } from '../save/told';
import { useAsk } from '../save/use-ask';
import { PracticePicture } from './practice-picture';
import { PracticeStone } from './practice-stone';

/** A practice unit’s pages: without colour, under a line that says what it is, with what lies before one at this station. */
export function PracticeUnit({
  job,
  seen,
  children,
}: {
  readonly job: number;
  readonly seen: { readonly [S in Station]: Seen };
  readonly children: ReactNode;
}) {
  const router = useRouter();
  const { ask, asking, told } = useAsk();
  const segment = useSelectedLayoutSegment();
  const station = STATIONS.find((s) => s === segment);
  const here = station === undefined ? undefined : seen[station];
  const end = async (): Promise<void> => {
    if ((await ask(endJobAction, { job })) !== undefined) router.push('/practice/job');
  };
  return (
    <div className="grayscale">
      <section aria-label="Practice unit" className="border-b-4 border-dashed border-ink bg-plate px-4 py-2">
        <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
          <p className="font-bold">Practice: no real unit. Nothing of it counts, and nothing leaves the shelf.</p>
          <button type="button" className="btn-quiet ml-auto" disabled={asking} onClick={() => void end()}>
            End, and lay its truth beside it
          </button>
        </div>
        {here !== undefined && here.lines.length > 0 && (
          <details className="mt-1" open>
            <summary className="min-h-9 cursor-pointer font-bold">What lies before you</summary>
            <ul className="columns-1 gap-6 md:columns-2">
              {here.lines.map((l) => (
                <li key={l}>{l}</li>
              ))}
            </ul>
            {here.picture !== null && <PracticePicture picture={here.picture} />}
          </details>
        )}
        {station === 'gauge' && <StandInGauge />}
        {station === 'hone' && <PracticeStone />}
        <Told lines={told} />
      </section>
      {children}
    </div>
  );
}

/** The stand-in gauge: at a depth, or all over. */
function StandInGauge() {
  const { ask, asking, told } = useAsk();
  const [xMm, setXMm] = useState<number | null>(null);
  return (
    <div className="mt-1 flex flex-wrap items-end gap-3">
      <button type="button" className="btn-quiet" disabled={asking} onClick={() => void ask(measureAction, { xMm: null })}>
        Measure all over
      </button>
      <NumberField label="Depth, mm" above={-0.001} value={xMm} onSay={setXMm} className="w-28" />
      <button type="button" className="btn-quiet" disabled={asking || xMm === null} onClick={() => void ask(measureAction, { xMm })}>
        Measure there
      </button>
      <Told lines={told} />
    </div>
  );
}
