'use client';

import type { ReactNode } from 'react';

/** A station's page below the ribbon: the work on the left, what is said about it on the right, the ledger under that. */
export function StationFrame({
  title,
  note,
  children,
  aside,
  ledger,
}: {
  readonly title: ReactNode;
  readonly note?: ReactNode;
  readonly children: ReactNode;
  readonly aside?: ReactNode;
  readonly ledger: ReactNode;
}) {
  return (
    <div className="grid lg:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
      <section id="station" tabIndex={-1} aria-label="Work" className="min-w-0 px-4 py-3">
        <div className="mb-2 flex flex-wrap items-baseline justify-between gap-x-4">
          <h2 className="head">{title}</h2>
          {note !== undefined && <p className="text-[13px] text-ink2">{note}</p>}
        </div>
        {children}
      </section>
      <aside
        aria-label="Ledger"
        className="min-w-0 border-line bg-sheet px-4 py-3 max-lg:border-t lg:min-h-[calc(100dvh-22rem)] lg:border-l"
      >
        {aside}
        {ledger}
      </aside>
    </div>
  );
}
