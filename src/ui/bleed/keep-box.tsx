'use client';

import { useRouter } from 'next/navigation';
import { uuidv7 } from 'uuidv7';
import { dropSystemAction, keepSystemAction } from '@/app/actions/bleed';
import type { System } from '@/core/bleed/system';
import { Told } from '../save/told';
import { useAsk } from '../save/use-ask';
import { Go } from '../shell/go';

export type KeptName = { readonly id: string; readonly name: string; readonly fitment: string | null };
export type KeptAt = { readonly id: string; readonly name: string } | null;

/** Keeps a finished system, by itself or at a fitment; those that are kept are opened here. */
export function KeepBox({
  system,
  start,
  kept,
}: {
  readonly system: System;
  readonly start: { readonly id: string | null; readonly fitment: KeptAt };
  readonly kept: { readonly shown: readonly KeptName[]; readonly all: number };
}) {
  const { ask, asking, told } = useAsk();
  const router = useRouter();
  const keep = async (id: string): Promise<void> => {
    const done = await ask(keepSystemAction, { id, fitmentId: start.fitment?.id ?? null, system });
    if (done !== undefined) router.push(`/sums/bleed?kept=${done.id}`);
  };
  return (
    <section aria-label="Kept systems" className="grid gap-3 border-t border-line pt-3">
      <h2 className="font-bold">Kept systems</h2>
      <p className="text-ink2">
        {start.fitment === null
          ? 'By itself. At a fitment: from its page in the kit store, “Its brake or clutch system”.'
          : `At the fitment ${start.fitment.name}.`}
      </p>
      <div className="flex flex-wrap items-end gap-3">
        {start.id !== null && (
          <button type="button" className="btn-quiet" disabled={asking} onClick={() => void keep(start.id as string)}>
            Keep the change
          </button>
        )}
        <button type="button" className="btn-quiet" disabled={asking} onClick={() => void keep(uuidv7())}>
          {start.id === null ? 'Keep this system' : 'Keep as another'}
        </button>
      </div>
      <Told lines={told} />
      {kept.shown.length === 0 ? (
        <p className="text-ink2">None is kept yet: draw a machine’s system once, and whoever bleeds it next finds it here.</p>
      ) : (
        <ul className="border border-line bg-sheet">
          {kept.shown.map((k) => (
            <li key={k.id} className="flex flex-wrap items-center gap-x-4 border-b border-hair px-3 last:border-b-0">
              <Go
                href={`/sums/bleed?kept=${k.id}`}
                aria-current={k.id === start.id ? 'page' : undefined}
                className="inline-flex min-h-[44px] items-center font-bold text-act"
              >
                {k.name}
              </Go>
              <span className="text-ink2">{k.fitment ?? ''}</span>
              <button
                type="button"
                className="ml-auto min-h-[44px] font-bold text-act"
                aria-label={`Drop ${k.name}`}
                disabled={asking}
                onClick={() => void ask(dropSystemAction, { id: k.id }).then(() => router.refresh())}
              >
                Drop
              </button>
            </li>
          ))}
        </ul>
      )}
      {kept.all > kept.shown.length && (
        <p className="text-ink2">
          The newest {kept.shown.length} of {kept.all}.
        </p>
      )}
    </section>
  );
}
