'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { sayFullDate } from '@/core/quantity/say-time';
import { type ShopKey, sayKey } from '@/core/release/certificate-file';
import type { EndKey } from '@/core/release/release-schemas';
import { Told } from '../save/told';
import { type Ask, useAsk } from '../save/use-ask';

/** The shop's keys, each with its time, and how a certificate is held against them. @param end ends a key; null for who may not */
export function ShopKeys({ keys, end }: { readonly keys: readonly ShopKey[]; readonly end: Ask<EndKey> | null }) {
  return (
    <main className="mx-auto max-w-2xl px-4 py-10">
      <h1 className="mb-3 text-xl font-bold">Keys of certificates</h1>
      <p>
        Every certificate of this shop is signed with its key. The key’s mark, five groups of four, stands at the foot of the paper: it must
        be one of these, and the certificate’s date must lie within its time.
      </p>
      <ul className="my-4 border border-line bg-sheet">
        {keys.map((k) => (
          <li key={k.id} className="grid gap-2 border-b border-hair px-3 py-2 last:border-b-0">
            <div className="flex flex-wrap items-center justify-between gap-x-6">
              <b className="whitespace-nowrap">{sayKey(k.id)}</b>
              <span className="text-ink2">
                from {sayFullDate(k.fromAt)} {k.untilAt === null ? 'on' : `until ${sayFullDate(k.untilAt)}`}
              </span>
            </div>
            {end !== null && k.untilAt === null && <End id={k.id} end={end} />}
          </li>
        ))}
      </ul>
      <p>
        A certificate that came as a file is checked without this address: take{' '}
        <a className="font-bold text-act" href="/verify/keys.json" download>
          these keys as a file
        </a>{' '}
        and run <code>node scripts/verify.mjs --keys keys.json certificate.json</code>.
      </p>
    </main>
  );
}

/** Ends a key after a second press: it cannot be taken back. */
function End({ id, end }: { readonly id: string; readonly end: Ask<EndKey> }) {
  const router = useRouter();
  const { ask, asking, told } = useAsk();
  const [sure, setSure] = useState(false);
  if (!sure)
    return (
      <button type="button" className="btn-quiet justify-self-start" onClick={() => setSure(true)}>
        Replace this key
      </button>
    );
  return (
    <div className="grid gap-2">
      <p className="text-[13px]">
        What it has signed stays good; from now on a new key signs. Do this when somebody may have got at the data folder.
      </p>
      <button
        type="button"
        className="btn justify-self-start"
        disabled={asking}
        onClick={() => void ask(end, { id }).then((done) => done !== undefined && router.refresh())}
      >
        Replace it for good
      </button>
      <Told lines={told} />
    </div>
  );
}
