'use client';

import { useEffect, useRef } from 'react';
import { STOP_WORDS, type Stop, saySkip } from '@/core/route/route';
import { sayWhyNot } from '@/core/route/why-not';
import { STATION_WORDS, type Station } from '@/core/station';
import { Go } from '../shell/go';

/** The unit's route: done, now, ahead and passed over, each with why. `[` and `]` step along it. */
export function Ribbon({ tag, route, here }: { readonly tag: string; readonly route: readonly Stop[]; readonly here: Station }) {
  const at = route.findIndex((s) => s.station === here);
  const [before, after] = [route[at - 1]?.station, route[at + 1]?.station];
  const line = useRef<HTMLElement>(null);
  // Where the line is wider than the screen, the station that one is at stands in its middle.
  useEffect(() => {
    const step = line.current?.querySelector<HTMLElement>(`[data-stop="${here}"]`);
    if (line.current && step) line.current.scrollLeft = step.offsetLeft - (line.current.clientWidth - step.offsetWidth) / 2;
  }, [here]);
  return (
    <nav ref={line} aria-label="Route" className="relative flex items-stretch gap-x-1 overflow-x-auto border-b border-line bg-plate px-3">
      {before !== undefined && (
        <Go data-key="[" href={`/units/${tag}/${before}`} className="sr-only" tabIndex={-1}>
          Station before
        </Go>
      )}
      {after !== undefined && (
        <Go data-key="]" href={`/units/${tag}/${after}`} className="sr-only" tabIndex={-1}>
          Station after
        </Go>
      )}
      {route.map((stop) => (
        <Go
          key={stop.station}
          href={`/units/${tag}/${stop.station}`}
          data-stop={stop.station}
          data-key={stop.station === 'gauge' ? 'g' : undefined}
          aria-current={stop.station === here ? 'step' : undefined}
          title={whyOf(stop)}
          className={`flex min-h-[44px] shrink-0 items-center gap-1.5 border-b-[3px] px-2 pt-[3px] ${stop.station === here ? 'border-act' : 'border-transparent'} ${stop.state === 'now' ? 'font-bold text-act' : stop.state === 'skipped' ? 'text-ink2 line-through decoration-line' : stop.state === 'ahead' ? 'text-ink2' : ''}`}
        >
          <StopSign state={stop.state} />
          {STATION_WORDS[stop.station]}
          <span className="sr-only">{STOP_WORDS[stop.state]}</span>
        </Go>
      ))}
    </nav>
  );
}

const whyOf = (stop: Stop): string => {
  switch (stop.state) {
    case 'done':
      return 'Done';
    case 'skipped':
      return saySkip(stop.because);
    case 'now':
    case 'ahead':
      return stop.why.length === 0 ? 'Ready to be done' : stop.why.map(sayWhyNot).join('\n');
  }
};

function StopSign({ state }: { readonly state: Stop['state'] }) {
  return (
    <svg width="12" height="12" viewBox="0 0 12 12" aria-hidden="true" className="shrink-0">
      {state === 'done' && <path d="M1.5 6.5 4.5 10 10.5 2" fill="none" stroke="currentColor" strokeWidth="2" />}
      {state === 'now' && <rect x="1" y="1" width="10" height="10" fill="currentColor" />}
      {state === 'ahead' && <rect x="1.5" y="1.5" width="9" height="9" fill="none" stroke="currentColor" />}
      {state === 'skipped' && <path d="M2 6h8" stroke="currentColor" strokeWidth="1.5" />}
    </svg>
  );
}
