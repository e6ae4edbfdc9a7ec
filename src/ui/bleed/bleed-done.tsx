'use client';

import { bleedTally } from '@/core/bleed/bleed-guide';
import { fixed } from '@/core/quantity/figure';
import { sayLength } from '@/core/quantity/say';
import { Go } from '../shell/go';
import { useUnits } from '../shell/units-context';
import type { BleedDraft, Sent } from './use-bleed';

/** It is done: what it took, and what is still looked at before the road. */
export function BleedDone({
  draft,
  travelMm,
  sent,
  onEnd,
}: {
  readonly draft: BleedDraft;
  readonly travelMm: number;
  readonly sent: Sent;
  readonly onEnd: () => void;
}) {
  const units = useUnits();
  // What the server refuses it will refuse again: the tablet is not held by it.
  const settled = sent.kind === 'saved' || sent.kind === 'refused';
  const { strokes, fills, rounds, minutes } = bleedTally(draft.events);
  return (
    <section aria-label="Done" className="grid gap-3">
      <h2 className="text-2xl font-bold">Done: firm at {`${sayLength(travelMm, units)} ${units.length}`}</h2>
      <p>
        {strokes > 0 && `${strokes} strokes, `}
        {fills} fillings, {rounds === 1 ? 'one round' : `${rounds} rounds`}, {fixed(minutes, 0)} min.
      </p>
      <p>
        Before the road: hold the pedal for a minute, look at every union, screw and cap, fill to the mark, caps on, engine on: the pedal
        sinks a little and stays. Who may try it on the road is for local rules.
      </p>
      <p>
        <Go
          href="/sums/bleed"
          className={`btn ${settled ? '' : 'pointer-events-none opacity-60'}`}
          aria-disabled={!settled}
          onClick={(e) => (settled ? onEnd() : e.preventDefault())}
        >
          {sent.kind === 'saved' ? 'Put it away' : settled ? 'Put it away, not saved' : 'Not sent yet'}
        </Go>
      </p>
    </section>
  );
}
