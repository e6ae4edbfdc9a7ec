'use client';

import { useState } from 'react';
import { may } from '@/core/people/role';
import { whyNotBack } from '@/core/strip/going-back';
import type { TrayPart } from '@/core/strip/tray-schema';
import { useStation } from '../unit/station-context';

/** A part that does not pass goes back on a lead's word only: who gave it and why, or where a lead gives it. */
export function LetBack({ part, onAllow }: { readonly part: TrayPart; readonly onAllow: (reason: string) => void }) {
  const { rules, role, open } = useStation();
  const [reason, setReason] = useState('');
  if (part.allowed !== null)
    return (
      <p className="mt-1 w-44 text-[12px] text-amber">
        let back by {part.allowed.name}: {part.allowed.reason}
      </p>
    );
  const against = part.found === 'present' ? whyNotBack(part, rules) : undefined;
  if (against === undefined || !open || !may(role, 'override')) return null;
  return (
    <details className="mt-1 w-44 text-[12px]">
      <summary className="min-h-[24px] cursor-pointer text-ink2">As lead: put it back all the same</summary>
      <p className="text-red">{against}</p>
      <input
        className="field"
        aria-label={`Why the ${part.name} goes back all the same`}
        placeholder="why; stands on the certificate"
        value={reason}
        maxLength={200}
        onChange={(e) => setReason(e.target.value)}
      />
      <button type="button" className="btn-quiet mt-1" disabled={reason.trim().length < 3} onClick={() => onAllow(reason)}>
        Let it back
      </button>
    </details>
  );
}
