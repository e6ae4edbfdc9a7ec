'use client';

import { type ComponentProps, useState } from 'react';
import type { Units } from '@/core/quantity/units';
import type { GapRules } from '@/core/set/setup';
import { Confirm } from '../stations/confirm';
import { GapWorksheet } from './gap-worksheet';

/** Set: the pushrod's gap worked out, and signed off with it in the note. */
export function SetStation({
  rules,
  units,
  ...confirm
}: Omit<ComponentProps<typeof Confirm>, 'suggested'> & { readonly rules: GapRules; readonly units: Units }) {
  const [suggested, setSuggested] = useState('');
  return (
    <div className="grid gap-6">
      <GapWorksheet start={{}} rules={rules} units={units}>
        {(text) =>
          confirm.open && (
            <button type="button" className="btn" onClick={() => setSuggested(text.replaceAll('\n', '; ').slice(0, 1000))}>
              Take it into the note
            </button>
          )
        }
      </GapWorksheet>
      <Confirm {...confirm} suggested={suggested} />
    </div>
  );
}
