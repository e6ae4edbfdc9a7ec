'use client';

import { useRouter } from 'next/navigation';
import { mergeCustomersAction } from '@/app/actions/customers';
import type { Customer } from '@/core/customer/customer';
import { Told } from '../save/told';
import { useAsk } from '../save/use-ask';

/** Customers who are perhaps the same: made one on a press. */
export function MergeBox({ into, alike }: { readonly into: Customer; readonly alike: readonly Customer[] }) {
  const router = useRouter();
  const { ask, asking, told } = useAsk();
  const merge = async (from: string): Promise<void> => {
    if ((await ask(mergeCustomersAction, { from, into: into.id })) !== undefined) router.refresh();
  };
  return (
    <section aria-label="Perhaps the same">
      <h2 className="head mb-1">PERHAPS THE SAME</h2>
      {alike.map((c) => (
        <div key={c.id} className="flex flex-wrap items-center justify-between gap-2 border-b border-hair py-1">
          <span>
            <b>{c.name}</b> {[c.phone, c.mail].filter((t) => t !== '').join(', ')}
          </span>
          <button type="button" className="btn-quiet" disabled={asking} onClick={() => void merge(c.id)}>
            Make them one<span className="sr-only">: {[c.name, c.phone].join(', ')}</span>
          </button>
        </div>
      ))}
      <p className="mt-1 text-[13px] text-ink2">Their units, quotes and messages come here; it cannot be taken apart again.</p>
      <Told lines={told} />
    </section>
  );
}
