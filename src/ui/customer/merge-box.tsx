'use client';

import { useRouter } from 'next/navigation';
import { mergeCustomersAction } from '@/app/actions/customers';
import type { Customer } from '@/core/customer/customer';
import { Told } from '../save/told';
import { useAsk } from '../save/use-ask';

/** Customers who are perhaps the same: made one on a press. Whoever is meant and does not stand here is looked for. */
export function MergeBox({
  into,
  sought,
  alike,
  inAll,
}: {
  readonly into: Customer;
  /** What was looked for; empty: those who look alike. */
  readonly sought: string;
  readonly alike: readonly Customer[];
  readonly inAll: number;
}) {
  const router = useRouter();
  const { ask, asking, told } = useAsk();
  const merge = async (from: string): Promise<void> => {
    if ((await ask(mergeCustomersAction, { from, into: into.id })) !== undefined) router.refresh();
  };
  return (
    <section aria-label="Perhaps the same">
      <h2 className="head mb-1">PERHAPS THE SAME</h2>
      <search>
        <form className="mb-1 flex items-end gap-2">
          <div className="min-w-0 flex-1">
            <label className="label" htmlFor="same-q">
              Here twice? The other’s name, telephone or mail
            </label>
            <input id="same-q" name="same" defaultValue={sought} maxLength={200} className="field" />
          </div>
          <button type="submit" className="btn-quiet">
            Look
          </button>
        </form>
      </search>
      {sought !== '' && alike.length === 0 && <p>Nobody else with “{sought}”.</p>}
      {inAll > alike.length && (
        <p className="text-ink2">
          {alike.length} of {inAll} are shown: one more word finds fewer.
        </p>
      )}
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
      {alike.length > 0 && (
        <p className="mt-1 text-[13px] text-ink2">Their units, quotes and messages come here; it cannot be taken apart again.</p>
      )}
      <Told lines={told} />
    </section>
  );
}
