'use client';

import { useWatch } from 'react-hook-form';
import { standByAction } from '@/app/actions/practice';
import { PIN_WORDS } from '@/core/people/pin';
import type { Person } from '@/core/people/role';
import { STATION_WORDS, type Station } from '@/core/station';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useUnitForm } from '../form/use-action-form';

type Along = { readonly withId: string; readonly pin: string };
const { Select, Text } = fieldsOf<Along>();

/** Where somebody is not signed off for a station: who works along says so by their PIN, and it stands on the unit's record. */
export function StandByBox({ station, able }: { readonly station: Station; readonly able: readonly Person[] }) {
  const saying = useUnitForm(standByAction, { withId: able[0]?.id ?? '', pin: '' }, (v) => ({ station, ...v }), {
    done: (form) => form.reset(),
  });
  const withId = useWatch({ control: saying.form.control, name: 'withId' });
  const helper = able.find((p) => p.id === withId);
  if (helper === undefined)
    return (
      <p className="border-b border-line bg-sheet px-4 py-3 font-bold">
        You are not signed off for {STATION_WORDS[station]}, and nobody else is here who could work along.
      </p>
    );
  return (
    <section aria-label="Work along" className="border-b border-line bg-tint px-4 py-3">
      <p className="mb-2 font-bold">
        You are not signed off for {STATION_WORDS[station]}. Who has the skill works along, and says so here.
      </p>
      <ActionFormFrame of={saying} submit="We work on it together" className="flex flex-wrap items-end gap-3">
        <Select name="withId" label="Name" className="w-48" options={able.map((p) => ({ value: p.id, text: p.name }))} />
        <Text
          name="pin"
          label={`PIN of ${helper.name}`}
          className="w-44"
          type="password"
          {...(PIN_WORDS[helper.role] === 'PIN' ? { inputMode: 'numeric' as const } : {})}
        />
      </ActionFormFrame>
    </section>
  );
}
