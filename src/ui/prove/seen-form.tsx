'use client';

import { useState } from 'react';
import { noteSeenAction } from '@/app/actions/prove';
import { ANSWERS, type Wet } from '@/core/prove/programme/seen';
import type { SeenStep } from '@/core/prove/programme/step';
import { NumberField } from '../field/quantity-field';
import { TextField } from '../field/text-field';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { WetPick } from './wet-pick';

/** The answer to a step that is seen or read: two buttons, or two readings; where it is wet, if it is. */
export function SeenForm({
  step,
  startMm = null,
}: {
  readonly step: SeenStep;
  /** Where the rod stood when it was left standing. */
  readonly startMm?: number | null;
}) {
  const { save, saving, decide } = useSave(noteSeenAction, 'adds');
  const [wet, setWet] = useState<Wet | null>(null);
  const [words, setWords] = useState('');
  const [from, setFrom] = useState<number | null>(startMm);
  const [to, setTo] = useState<number | null>(null);
  const { ask, good, bad } = ANSWERS[step.kind];
  const readUnit = step.kind === 'sink' ? 'mm' : step.kind === 'air-hold' ? 'bar' : undefined;
  const send = (answer: 'good' | 'bad' | null): void =>
    void save({
      stepId: step.id,
      answer,
      readings: answer === null && from !== null && to !== null ? [from, to] : null,
      wet,
      note: words,
    });
  return (
    <div className="grid gap-3">
      {(step.kind === 'air-hold' || step.kind === 'weep') && <WetPick label="If it is not tight, where?" value={wet} onSay={setWet} />}
      <TextField label="Note" className="max-w-md" value={words} maxLength={300} onSay={setWords} />
      {step.kind !== 'sink' && (
        <div>
          <p className="mb-1">{ask}</p>
          <div className="flex flex-wrap gap-2">
            <button type="button" className="btn" disabled={saving.kind === 'saving'} onClick={() => send('good')}>
              {good}
            </button>
            <button type="button" className="btn-quiet" disabled={saving.kind === 'saving'} onClick={() => send('bad')}>
              {bad}
            </button>
          </div>
        </div>
      )}
      {readUnit !== undefined && (
        <div className="flex flex-wrap items-end gap-2">
          {step.kind === 'air-hold' && <p className="w-full text-ink2">Or read a low gauge before and after:</p>}
          <NumberField
            label={step.kind === 'sink' ? `Rod before, ${readUnit}` : `Before, ${readUnit}`}
            className="w-32"
            above={-1000}
            value={from}
            onSay={setFrom}
          />
          <NumberField
            label={step.kind === 'sink' ? `Rod after, ${readUnit}` : `After, ${readUnit}`}
            className="w-32"
            above={-1000}
            value={to}
            onSay={setTo}
          />
          <button
            type="button"
            className="btn"
            disabled={from === null || to === null || saving.kind === 'saving'}
            onClick={() => send(null)}
          >
            Judge the readings
          </button>
        </div>
      )}
      <SaveNote saving={saving} onDecide={decide} />
    </div>
  );
}
