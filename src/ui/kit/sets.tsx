'use client';

import { useState } from 'react';
import { takeSetAction } from '@/app/actions/kit';
import type { BestSet } from '@/core/kit/best-set';
import type { CoverSets } from '@/core/kit/cover-sets';
import { sayMoney } from '@/core/quantity/say-money';
import { sayWhen } from '@/core/quantity/say-time';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useRead } from '../shell/reads';
import { useStation } from '../unit/station-context';

/** What the address answers: the sets, what its articles are called, and how many of each are there. */
export type SetsAnswer = {
  readonly sets: CoverSets;
  readonly promisedAt: number;
  readonly articles: readonly {
    readonly id: string;
    readonly number: string;
    readonly name: string;
    readonly stock: number;
    readonly leadDays: number | null;
  }[];
};

const DAY_MS = 86_400_000;
const ROWS = [
  ['best', 'Least money, there in time'],
  ['cheapest', 'Least money, whenever it comes'],
  ['soonest', 'There first'],
  ['single', 'One kit alone'],
] as const satisfies readonly (readonly [keyof CoverSets, string])[];

/** The best sets of kits and sundries side by side, each to be taken or ordered as it stands. */
export function Sets({ nameOf }: { readonly nameOf: (needId: string) => string }) {
  const { target, now, tag, open } = useStation();
  const [unverified, setUnverified] = useState(false);
  const { data: answer, isError } = useRead<SetsAnswer>(
    `/api/v1/units/${tag}/kit-sets?unverified=${unverified ? 1 : 0}&v=${target.version}`,
  );
  const taking = useSave(takeSetAction);
  if (isError) return <p className="mt-2 text-amber">No answer came. Close this and open it again.</p>;
  if (answer === undefined) return <p className="mt-2 text-ink2">Working out what covers it …</p>;
  const article = (id: string) => answer.articles.find((a) => a.id === id);
  const here = (p: BestSet['picks'][number]): number => Math.min(p.qty, article(p.id)?.stock ?? 0);
  const pickOf = (p: BestSet['picks'][number]) => ({
    articleId: p.id,
    take: here(p),
    order: p.qty - here(p),
    expectedAt: Date.now() + Math.max(1, article(p.id)?.leadDays ?? 0) * DAY_MS,
  });
  return (
    <section aria-label="What covers it best" className="mt-2 border border-line bg-sheet">
      <p className="flex flex-wrap items-center gap-x-4 border-b border-hair px-3 py-1.5 text-[13px] text-ink2">
        Promised {sayWhen(answer.promisedAt, now)}.
        <label className="inline-flex min-h-[44px] items-center gap-2">
          <input type="checkbox" className="size-5" checked={unverified} onChange={(e) => setUnverified(e.target.checked)} />
          count pieces with a dimension that is not stated
        </label>
      </p>
      {ROWS.map(([name, words]) => {
        const set = answer.sets[name];
        return (
          <div
            key={name}
            className="grid items-center gap-x-4 gap-y-1 border-b border-hair px-3 py-2 last:border-b-0 md:grid-cols-[10rem_minmax(0,1fr)_4.5rem_4.5rem_12rem]"
          >
            <b>{words}</b>
            {set === null || set.picks.length === 0 ? (
              <span className="text-ink2">nothing covers any of it</span>
            ) : (
              <>
                <span>
                  {set.picks.map((p) => (
                    <span key={p.id} className="block">
                      {p.qty > 1 && `${p.qty} × `}
                      <b className="text-brass">{article(p.id)?.number}</b> {article(p.id)?.name}
                      {here(p) < p.qty && <span className="text-amber"> · {p.qty - here(p)} to order</span>}
                    </span>
                  ))}
                  {set.uncovered.length > 0 && (
                    <span className="block text-[13px] text-amber">
                      leaves open: {set.uncovered.map((u) => `${nameOf(u.needId)}${u.qty > 1 ? ` × ${u.qty}` : ''}`).join(', ')}
                    </span>
                  )}
                </span>
                <span className="font-bold whitespace-nowrap tabular-nums md:text-right">{sayMoney(set.price)}</span>
                <span className="text-ink2">
                  {set.leadDays === 0 ? 'all here' : `${set.leadDays} ${set.leadDays === 1 ? 'day' : 'days'}`}
                </span>
                {open && (
                  <button
                    type="button"
                    className="btn-quiet"
                    disabled={taking.saving.kind === 'saving'}
                    onClick={() => void taking.save({ picks: set.picks.map(pickOf) })}
                  >
                    {set.picks.every((p) => here(p) === p.qty) ? 'Set aside' : 'Set aside and order'}
                  </button>
                )}
              </>
            )}
          </div>
        );
      })}
      <SaveNote saving={taking.saving} onDecide={taking.decide} />
    </section>
  );
}
