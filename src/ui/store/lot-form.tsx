'use client';

import { useState } from 'react';
import { uuidv7 } from 'uuidv7';
import type { Lot } from '@/core/store/article';
import { Choices } from '../field/choices';
import type { useAsk } from '../save/use-ask';
import type { StockActions } from './stock-actions';

/** A lot as it was counted or put right, and what is wrong with it. */
export function LotForm({
  lot,
  asking: { ask, asking },
  actions,
  onDone,
}: {
  readonly lot: Lot;
  readonly asking: ReturnType<typeof useAsk>;
  readonly actions: StockActions;
  readonly onDone: () => void;
}) {
  const [counted, setCounted] = useState(String(lot.qty));
  const [reason, setReason] = useState<'counted' | 'adjusted'>('counted');
  const [note, setNote] = useState('');
  const [fault, setFault] = useState(lot.fault);
  const qty = Number(counted);
  return (
    <div className="grid gap-2 border-t border-hair py-2">
      <form
        className="flex flex-wrap items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          void ask(actions.correct, { id: uuidv7(), lotId: lot.id, counted: qty, reason, note }).then(
            (done) => done !== undefined && onDone(),
          );
        }}
      >
        <label className="label mb-0">
          There are
          <input className="field w-20 text-ink" inputMode="numeric" value={counted} onChange={(e) => setCounted(e.target.value)} />
        </label>
        <Choices
          label="Why"
          options={[
            { value: 'counted', text: 'counted' },
            { value: 'adjusted', text: 'put right' },
          ]}
          value={reason}
          onPick={setReason}
        />
        <input
          className="field w-56"
          aria-label="Reason"
          placeholder={reason === 'adjusted' ? 'Reason' : 'Note'}
          value={note}
          maxLength={200}
          onChange={(e) => setNote(e.target.value)}
        />
        <button
          type="submit"
          className="btn"
          disabled={asking || !/^\d+$/.test(counted) || (reason === 'adjusted' && note.trim().length < 3)}
        >
          Note it
        </button>
      </form>
      <div className="flex flex-wrap items-end gap-2">
        <label className="label mb-0 min-w-56 flex-1">
          Known fault of this lot; empty: none
          <input className="field text-ink" value={fault} maxLength={200} onChange={(e) => setFault(e.target.value)} />
        </label>
        <button
          type="button"
          className="btn-quiet"
          disabled={asking || fault === lot.fault}
          onClick={() => void ask(actions.fault, { lotId: lot.id, fault }).then((done) => done !== undefined && onDone())}
        >
          Warn of it
        </button>
      </div>
    </div>
  );
}
