'use client';

import { useState } from 'react';
import { sayFullDate, saySpan } from '@/core/quantity/say-time';
import type { Timer } from '@/core/unit/unit-record';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useNow } from '../shell/use-now';
import type { SaveAction, UnitTarget } from './unit-actions';

/** Usual waits, minutes. */
const WAITS = {
  'penetrant soak': 240,
  'seal soak': 10,
  'paint, air cure': 4320,
  'thread locker': 30,
  'parts on order': 2880,
  approval: 1440,
} as const;

/** The unit's waits, and a way to start one. */
export function WaitBox({
  target,
  timers,
  startWait,
  endWait,
  open,
}: {
  readonly target: UnitTarget;
  readonly timers: readonly Timer[];
  readonly startWait: SaveAction;
  readonly endWait: SaveAction;
  readonly open: boolean;
}) {
  const starting = useSave(startWait, target);
  const ending = useSave(endWait, target);
  const [label, setLabel] = useState<keyof typeof WAITS>('penetrant soak');
  const [minutes, setMinutes] = useState<number>(WAITS['penetrant soak']);
  const running = timers.filter((t) => t.doneAt === null);
  const now = useNow(running.length > 0);
  if (!open && running.length === 0) return null;
  return (
    <section className="border-t border-hair pt-3">
      <h2 className="head mb-1">Waits</h2>
      {running.map((t) => (
        <p key={t.id} className="flex items-center justify-between gap-2">
          <span className="text-amber" title={sayFullDate(t.endsAt)}>
            {t.label} {now === undefined ? '' : t.endsAt > now ? saySpan(t.endsAt - now) : 'done'}
          </span>
          {open && (
            <button type="button" className="btn-quiet" onClick={() => void ending.save({ timerId: t.id })}>
              End it
            </button>
          )}
        </p>
      ))}
      {open && (
        <div className="flex flex-wrap items-end gap-2">
          <select
            data-key="t"
            className="field w-auto"
            aria-label="Wait for"
            value={label}
            onChange={(e) => {
              const next = e.target.value as keyof typeof WAITS;
              setLabel(next);
              setMinutes(WAITS[next]);
            }}
          >
            {Object.keys(WAITS).map((w) => (
              <option key={w}>{w}</option>
            ))}
          </select>
          <input
            type="number"
            min={1}
            className="field w-20"
            aria-label="Minutes"
            value={minutes}
            onChange={(e) => setMinutes(Number(e.target.value))}
          />
          <span className="pb-3 text-ink2">min</span>
          <button
            type="button"
            className="btn-quiet"
            disabled={!(minutes >= 1)}
            title="Start a wait (t)"
            onClick={() => void starting.save({ label, minutes })}
          >
            Start
          </button>
        </div>
      )}
      <SaveNote saving={starting.saving} onAcceptTheirs={starting.acceptTheirs} />
      <SaveNote saving={ending.saving} onAcceptTheirs={ending.acceptTheirs} />
    </section>
  );
}
