'use client';

import { useEffect, useRef, useState } from 'react';
import { uuidv7 } from 'uuidv7';
import { answerCaseAction, endCaseAction } from '@/app/actions/practice';
import type { Case } from '@/core/practice/case-schema';
import type { Answer } from '@/core/practice/exercise';
import type { ShopCase } from '@/core/practice/shop-case';
import { sayDate } from '@/core/quantity/say-time';
import { Told } from '../save/told';
import { useAsk } from '../save/use-ask';
import { AnswerForm } from './answer-form';
import { PracticePicture } from './practice-picture';

/** The cases, one of which is open. */
export function ShopCases({ cases, teaches }: { readonly cases: readonly ShopCase[]; readonly teaches: boolean }) {
  const [openId, setOpenId] = useState<string>();
  const { ask, asking, told } = useAsk();
  return (
    <ul className="grid gap-2">
      {cases.map((c, i) => (
        <li key={c.id} className="border border-line bg-sheet px-3 py-2">
          <div className="flex flex-wrap items-center gap-x-4">
            <button
              type="button"
              className="min-h-[44px] text-left font-bold text-act"
              aria-expanded={openId === c.id}
              onClick={() => setOpenId(openId === c.id ? undefined : c.id)}
            >
              Case {cases.length - i}: {c.asked.asks}
            </button>
            {openId !== c.id && <span className="text-ink2">{c.asked.facts[0]}</span>}
            <span className="ml-auto text-ink2">{c.tried === 0 ? 'not tried yet' : `${c.right} of ${c.tried} right`}</span>
          </div>
          {openId === c.id && (
            <>
              <CaseAsked id={c.id} asked={c.asked} photoIds={c.photoIds} words={`${c.by}, ${sayDate(c.at)}: ${c.words}`} />
              {teaches && (
                <button type="button" className="btn-quiet mt-3" disabled={asking} onClick={() => void ask(endCaseAction, { id: c.id })}>
                  Take it away
                </button>
              )}
              <Told lines={told} />
            </>
          )}
        </li>
      ))}
    </ul>
  );
}

/** One case: what is shown and asked, then what the record and the lead say. */
function CaseAsked({
  id,
  asked,
  photoIds,
  words,
}: {
  readonly id: string;
  readonly asked: Case;
  readonly photoIds: readonly string[];
  readonly words: string;
}) {
  const { ask, asking, told } = useAsk();
  const [result, setResult] = useState<'right' | 'wrong'>();
  const verdict = useRef<HTMLParagraphElement>(null);
  useEffect(() => {
    if (result !== undefined) verdict.current?.focus();
  }, [result]);
  const answer = async (given: Answer): Promise<void> => {
    const sent = typeof given === 'number' ? given : [...given];
    const said = await ask(answerCaseAction, { id: uuidv7(), caseId: id, answer: sent });
    if (said !== undefined) setResult(said.right ? 'right' : 'wrong');
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      {asked.facts.map((f) => (
        <p key={f}>{f}</p>
      ))}
      {photoIds.length > 0 && (
        <div className="flex flex-wrap gap-2">
          {photoIds.map((photo, i) => (
            // biome-ignore lint/performance/noImgElement: re-encoded to size when it was stored
            <img
              key={photo}
              src={`/photos/${photo}`}
              alt={`Of the unit, ${i + 1} of ${photoIds.length}`}
              className="max-h-72 max-w-full border border-hair"
            />
          ))}
        </div>
      )}
      {asked.picture !== null && <PracticePicture picture={asked.picture} />}
      {result === undefined ? (
        <AnswerForm form={asked.form} busy={asking} onAnswer={(a) => void answer(a)} />
      ) : (
        <section aria-label="How it was" className="grid gap-2">
          <p
            ref={verdict}
            tabIndex={-1}
            role="status"
            className={`border-l-4 pl-3 text-lg font-bold ${result === 'right' ? 'border-act' : 'border-amber'}`}
          >
            {result === 'right' ? 'Right.' : 'Not so.'} {result === 'wrong' && `On record: ${recorded(asked)}.`}
          </p>
          {asked.because.map((b) => (
            <p key={b}>{b}</p>
          ))}
          <p className="font-bold">{words}</p>
        </section>
      )}
      <Told lines={told} />
    </div>
  );
}

/** The record’s answer in words. */
const recorded = ({ form, right }: Case): string => {
  const all = form.kind === 'choose' ? form.options : form.items;
  return [right]
    .flat()
    .map((i) => all[i])
    .join('; ');
};
