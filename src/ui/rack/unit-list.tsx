'use client';

import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { type Sort, sayInAddress } from '@/core/schema/sort';
import { type Branch, sayWhere } from '@/core/shop/branch';
import { EXIT_WORDS, STATION_WORDS } from '@/core/station';
import type { TrayTag } from '@/core/unit/tray-tag';
import { tagOf } from '@/core/unit/unit-record';
import { Silhouette } from '../drawing/silhouette';
import { Tag } from '../drawing/tag';
import { VerdictSign } from '../drawing/verdict-sign';
import { Go } from '../shell/go';
import { useBranches } from '../shell/shop-context';
import { type Column, DataTable } from '../table/data-table';

/** Units as a table, in the shop or gone. @param sorted where its address says how it is sorted: that, and the page itself */
export function UnitList({
  units,
  now,
  empty,
  sorted,
}: {
  readonly units: readonly TrayTag[];
  readonly now: number;
  readonly empty: string;
  readonly sorted?: { readonly sort: Sort; readonly page: string };
}) {
  const [router, branches] = [useRouter(), useBranches()];
  const columns = useMemo(() => columnsOf(now, sorted !== undefined, branches), [now, sorted, branches]);
  if (units.length === 0) return <p className="text-ink2">{empty}</p>;
  const onSort = (sort: Sort | null): void =>
    router.push(`${sorted?.page}${sorted?.page.includes('?') ? '&' : '?'}sort=${sayInAddress(sort)}`);
  return (
    <DataTable
      label="Units"
      columns={columns}
      rows={units}
      keyOf={(u) => u.id}
      {...(sorted === undefined ? {} : { sorted: { sort: sorted.sort, onSort } })}
    />
  );
}

const columnsOf = (now: number, sorts: boolean, branches: readonly Branch[]): readonly Column<TrayTag>[] => [
  {
    id: 'tag',
    head: 'Tag',
    ...(sorts ? { by: (u) => u.tagNo } : {}),
    cell: (u) => (
      <Go data-tray href={`/units/${tagOf(u)}`} className="inline-flex min-h-9 items-center">
        <Tag text={tagOf(u)} />
      </Go>
    ),
  },
  { id: 'family', head: '', cell: (u) => <Silhouette family={u.family} label={u.familyLabel} /> },
  { id: 'machine', head: 'Machine', cell: (u) => u.machine },
  { id: 'customer', head: 'Customer', cell: (u) => u.customer },
  { id: 'complaint', head: 'Complaint', cell: (u) => u.complaint, className: 'text-ink2' },
  { id: 'bore', head: 'Bore', cell: (u) => u.outcome !== null && <VerdictSign outcome={u.outcome} /> },
  {
    id: 'where',
    head: 'Where',
    cell: (u) =>
      u.exit === null ? [STATION_WORDS[u.station], sayWhere(branches, u)].filter((w) => w !== undefined).join(', ') : EXIT_WORDS[u.exit],
  },
  {
    id: 'when',
    head: 'When',
    ...(sorts ? { by: (u) => u.exitAt } : {}),
    className: 'whitespace-nowrap',
    cell: (u) => {
      const at = u.exitAt ?? u.dueAt;
      return (
        <span title={sayFullDate(at)}>
          {u.exit === null ? 'due ' : ''}
          {sayWhen(at, now)}
        </span>
      );
    },
  },
];
