'use client';

import { noteAtBenchAction } from '@/app/actions/close-up';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';

/** The last thing at close-up: it is stroked by hand, and it returns by itself or it does not. */
export function Stroke({ returns }: { readonly returns: 'by-itself' | 'sticks' | null }) {
  const { save, saving, decide } = useSave(noteAtBenchAction);
  const say = (answer: 'by-itself' | 'sticks'): void => void save({ data: { kind: 'stroked', returns: answer } });
  return (
    <div className="grid gap-2">
      <h2 className="head">EVERYTHING IS IN</h2>
      <p className="text-lg leading-snug font-bold">Stroke it by hand, five times: is it free, and does it return by itself?</p>
      {returns === 'by-itself' && <p>It is free and returns by itself.</p>}
      {returns === 'sticks' && (
        <p className="border-l-4 border-red pl-3">
          It does not return by itself: a lip turned over, a dry seal, a wrong spring, or dirt. Take out what it takes to see, below at “A
          part was left over”, and stroke it again.
        </p>
      )}
      {returns !== 'by-itself' && (
        <div className="flex flex-wrap gap-2">
          <button type="button" className="btn" disabled={saving.kind === 'saving'} onClick={() => say('by-itself')}>
            Free, returns by itself
          </button>
          <button type="button" className="btn-quiet" disabled={saving.kind === 'saving'} onClick={() => say('sticks')}>
            It sticks
          </button>
        </div>
      )}
      <SaveNote saving={saving} onDecide={decide} />
    </div>
  );
}
