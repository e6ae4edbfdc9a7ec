'use client';

import { useMemo } from 'react';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
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

/** Units as a table, in the shop or gone. */
export function UnitList({ units, now, empty }: { readonly units: readonly TrayTag[]; readonly now: number; readonly empty: string }) {
  const branches = useBranches();
  const columns = useMemo(() => columnsOf(now, branches), [now, branches]);
  if (units.length === 0) return <p className="text-ink2">{empty}</p>;
  return <DataTable label="Units" columns={columns} rows={units} keyOf={(u) => u.id} />;
}

const columnsOf = (now: number, branches: readonly Branch[]): readonly Column<TrayTag>[] => [
  {
    id: 'tag',
    head: 'Tag',
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
