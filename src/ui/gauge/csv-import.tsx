'use client';

import { useState } from 'react';
import { potAsked } from '@/core/family/pots';
import type { Reading } from '@/core/gauge/reading';
import type { ReadMarks } from '@/csv/marks-csv';
import { late } from '../shell/late';
import { useStation } from '../unit/station-context';

type Take<R> = { readonly onTake: (rows: readonly R[]) => void };

// What reads a file is fetched when a file comes: most benches type.
const ReadingsBox = late(async () => (await import('./csv-boxes')).ReadingsBox);
const MarksBox = late(async () => (await import('./csv-boxes')).MarksBox);

export const ImportReadings = ({ onTake }: Take<Reading> & {}) => (
  <Import what="readings">
    {(close) => (
      <ReadingsBox
        onTake={(rows) => {
          onTake(rows);
          close();
        }}
      />
    )}
  </Import>
);

export const ImportMarks = ({ onTake }: Take<ReadMarks['rows'][number]> & {}) => (
  <Import what="marks">
    {(close) => (
      <MarksBox
        onTake={(rows) => {
          onTake(rows);
          close();
        }}
      />
    )}
  </Import>
);

/** In from a table, and out as one. */
function Import({ what, children }: { readonly what: 'readings' | 'marks'; readonly children: (close: () => void) => React.ReactNode }) {
  const { tag, pot } = useStation();
  const [open, setOpen] = useState(false);
  return (
    <div className="mt-3 border-t border-hair pt-1">
      <div className="flex flex-wrap gap-x-5">
        <button type="button" className="min-h-[44px] font-bold text-act" aria-expanded={open} onClick={() => setOpen(!open)}>
          Paste or import {what} as CSV
        </button>
        <a
          className="inline-flex min-h-[44px] items-center font-bold text-act"
          href={`/api/v1/units/${tag}/${what}.csv${potAsked(pot)}`}
          download
        >
          Saved {what} as CSV
        </a>
      </div>
      {open && children(() => setOpen(false))}
    </div>
  );
}
