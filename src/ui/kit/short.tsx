'use client';

import { useState } from 'react';
import { reuseOldAction } from '@/app/actions/kit';
import { sayMoney } from '@/core/quantity/say-money';
import type { ShortPart } from '@/core/unit/ranked-kits';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useStation } from '../unit/station-context';

/** Parts that the bags do not cover, each with what can be done: a sundry from the drawer, or the old one, with a reason, where its kind may go back. */
export function Short({
  short,
  take,
}: {
  readonly short: readonly ShortPart[];
  readonly take: (articleId: string, qty: number) => Promise<unknown>;
}) {
  const { open } = useStation();
  const { save, saving, decide } = useSave(reuseOldAction);
  const [reason, setReason] = useState('');
  const mayReuse = short.some((s) => s.fixes.some((f) => f.kind === 'reuse-old'));
  return (
    <section aria-label="Still short" className="border border-amber bg-sheet px-3 py-2">
      <h3 className="font-bold text-amber">Still short</h3>
      {short.map((s) => (
        <div key={s.partId} className="flex flex-wrap items-center gap-2 border-b border-hair py-1 last:border-b-0">
          <b className="w-44">
            {s.name}
            {s.qty > 1 && ` × ${s.qty}`}
          </b>
          {s.fixes.length === 0 && <span className="text-ink2">nothing in the drawers fits: order it, or set another kit aside</span>}
          {open &&
            s.fixes.map((f) =>
              f.kind === 'sundry' ? (
                <button key={f.articleId} type="button" className="btn-quiet" onClick={() => void take(f.articleId, f.qty)}>
                  {f.number} {f.name}, {sayMoney(f.price)}
                </button>
              ) : (
                <button
                  key="old"
                  type="button"
                  className="btn-quiet"
                  disabled={reason.trim().length < 3 || saving.kind === 'saving'}
                  title="Its reason stands with the part and in the history"
                  onClick={() => void save({ partId: s.partId, reason })}
                >
                  Reuse the old one
                </button>
              ),
            )}
        </div>
      ))}
      {open && mayReuse && (
        <input
          className="field mt-2 max-w-md"
          aria-label="Why the old one goes back"
          placeholder="Why an old one goes back; only when nothing else is to be had"
          value={reason}
          maxLength={200}
          onChange={(e) => setReason(e.target.value)}
        />
      )}
      <SaveNote saving={saving} onDecide={decide} />
    </section>
  );
}
