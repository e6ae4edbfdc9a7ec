'use client';

import { useState } from 'react';
import { saveAsksAction } from '@/app/actions/practice';
import { LEVELS, type Level } from '@/core/practice/exercise';
import { PRACTICE_KIND_NAMES, PRACTICE_KINDS } from '@/core/practice/kinds';
import type { StationAsks } from '@/core/practice/skill-schemas';
import type { Station } from '@/core/station';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useAskForm } from '../form/use-action-form';

/** A level of each kind, 0 where it is not asked. */
type Draft = Omit<StationAsks, 'kinds'> & { readonly kinds: { readonly [kind: string]: number } };
const { Select, Count, Choice } = fieldsOf<Draft>();
const LEVEL_OPTIONS = [{ value: 0, text: 'not asked' }, ...LEVELS.map((l) => ({ value: l, text: `level ${l}` }))];

/** What a lead has a station ask. */
export function AsksForm({ station, asks }: { readonly station: Station; readonly asks: StationAsks }) {
  const [saved, setSaved] = useState('');
  const start: Draft = { ...asks, kinds: Object.fromEntries(PRACTICE_KIND_NAMES.map((k) => [k, asks.kinds[k] ?? 0])) };
  const saving = useAskForm(
    saveAsksAction,
    start,
    ({ kinds, ...rest }) => ({
      station,
      ...rest,
      kinds: Object.fromEntries(Object.entries(kinds).filter(([, level]) => level > 0)) as { [kind: string]: Level },
    }),
    () => setSaved('Saved.'),
  );
  return (
    <ActionFormFrame
      of={saving}
      submit="Save what it asks"
      className="grid gap-3"
      beside={
        <p role="status" className="self-center text-ink2">
          {saved}
        </p>
      }
    >
      <div className="grid gap-2 sm:grid-cols-3 lg:grid-cols-4">
        {PRACTICE_KIND_NAMES.map((kind) => (
          <Select key={kind} name={`kinds.${kind}`} label={PRACTICE_KINDS[kind].label} options={LEVEL_OPTIONS} />
        ))}
      </div>
      <div className="flex flex-wrap items-end gap-3">
        <Count name="inARow" label="Right in a row" className="w-32" to={20} />
        <Count name="withinMonths" label="Within so many months" className="w-44" to={60} />
        <Count name="lastsMonths" label="The skill lasts, months" className="w-44" to={120} />
        <Choice
          name="gate"
          label="At the bench"
          options={[
            { value: 'open', text: 'Anybody works there' },
            { value: 'holds', text: 'Without it, beside somebody who has it' },
          ]}
        />
      </div>
    </ActionFormFrame>
  );
}
