'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { NO_LINE } from '../save/use-ask';

/** Takes in the file of a unit that was in another shop. */
export function TakeForeign() {
  const router = useRouter();
  const [told, setTold] = useState<readonly string[]>([]);
  const take = async (file: File | undefined): Promise<void> => {
    if (file === undefined) return;
    const answer = await fetch('/api/v1/book/foreign', { method: 'POST', body: file }).catch(() => undefined);
    const said = (await answer?.json().catch(() => undefined)) as
      | { readonly id?: string; readonly title?: string; readonly errors?: readonly { readonly path: string; readonly message: string }[] }
      | undefined;
    if (said?.id !== undefined) {
      setTold([]);
      router.push(`/book/foreign?${new URLSearchParams({ life: said.id })}`);
      router.refresh();
    } else setTold(said?.title === undefined ? [NO_LINE] : [said.title, ...(said.errors ?? []).map((e) => `${e.path}: ${e.message}`)]);
  };
  return (
    <div>
      <label className="btn-quiet w-fit cursor-pointer focus-within:outline-2">
        Take a unit’s file in
        <input type="file" accept="application/json,.json" className="sr-only" onChange={(e) => void take(e.target.files?.[0])} />
      </label>
      {told.map((t) => (
        <p key={t} role="alert" className="mt-1 text-red">
          {t}
        </p>
      ))}
    </div>
  );
}
