'use client';

import type { ComponentProps } from 'react';
import { parseMoment } from '@/core/quantity/parse-moment';
import { isoDay, sayDay, sayWeekday } from '@/core/quantity/say-time';
import { MomentField, type Wording } from './moment-field';

const NOON = 12;
/** A day alone. */
export const DAY: Wording = { hint: '24 Dec', say: sayDay, sayFull: sayWeekday };

/** A day as people say it, or picked from a calendar; told as `2026-12-24`, and as it was typed where it is no day. */
export function DayField({
  value,
  onSay,
  ...rest
}: Omit<ComponentProps<typeof MomentField>, 'value' | 'onSay' | 'hour' | 'wording' | 'odd'> & {
  readonly value: string | null;
  readonly onSay: (day: string) => void;
}) {
  const read = parseMoment(value ?? '', Date.now(), NOON);
  return (
    <MomentField
      {...rest}
      hour={NOON}
      wording={DAY}
      value={read.ok ? read.value : null}
      onSay={(at, typed) => onSay(at === null ? typed.trim() : isoDay(at))}
    />
  );
}
