'use client';

import { useDeferredValue, useMemo } from 'react';
import type { JudgeInput, Judgement } from '@/core/bore/judge';
import { sayFlip } from '@/core/bore/say-flip';
import { whatWouldChange } from '@/core/bore/what-would-change';
import type { Units } from '@/core/quantity/units';
import type { Rules } from '@/core/rules/rule-set';

/** A question and the answer to it, which belong together. */
export type Judged = { readonly asked: JudgeInput; readonly rules: Rules; readonly answer: Judgement };

/** The least that would flip the judgement, of the mark that is looked at, else of one that decides. It may come a little after the keystroke. */
export function WouldChange({
  judged,
  chosen,
  units,
}: {
  readonly judged: Judged;
  readonly chosen: string | undefined;
  readonly units: Units;
}) {
  const { asked, rules, answer } = useDeferredValue(judged);
  const flips = useMemo(() => {
    const marks = asked.marks ?? [];
    const decides = answer.marks.find((m) => m.outcome === answer.outcome && m.zone !== 'clear')?.id;
    const mark = marks.find((m) => m.id === chosen) ?? marks.find((m) => m.id === decides);
    return whatWouldChange(asked, rules, answer, mark);
  }, [asked, rules, answer, chosen]);
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
