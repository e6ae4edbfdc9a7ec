'use client';

import { useState } from 'react';
import {
  nextQuestion,
  UNION_QUESTION_NAMES,
  UNION_QUESTIONS,
  UNION_SUSPECTS,
  type UnionAnswers,
  type UnionQuestion,
  unionSuspects,
} from '@/core/line/union-leak';
import { Choices } from '../field/choices';

const SHOWN = 4;

/** A leak at a union told apart by what is seen: the question that tells most stands first. */
export function UnionLeak() {
  const [answers, setAnswers] = useState<UnionAnswers>({});
  const next = nextQuestion(answers);
  const asked = UNION_QUESTION_NAMES.filter((q) => answers[q] !== undefined);
  const any = asked.length > 0;
  const suspects = unionSuspects(answers);
  const ask = (q: UnionQuestion) => (
    <div key={q} className="grid gap-1">
      <p className="font-bold">{UNION_QUESTIONS[q].asks}</p>
      <Choices
        label={UNION_QUESTIONS[q].asks}
        wrap
        value={answers[q] ?? null}
        options={Object.entries(UNION_QUESTIONS[q].answers).map(([value, text]) => ({ value, text }))}
        onPick={(a) => setAnswers((all) => ({ ...all, [q]: all[q] === a ? undefined : a }))}
      />
    </div>
  );
  return (
    <details className="border-t border-line pt-2">
      <summary className="min-h-[44px] cursor-pointer font-bold text-act">A union leaks: why?</summary>
      <div className="grid gap-4 md:grid-cols-2">
        <div className="grid content-start gap-4">
          {asked.map(ask)}
          {next !== undefined && ask(next)}
        </div>
        <div aria-live="polite" className="grid content-start gap-2">
          {!any && <p className="text-ink2">Answer what is seen, and what is behind it stands here.</p>}
          {any &&
            suspects.slice(0, SHOWN).map(({ suspect, chance }) => (
              <div key={suspect} className="border border-line bg-sheet px-3 py-2">
                <p>
                  <b className="text-lg">{Math.round(100 * chance)} %</b> <b>{UNION_SUSPECTS[suspect].label}</b>
                </p>
                <p>{UNION_SUSPECTS[suspect].toDo}</p>
              </div>
            ))}
          {any && (
            <p className="text-[13px] text-ink2">
              The likeliest {SHOWN} of {suspects.length}. Odds from bench practice: a guess for where to look. Fluid on paint is washed off
              at once.
            </p>
          )}
        </div>
      </div>
    </details>
  );
}
