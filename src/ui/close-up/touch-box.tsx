'use client';

import { useState } from 'react';
import { noteAtBenchAction } from '@/app/actions/close-up';
import { startWaitAction } from '@/app/actions/unit';
import { contactsOf, type Touch, weightOf } from '@/core/fluid/contact';
import { FLUIDS } from '@/core/fluid/fluid';
import { RUBBERS, type RubberName } from '@/core/fluid/rubber';
import type { Treatment } from '@/core/strip/treatment';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useStation } from '../unit/station-context';
import { Contacts } from './contacts';
import { TouchForm } from './touch-form';

/** What touches the new rubber: asked before any goes in, told in a line after. */
export function TouchBox({
  saved,
  stated,
  treatments,
}: {
  readonly saved: Touch;
  readonly stated: readonly RubberName[];
  readonly treatments: readonly Treatment[];
}) {
  const { open } = useStation();
  const noting = useSave(noteAtBenchAction);
  const waiting = useSave(startWaitAction, 'adds');
  const [changed, setChanged] = useState<Touch>();
  const [asked, setAsked] = useState(false);
  const stops = contactsOf(saved, stated, treatments).some((c) => weightOf(c) === 'stop' && c.code !== 'used');
  const touch = changed ?? saved;
  const rubber = touch.rubber ?? stated[0] ?? null;
  if (!open || (!stops && !asked))
    return (
      <section className="mb-4 flex flex-wrap items-baseline justify-between gap-x-3 border-b border-hair pb-2">
        <p>
          <span className="text-ink2">meets </span>
          {saved.fluid === null ? 'no fluid named' : FLUIDS[saved.fluid].label}
          {rubber === null ? '' : ` on ${RUBBERS[rubber]}`}
          {saved.fluid !== null && FLUIDS[saved.fluid].wetC !== null && (
            <span className="text-ink2">
              {' '}
              · boils {FLUIDS[saved.fluid].dryC} °C dry, {FLUIDS[saved.fluid].wetC} °C wet
            </span>
          )}
        </p>
        {open && (
          <button type="button" className="min-h-[44px] font-bold text-act" onClick={() => setAsked(true)}>
            What touches what
          </button>
        )}
      </section>
    );
  const save = async (): Promise<void> => {
    const result = await noting.save({ data: { kind: 'touch', ...touch } });
    if (!result.ok) return;
    setAsked(false);
    setChanged(undefined);
  };
  return (
    <section className="mb-4 grid gap-3 border-b border-hair pb-3">
      <h2 className="head">WHAT TOUCHES WHAT</h2>
      <TouchForm touch={touch} stated={stated[0] ?? null} onSay={setChanged} />
      <Contacts contacts={contactsOf(touch, stated, treatments)} />
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn" disabled={noting.saving.kind === 'saving'} onClick={() => void save()}>
          Keep
        </button>
        {rubber === null && (
          <button
            type="button"
            className="btn-quiet"
            onClick={() => void waiting.save({ label: 'swell test in oil', minutes: 1440, ownerId: null })}
          >
            Start a day’s swell test
          </button>
        )}
        {!stops && (
          <button type="button" className="btn-quiet" onClick={() => setAsked(false)}>
            Leave it
          </button>
        )}
      </div>
      <SaveNote saving={noting.saving} onDecide={noting.decide} />
      <SaveNote saving={waiting.saving} onDecide={waiting.decide} />
    </section>
  );
}
