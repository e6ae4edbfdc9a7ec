'use client';

import { useEffect, useRef } from 'react';
import { useFormContext, useWatch } from 'react-hook-form';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { useRead } from '../shell/reads';
import { chosenFamily, type ShopVariant } from './booking-fields';

type Booked = {
  readonly choice: string;
  readonly material: string;
  readonly complaints: readonly string[];
  readonly promisedAt: number | null;
  readonly heldAt: number | null;
};
/** What the plan says: ready by then 1 in 2, 9 in 10, 19 in 20, in the shop's hours; null where it has no room. */
export type PlanSays = { readonly half: number | null; readonly nine: number | null; readonly nineteen: number | null };

/** Two lines, before the plan has answered too: nothing moves under a finger when it does. */
const ROOM = 'min-h-10 text-[13px]';

/** When the plan has such a unit ready. The date that holds at 9 in 10 is filled in until somebody says another. */
export function PromiseHint({ variants }: { readonly variants: readonly ShopVariant[] }) {
  const { setValue, getValues } = useFormContext<Booked>();
  const [choice, material, complaints, promisedAt] = useWatch<Booked, ['choice', 'material', 'complaints', 'promisedAt']>({
    name: ['choice', 'material', 'complaints', 'promisedAt'],
  });
  const { kind } = chosenFamily(choice, variants);
  const asked = new URLSearchParams({ family: kind, material, complaints: complaints.join(',') });
  const { data, isError } = useRead<PlanSays>(`/api/v1/day/promise?${asked}`);
  const filled = useRef<number>(undefined);
  const nine = data?.nine ?? null;
  useEffect(() => {
    setValue('heldAt', nine);
    const now = getValues('promisedAt');
    if (nine === null || (now !== null && now !== filled.current)) return;
    filled.current = nine;
    setValue('promisedAt', nine, { shouldValidate: false });
  }, [nine, setValue, getValues]);
  if (isError) return <p className={`${ROOM} text-ink2`}>The plan cannot be asked just now.</p>;
  if (data === undefined) return <p className={`${ROOM} text-ink2`}>Asking the plan …</p>;
  const said = [
    ['1 in 2', data.half],
    ['9 in 10', data.nine],
    ['19 in 20', data.nineteen],
  ] as const;
  return (
    <div className={ROOM} role="status">
      <p className="text-ink2">
        By the plan such a unit is ready{' '}
        {said.map(([chance, at], i) => (
          <span key={chance}>
            {i > 0 && ', '}
            {at === null ? 'at no date that holds' : <b title={sayFullDate(at)}>{sayWhen(at, Date.now())}</b>} {chance}
          </span>
        ))}
        .
      </p>
      {nine !== null && promisedAt !== nine && (
        <button type="button" className="min-h-9 font-bold text-act" onClick={() => setValue('promisedAt', nine, { shouldDirty: true })}>
          Promise {sayWhen(nine, Date.now())}
        </button>
      )}
    </div>
  );
}
