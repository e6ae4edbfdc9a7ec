'use client';

import { useState } from 'react';
import { calendarKeyAction } from '@/app/actions/people';

/** Gives a person an address for their calendar program. It is shown once; a new one takes its place. */
export function CalendarAddress() {
  const [address, setAddress] = useState<string>();
  const make = async (): Promise<void> => {
    const answer = await calendarKeyAction({}).catch(() => undefined);
    if (answer?.ok === true) setAddress(`${location.origin}/api/v1/calendar/${answer.value.key}.ics`);
  };
  return (
    <div className="mt-2 border-t border-hair pt-2 text-[13px]">
      {address === undefined ? (
        <button type="button" className="min-h-[44px] font-bold text-act" onClick={() => void make()}>
          My calendar address
        </button>
      ) : (
        <label>
          For your calendar program; shown once. A new one makes this one stop.
          <input className="field mt-1" readOnly value={address} onFocus={(e) => e.target.select()} />
        </label>
      )}
    </div>
  );
}
