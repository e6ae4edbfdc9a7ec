'use client';

import { useState } from 'react';
import { keepSurplusAction, putBackAction } from '@/app/actions/kit';
import { sayDims } from '@/core/family/say-dims';
import { sayFinding } from '@/core/kit/bag';
import type { SetAside } from '@/core/kit/set-aside';
import { sayMonth, sayWhen } from '@/core/quantity/say-time';
import type { LotFinding } from '@/core/store/stock-record';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { late } from '../shell/late';
import { useUnits } from '../shell/units-context';
import { useStation } from '../unit/station-context';
import { bracketed, LotWarnings } from './lot-warnings';

const OpenBag = late(async () => (await import('./open-bag')).OpenBag);

/** A bag set aside: its lot and date, what was found in it, and what may be kept of it. */
export function Bag({
  bag,
  warned,
  spare,
}: {
  readonly bag: SetAside;
  readonly warned: readonly LotFinding[];
  readonly spare: readonly { readonly item: number; readonly qty: number }[];
}) {
  const units = useUnits();
  const { now, open } = useStation();
  const returning = useSave(putBackAction);
  const keeping = useSave(keepSurplusAction);
  const [opening, setOpening] = useState(false);
  return (
    <article aria-label={`Set aside: ${bag.number}`} className="border border-act bg-sheet px-3 py-2">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <b className="text-brass">{bag.number}</b> {bag.qty > 1 && `${bag.qty} × `}
        {bag.name}
        <span className="text-[13px] text-ink2">
          lot {bag.lotCode}
          {bag.expiresAt !== null && `, good until ${sayMonth(bag.expiresAt)}`}
        </span>
        {open && (
          <span className="ml-auto flex gap-2">
            <button
              type="button"
              className={bag.openedAt === null ? 'btn' : 'btn-quiet'}
              aria-expanded={opening}
              onClick={() => setOpening(!opening)}
            >
              {bag.openedAt === null ? 'Open the bag' : 'Look again'}
            </button>
            <button type="button" className="btn-quiet" onClick={() => void returning.save({ bagId: bag.id })}>
              Put it back
            </button>
          </span>
        )}
      </div>
      <LotWarnings warned={warned} />
      {bag.openedAt !== null && (
        <p className="text-[13px]">
          Opened {sayWhen(bag.openedAt, now)}:{' '}
          {bag.findings.length === 0 ? (
            'all as the catalogue says.'
          ) : (
            <span className="text-amber">
              {bag.findings.map((f) => sayFinding(bag.items, f, (dims) => bracketed(sayDims(dims, units)))).join('; ')}. Its lot warns of it
              from now on.
            </span>
          )}
        </p>
      )}
      {bag.spoilt.length > 0 && (
        <p className="text-[13px]">
          Spoilt on the way in: {bag.spoilt.map((s) => `${s.qty > 1 ? `${s.qty} × ` : ''}${bag.items[s.item]?.name}`).join(', ')}.
        </p>
      )}
      {opening && <OpenBag bag={bag} onDone={() => setOpening(false)} />}
      {bag.openedAt !== null && spare.length > 0 && open && (
        <p className="flex flex-wrap items-center gap-2 text-[13px] text-ink2">
          Left over:
          {spare.map((s) => (
            <button
              key={s.item}
              type="button"
              className="btn-quiet"
              onClick={() => void keeping.save({ bagId: bag.id, item: s.item, qty: s.qty })}
            >
              Keep {s.qty > 1 && `${s.qty} × `}
              {bag.items[s.item]?.name}
            </button>
          ))}
        </p>
      )}
      <SaveNote saving={returning.saving} onDecide={returning.decide} />
      <SaveNote saving={keeping.saving} onDecide={keeping.decide} />
    </article>
  );
}
