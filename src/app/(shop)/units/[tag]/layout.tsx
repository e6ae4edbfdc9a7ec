import type { ReactNode } from 'react';
import { type Seen, seenAt } from '@/core/practice/job/seen';
import { STATIONS, type Station } from '@/core/station';
import { practiceNow, shopDb } from '@/db/engine/connection';
import { jobNow } from '@/db/practice/jobs';
import { PracticeUnit } from '@/ui/practice/practice-unit';

/** Around a unit’s pages stands nothing, but for a practice unit: what it is, and what one has before one. */
export default async function UnitLayout({ children }: { readonly children: ReactNode }) {
  const job = practiceNow();
  const now = job === undefined ? undefined : await jobNow(await shopDb(), job);
  if (job === undefined || now === undefined) return children;
  const seen = Object.fromEntries(STATIONS.map((s) => [s, seenAt(now.truth, now.record, s)])) as { readonly [S in Station]: Seen };
  return (
    <PracticeUnit job={job} seen={seen}>
      {children}
    </PracticeUnit>
  );
}
