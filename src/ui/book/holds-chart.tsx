'use client';

import type { GroupHolds } from '@/core/book/comebacks';
import { fixed } from '@/core/quantity/figure';
import { LineChart } from '../chart/late-chart';

/** How the curves of a chart are told apart without colour. */
const DASHES = ['', '8 4', '2 3', '10 3 2 3', '4 4', '14 4'] as const;

/**
 * What share of each group still holds, day by day: a step down wherever something came back. A curve ends where no unit of its group has
 * been out for longer: beyond that nothing was seen. @param groups each with the days that its longest was out
 */
export function HoldsChart({
  groups,
  more,
}: {
  readonly groups: readonly (GroupHolds & { readonly name: string; readonly seenDays: number })[];
  readonly more: number;
}) {
  const shown = groups.filter((g) => g.events > 0);
  if (shown.length === 0)
    return <p className="border border-line bg-sheet p-3">Nothing of these has come back: there is no curve to draw yet.</p>;
  return (
    <div>
      <LineChart
        title="Share that still holds, by days since release"
        series={shown.map((g, i) => ({
          name: g.name,
          dash: DASHES[i % DASHES.length] ?? '',
          look: 'steps' as const,
          points: [
            { x: 0, y: 1 },
            ...g.steps.map((s) => ({ x: Math.round(s.day * 10) / 10, y: s.survival })),
            { x: Math.round(g.seenDays * 10) / 10, y: g.steps.at(-1)?.survival ?? 1 },
          ],
        }))}
        x={{ name: 'days since release', say: (d) => fixed(d, 0) }}
        y={{ name: 'still hold', say: (s) => `${fixed(100 * s, 0)} %` }}
      />
      <p className="text-[13px] text-ink2">
        Each ends with the longest that a unit of it was out.
        {groups.length > shown.length && ` ${groups.length - shown.length} of which nothing came back are not drawn.`}
        {more > 0 && ` ${more} more, with fewer units, stand in the table.`}
      </p>
    </div>
  );
}
