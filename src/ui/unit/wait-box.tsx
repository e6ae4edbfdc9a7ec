'use client';

import { useState } from 'react';
import { endWaitAction, startWaitAction } from '@/app/actions/unit';
import type { Person } from '@/core/people/role';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { sayWait } from '@/core/quantity/say-wait';
import type { Timer } from '@/core/unit/timer';
import { USUAL_WAITS } from '@/core/unit/usual-waits';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useUnitForm } from '../form/use-action-form';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useNow } from '../shell/use-now';

type Owner = Pick<Person, 'id' | 'name'>;

/** The unit's waits, and a way to start one. */
export function WaitBox({
  timers,
  people,
  me,
  open,
}: {
  readonly timers: readonly Timer[];
  readonly people: readonly Owner[];
  readonly me: string;
  readonly open: boolean;
}) {
  const ending = useSave(endWaitAction);
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
      {open && asking && <StartWait people={people} me={me} onDone={() => setAsking(false)} />}
      <SaveNote saving={ending.saving} onDecide={ending.decide} />
    </section>
  );
}

const UNIT_MIN = { min: 1, h: 60, d: 1440 } as const;
const UNIT_WORDS = { min: 'min', h: 'hours', d: 'days' } as const;
type TimeUnit = keyof typeof UNIT_MIN;
type Starting = { readonly label: string; readonly amount: number | null; readonly unit: TimeUnit; readonly ownerId: string };
const { Select, Amount } = fieldsOf<Starting>();
const usual = (minutes: number): Pick<Starting, 'amount' | 'unit'> => {
  const unit = minutes % 1440 === 0 ? 'd' : minutes % 60 === 0 ? 'h' : 'min';
  return { amount: minutes / UNIT_MIN[unit], unit };
};

function StartWait({ people, me, onDone }: { readonly people: readonly Owner[]; readonly me: string; readonly onDone: () => void }) {
  const start: Starting = { label: USUAL_WAITS[0].label, ...usual(USUAL_WAITS[0].minutes), ownerId: me };
  const starting = useUnitForm(
    startWaitAction,
    start,
    ({ label, amount, unit, ownerId }) => ({ label, minutes: amount === null ? null : amount * UNIT_MIN[unit], ownerId }),
    { kind: 'adds', done: onDone },
  );
  const { setValue } = starting.form;
  const take = (label: string): void => {
    const { amount, unit } = usual(USUAL_WAITS.find((w) => w.label === label)?.minutes ?? 60);
    setValue('amount', amount);
    setValue('unit', unit);
  };
  return (
    <ActionFormFrame of={starting} submit="Start" quiet className="flex flex-wrap items-end gap-2">
      <Select name="label" label="Wait for" hideLabel autoFocus options={USUAL_WAITS.map((w) => w.label)} then={take} />
      <Amount name="amount" label="How long" className="w-20" />
      <Select name="unit" label="Minutes, hours or days" hideLabel options={['min', 'h', 'd']} say={UNIT_WORDS} />
      <Select name="ownerId" label="Who looks after it" hideLabel options={people.map((p) => ({ value: p.id, text: p.name }))} />
    </ActionFormFrame>
  );
}
