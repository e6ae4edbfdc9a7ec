'use client';

import { useState } from 'react';
import { sayDims } from '@/core/family/say-dims';
import { sayFinding } from '@/core/kit/bag';
import { sayDay, sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { isExpired, type Lot } from '@/core/store/article';
import type { LotFinding } from '@/core/store/stock-record';
import { tagOf } from '@/core/unit/unit-record';
import { bracketed } from '../kit/lot-warnings';
import { useUnits } from '../shell/units-context';
import { type Column, DataTable } from '../table/data-table';
import { LotForm } from './lot-form';

const COLUMNS: readonly Column<Lot>[] = [
  { id: 'code', head: 'Lot', by: (l) => l.code },
  { id: 'qty', head: 'Pieces', by: (l) => l.qty, className: 'text-right' },
  { id: 'until', head: 'Date', by: (l) => l.expiresAt },
  { id: 'change', head: '' },
];

/** The lots of an article, with their dates, faults, and what was found when a bag of them was opened. */
export function Lots({
  lots,
  findings,
  now,
  open,
}: {
  readonly lots: readonly Lot[];
  readonly findings: readonly LotFinding[];
  readonly now: number;
  readonly open: boolean;
}) {
  const units = useUnits();
  const [changing, setChanging] = useState<string>();
  const rowOf = (l: Lot) => {
    const late = l.qty > 0 && isExpired(l, now);
    const found = findings.filter((f) => f.lotId === l.id);
    return (
      <>
        <tr>
          <th scope="row" className="cell text-left">
            {l.code}
          </th>
          <td className={`cell text-right font-bold ${late ? 'text-red' : ''}`}>{l.qty}</td>
          <td className={`cell ${late ? 'text-red' : 'text-ink2'}`} title={l.expiresAt === null ? '' : sayFullDate(l.expiresAt)}>
            {sayLotDate(l, now)}
          </td>
          <td className="cell text-right">
            {open && (
              <button
                type="button"
                className="btn-quiet"
                aria-expanded={changing === l.id}
                onClick={() => setChanging(changing === l.id ? undefined : l.id)}
              >
                Count, or put right
              </button>
            )}
          </td>
        </tr>
        {(l.fault !== '' || found.length > 0 || changing === l.id) && (
          <tr>
            <td colSpan={COLUMNS.length} className="cell">
              {l.fault !== '' && <p className="text-amber">Known fault: {l.fault}</p>}
              {found.map((f) => (
                <p key={f.at} className="text-[13px] text-amber">
                  Opened for {tagOf(f)} {sayWhen(f.at, now)}:{' '}
                  {f.findings.map((x) => sayFinding(f.items, x, (dims) => bracketed(sayDims(dims, units)))).join('; ')}
                </p>
              ))}
              {changing === l.id && <LotForm lot={l} onDone={() => setChanging(undefined)} />}
            </td>
          </tr>
        )}
      </>
    );
  };
  return <DataTable label="Lots on the shelf" columns={COLUMNS} rows={lots} keyOf={(l) => l.id} row={rowOf} />;
}

const sayLotDate = (l: Lot, now: number): string => {
  if (l.expiresAt === null) return 'does not age';
  const day = sayDay(l.expiresAt);
  return isExpired(l, now) ? `passed its date, ${day}: not fitted` : `good until ${day}`;
};
