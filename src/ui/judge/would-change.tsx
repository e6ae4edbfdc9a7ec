'use client';

import { useMemo } from 'react';
import type { JudgeInput, Judgement } from '@/core/judge/judge';
import { sayFlip } from '@/core/judge/say-flip';
import type { Flip } from '@/core/judge/what-would-change';
import type { Rules } from '@/core/rules/rule-set';
import { useUnits } from '../shell/units-context';
import { useWorker } from '../shell/use-worker';

const openWorker = (): Worker => new Worker(new URL('./would-change.worker.ts', import.meta.url), { type: 'module' });

/** A question and the answer to it, which belong together. */
export type Judged = { readonly asked: JudgeInput; readonly rules: Rules; readonly answer: Judgement };

/** The least that would flip the judgement, of the mark that is looked at, else of one that decides. It may come a little after the keystroke. */
export function WouldChange({ judged, chosen }: { readonly judged: Judged; readonly chosen: string | undefined }) {
  const units = useUnits();
  const question = useMemo(() => {
    const { asked, answer } = judged;
    const named = asked.marks?.find((m) => m.id === chosen)?.id;
    const decides = answer.marks.find((m) => m.outcome === answer.outcome && m.zone !== 'clear')?.id;
    return { ...judged, markId: named ?? decides };
  }, [judged, chosen]);
  // Each flip is judged a dozen times and more: beside the page, so that typing never waits for it.
  const flips = useWorker<typeof question, readonly Flip[]>(openWorker, question) ?? [];
  if (flips.length === 0) return null;
  return (
    <section className="mt-3">
      <h3 className="head mb-1">WHAT WOULD CHANGE THIS</h3>
      <ul className="grid gap-1">
        {flips.map((f) => (
          <li key={f.what}>{sayFlip(f, units)}</li>
        ))}
      </ul>
    </section>
  );
}
