'use client';

import { useState } from 'react';
import { STATION_WORDS, type Station } from '@/core/station';
import type { Leave, Reopen } from '@/core/unit/unit-doors';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import type { SaveAction, UnitTarget } from './unit-actions';

export type LeadProps = {
  readonly target: UnitTarget;
  /** Stations that can be opened again: those signed off, and the one that a unit left from. */
  readonly canReopen: readonly Station[];
  readonly inShop: boolean;
  readonly reopen: SaveAction<Reopen>;
  readonly leave: SaveAction<Leave>;
};

/** What only a lead or the owner may do to a unit, always with a reason: open a station again, scrap it, return it as it is. */
export function LeadForm({ target, canReopen, inShop, reopen, leave }: LeadProps) {
  const reopening = useSave(reopen, target);
  const leaving = useSave(leave, target);
  const [station, setStation] = useState<Station | ''>('');
  const [reason, setReason] = useState('');
  const ready = reason.trim().length >= 3;
  return (
    <div className="grid gap-2 pt-2">
      <input
        className="field"
        aria-label="Reason"
        placeholder="Reason; stands in the history"
        value={reason}
        onChange={(e) => setReason(e.target.value)}
      />
      <div className="flex flex-wrap gap-2">
        <select
          className="field w-auto"
          aria-label="Station to reopen"
          value={station}
          onChange={(e) => setStation(e.target.value as Station)}
        >
          <option value="">Station …</option>
          {canReopen.map((s) => (
            <option key={s} value={s}>
              {STATION_WORDS[s]}
            </option>
          ))}
        </select>
        <button
          type="button"
          className="btn-quiet"
          disabled={!ready || station === ''}
          onClick={() => void reopening.save({ station: station === '' ? null : station, reason })}
        >
          Reopen
        </button>
        {inShop && (
          <>
            <button type="button" className="btn-quiet" disabled={!ready} onClick={() => void leaving.save({ exit: 'returned', reason })}>
              Return as it is
            </button>
            <button type="button" className="btn-quiet" disabled={!ready} onClick={() => void leaving.save({ exit: 'scrapped', reason })}>
              Scrap
            </button>
          </>
        )}
      </div>
      <SaveNote saving={reopening.saving} onAcceptTheirs={reopening.acceptTheirs} />
      <SaveNote saving={leaving.saving} onAcceptTheirs={leaving.acceptTheirs} />
    </div>
  );
}
