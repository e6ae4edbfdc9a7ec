'use client';

import { useEffect, useRef, useState } from 'react';
import type { Person } from '@/core/people/role';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { sayWait } from '@/core/quantity/say-wait';
import type { Timer } from '@/core/unit/timer';
import type { EndWait, StartWait as StartWaitSent } from '@/core/unit/unit-doors';
import { USUAL_WAITS } from '@/core/unit/usual-waits';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useNow } from '../shell/use-now';
import type { SaveAction, UnitTarget } from './unit-actions';

type Owner = Pick<Person, 'id' | 'name'>;

/** The unit's waits, and a way to start one. */
export function WaitBox({
  target,
  timers,
  people,
  me,
  startWait,
  endWait,
  open,
}: {
  readonly target: UnitTarget;
  readonly timers: readonly Timer[];
  readonly people: readonly Owner[];
  readonly me: string;
  readonly startWait: SaveAction<StartWaitSent>;
  readonly endWait: SaveAction<EndWait>;
  readonly open: boolean;
}) {
  const starting = useSave(startWait, target, 'adds');
  const ending = useSave(endWait, target);
  const running = timers.filter((t) => t.doneAt === null);
  const now = useNow(running.length > 0);
  const [asking, setAsking] = useState(false);
  if (!open && running.length === 0) return null;
  return (
    <section className="border-t border-hair pt-3">
      <h2 className="head mb-1">Waits</h2>
      {running.map((t) => (
        <p key={t.id} className="flex items-center justify-between gap-2">
          <span title={sayFullDate(t.endsAt)}>
            <span className="text-amber">
              {t.label} {now === undefined ? '' : sayWait(t.endsAt, now)}
            </span>{' '}
            <span className="block text-[13px] text-ink2">
              rings {now === undefined ? '' : sayWhen(t.endsAt, now)} for {people.find((p) => p.id === t.ownerId)?.name}
            </span>
          </span>
          {open && (
            <button type="button" className="btn-quiet" onClick={() => void ending.save({ timerId: t.id })}>
              End it
            </button>
          )}
        </p>
      ))}
      {open && !asking && (
        <button type="button" data-key="t" className="btn-quiet" title="Start a wait (t)" onClick={() => setAsking(true)}>
          Start a wait …
        </button>
      )}
      {open && asking && (
        <StartWait
          people={people}
          me={me}
          onStart={(wait) => {
            setAsking(false);
            void starting.save(wait);
          }}
        />
      )}
      <SaveNote saving={starting.saving} onAcceptTheirs={starting.acceptTheirs} />
      <SaveNote saving={ending.saving} onAcceptTheirs={ending.acceptTheirs} />
    </section>
  );
}

const UNIT_MIN = { min: 1, h: 60, d: 1440 } as const;
type TimeUnit = keyof typeof UNIT_MIN;
const usual = (minutes: number): readonly [number, TimeUnit] =>
  minutes % 1440 === 0 ? [minutes / 1440, 'd'] : minutes % 60 === 0 ? [minutes / 60, 'h'] : [minutes, 'min'];

function StartWait({
  people,
  me,
  onStart,
}: {
  readonly people: readonly Owner[];
  readonly me: string;
  readonly onStart: (wait: { readonly label: string; readonly minutes: number; readonly ownerId: string }) => void;
}) {
  const [label, setLabel] = useState<string>(USUAL_WAITS[0].label);
  const [[amount, unit], setTime] = useState(usual(USUAL_WAITS[0].minutes));
  const [ownerId, setOwnerId] = useState(me);
  const minutes = amount * UNIT_MIN[unit];
  const first = useRef<HTMLSelectElement>(null);
  useEffect(() => first.current?.focus(), []);
  return (
    <div className="flex flex-wrap items-end gap-2">
      <select
        ref={first}
        className="field w-auto"
        aria-label="Wait for"
        value={label}
        onChange={(e) => {
          setLabel(e.target.value);
          setTime(usual(USUAL_WAITS.find((w) => w.label === e.target.value)?.minutes ?? 60));
        }}
      >
        {USUAL_WAITS.map((w) => (
          <option key={w.label}>{w.label}</option>
        ))}
      </select>
      <input
        type="number"
        min={1}
        className="field w-20"
        aria-label="How long"
        value={amount}
        onChange={(e) => setTime([Number(e.target.value), unit])}
      />
      <select
        className="field w-auto"
        aria-label="Minutes, hours or days"
        value={unit}
        onChange={(e) => setTime([amount, e.target.value as TimeUnit])}
      >
        <option value="min">min</option>
        <option value="h">hours</option>
        <option value="d">days</option>
      </select>
      <select className="field w-auto" aria-label="Who looks after it" value={ownerId} onChange={(e) => setOwnerId(e.target.value)}>
        {people.map((p) => (
          <option key={p.id} value={p.id}>
            {p.name}
          </option>
        ))}
      </select>
      <button type="button" className="btn-quiet" disabled={!(minutes >= 1)} onClick={() => onStart({ label, minutes, ownerId })}>
        Start
      </button>
    </div>
  );
}
