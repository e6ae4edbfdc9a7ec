'use client';

import { useEffect, useRef, useState } from 'react';
import { uuidv7 } from 'uuidv7';
import { answerExerciseAction } from '@/app/actions/practice';
import { FAMILIES } from '@/core/family/families';
import { type Answer, type Exercise, type Level, whyNot } from '@/core/practice/exercise';
import { exerciseOf, PRACTICE_KINDS, type PracticeKind } from '@/core/practice/kinds';
import type { FamilyPath, NextExercise, Sits } from '@/core/practice/path';
import { Told } from '../save/told';
import { useAsk } from '../save/use-ask';
import { useNow } from '../shell/use-now';
import { AnswerForm } from './answer-form';
import { Paths } from './paths';
import { PracticePicture } from './practice-picture';
import { Progress } from './progress';

type Which = NextExercise & { readonly seed: number };
type Outcome = { readonly right: boolean; readonly answer: Answer; readonly next: NextExercise };

const TEN_MINUTES_MS = 600_000;
const newSeed = (): number => Math.floor(Math.random() * 2_147_483_647);

/** One exercise after another, by what sits least; each is answered, told by its arithmetic, and can be tried again on a like one. */
export function Practice({
  first,
  sits: before,
  paths: pathsBefore,
}: {
  readonly first: Which;
  readonly sits: readonly Sits[];
  readonly paths: readonly FamilyPath[];
}) {
  const { ask, asking, told } = useAsk();
  const [which, setWhich] = useState(first);
  const [hints, setHints] = useState(0);
  const [result, setResult] = useState<Outcome>();
  const [sits, setSits] = useState(before);
  const [paths, setPaths] = useState(pathsBefore);
  const [done, setDone] = useState({ all: 0, right: 0 });
  const begun = useRef<number>(undefined);
  const now = useNow();
  begun.current ??= now;
  const onwards = useRef<HTMLButtonElement>(null);
  const exercise = exerciseOf(which.kind, which.level, which.seed, which.family ?? undefined);
  useEffect(() => {
    if (result !== undefined) onwards.current?.focus();
  }, [result]);
  const answer = async (given: Answer): Promise<void> => {
    const said = await ask(answerExerciseAction, {
      id: uuidv7(),
      ...which,
      answer: typeof given === 'number' ? given : [...given],
      hints,
    });
    if (said === undefined) return;
    setResult({ right: said.right, answer: given, next: said.next });
    setSits(said.sits);
    setPaths(said.paths);
    setDone((d) => ({ all: d.all + 1, right: d.right + (said.right ? 1 : 0) }));
  };
  const go = (next: NextExercise): void => {
    setWhich({ ...next, seed: newSeed() });
    setHints(0);
    setResult(undefined);
  };
  const levelOf = (kind: PracticeKind): Level => sits.find((s) => s.kind === kind)?.level ?? 1;
  const over = begun.current !== undefined && now !== undefined && now - begun.current > TEN_MINUTES_MS;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
      <p className="text-ink2">
        {PRACTICE_KINDS[which.kind].label}, level {which.level}
        {which.family !== null && ` · ${FAMILIES[which.family].label}`}
        {done.all > 0 && ` · ${done.right} of ${done.all} right`}
        {over && ' · ten minutes are over: enough for a day'}
      </p>
      <h2 className="text-lg font-bold">{exercise.asks}</h2>
      {exercise.facts.map((f) => (
        <p key={f}>{f}</p>
      ))}
      {exercise.picture !== null && <PracticePicture key={which.seed} picture={exercise.picture} />}
      {result === undefined ? (
        <>
          <AnswerForm key={which.seed} form={exercise.form} busy={asking} onAnswer={(a) => void answer(a)} />
          <Hints exercise={exercise} shown={hints} onMore={() => setHints((n) => n + 1)} />
        </>
      ) : (
        <section aria-label="How it was" className="grid gap-3">
          <p role="status" className={`border-l-4 pl-3 text-lg font-bold ${result.right ? 'border-act' : 'border-amber'}`}>
            {result.right ? 'Right.' : 'Not so.'}
          </p>
          {(result.right ? exercise.because : whyNot(exercise, result.answer)).map((t) => (
            <p key={t}>{t}</p>
          ))}
          <div className="flex flex-wrap gap-2">
            <button ref={onwards} type="button" className="btn" onClick={() => go(result.right ? result.next : which)}>
              {result.right ? 'Next' : 'Another like it'}
            </button>
            {!result.right && (
              <button type="button" className="btn-quiet" onClick={() => go(result.next)}>
                Something else
              </button>
            )}
          </div>
        </section>
      )}
      <Told lines={told} />
      <Paths paths={paths} onPick={(family, kind) => go({ kind, level: levelOf(kind), family })} />
      <Progress sits={sits} now={now} onPick={(kind) => go({ kind, level: levelOf(kind), family: null })} />
    </div>
  );
}

/** What helps, plainer each time; each is counted. */
function Hints({ exercise, shown, onMore }: { readonly exercise: Exercise; readonly shown: number; readonly onMore: () => void }) {
  return (
    <div aria-live="polite" className="grid gap-1">
      {exercise.hints.slice(0, shown).map((h) => (
        <p key={h} className="border-l-4 border-line pl-3 text-ink2">
          {h}
        </p>
      ))}
      {shown < exercise.hints.length && (
        <button type="button" className="min-h-[44px] w-fit font-bold text-act" onClick={onMore}>
          {shown === 0 ? 'A hint' : 'Another hint'}
        </button>
      )}
    </div>
  );
}
