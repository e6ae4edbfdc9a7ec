'use client';

import { pinAction } from '@/app/actions/day';
import { type DayFacts, doneBy, type RackUnit } from '@/core/plan/day-facts';
import type { NewPin, Pin } from '@/core/plan/pin';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useAskForm } from '../form/use-action-form';

type Values = { readonly kind: Pin['kind']; readonly at: number | null; readonly personId: string; readonly why: string };
const { Choice, Moment, Select, Text } = fieldsOf<Values>();
const MINUTE_MS = 60_000;
const HOUR_MS = 60 * MINUTE_MS;
const HALF_HOUR_MS = HOUR_MS / 2;
const KIND_WORDS: { readonly [K in Pin['kind']]: string } = {
  'not-before': 'not before',
  person: 'somebody else',
  first: 'this one first',
};

/** Says what the plan is to do with a unit, and why; it stands with the name of whoever said so. */
export function PinForm({
  unit,
  facts,
  now,
  onDone,
}: {
  readonly unit: RackUnit;
  readonly facts: DayFacts;
  readonly now: number;
  readonly onDone: () => void;
}) {
  const { id: unitId, tag, ops } = unit;
  const able = facts.people.filter((p) => doneBy(p, ops).length > 0);
  const form = useAskForm(
    pinAction,
    { kind: 'not-before', at: twoHoursOn(facts, now), personId: able[0]?.id ?? '', why: '' } as Values,
    ({ kind, at, personId, why }): NewPin => {
      switch (kind) {
        case 'first':
          return { kind, unitId, why };
        case 'person':
          return { kind, unitId, why, personId };
        case 'not-before':
          return { kind, unitId, why, at: at as number };
      }
    },
    onDone,
  );
  const kind = form.form.watch('kind');
  return (
    <ActionFormFrame of={form} submit="Pin it" className="mt-3 grid gap-2 border-t border-line pt-2">
      <Choice
        name="kind"
        label={`What the plan does with ${tag}`}
        wrap
        options={Object.entries(KIND_WORDS)
          .filter(([value]) => value !== 'person' || able.length > 0)
          .map(([value, text]) => ({ value, text }))}
      />
      {kind === 'not-before' && <Moment name="at" label="Not before" className="w-full" hour={8} />}
      {kind === 'person' && <Select name="personId" label="By" options={able.map((p) => ({ value: p.id, text: p.name }))} />}
      <Text name="why" label="Why" maxLength={200} autoFocus />
    </ActionFormFrame>
  );
}

/** Two hours of work from now, by the hours of the first who works; over lunch, night and weekend where they lie between. */
const twoHoursOn = (facts: DayFacts, now: number): number => {
  let left = 2 * HOUR_MS;
  for (const shift of facts.people.find((p) => p.skills.length > 0)?.shifts ?? []) {
    const [from, to] = [Math.max(now, facts.now + shift.fromMin * MINUTE_MS), facts.now + shift.toMin * MINUTE_MS];
    if (to - from >= left) return Math.ceil((from + left) / HALF_HOUR_MS) * HALF_HOUR_MS;
    left -= Math.max(0, to - from);
  }
  return now + left;
};
