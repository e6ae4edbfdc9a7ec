'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { NO_LINE } from '../save/use-ask';

type Answer = {
  /** Of the life that was taken in. */
  readonly id?: string;
  /** What was done, where nothing else shows it. */
  readonly told?: readonly string[];
  readonly title?: string;
  readonly errors?: readonly { readonly path: string; readonly message: string }[];
};

/** Takes in a file of a unit that was in another shop, or the photos beside it. @param to where it is sent */
export function TakeForeign({ to, accept, text }: { readonly to: string; readonly accept: string; readonly text: string }) {
  const router = useRouter();
  const [told, setTold] = useState<{ readonly kind: 'done' | 'wrong'; readonly lines: readonly string[] }>({ kind: 'done', lines: [] });
  const take = async (file: File | undefined): Promise<void> => {
    if (file === undefined) return;
    const answer = await fetch(to, { method: 'POST', body: file }).catch(() => undefined);
    const said = (await answer?.json().catch(() => undefined)) as Answer | undefined;
    if (answer?.ok === true && said !== undefined) {
      setTold({ kind: 'done', lines: said.told ?? [] });
      if (said.id !== undefined) router.push(`/book/foreign?${new URLSearchParams({ life: said.id })}`);
      router.refresh();
    } else
      setTold({
        kind: 'wrong',
        lines: said?.title === undefined ? [NO_LINE] : [said.title, ...(said.errors ?? []).map((e) => `${e.path}: ${e.message}`)],
      });
  };
  return (
    <div>
      <label className="btn-quiet w-fit cursor-pointer focus-within:outline-2">
        {text}
        <input type="file" accept={accept} className="sr-only" onChange={(e) => void take(e.target.files?.[0])} />
      </label>
      {told.lines.map((t) => (
        <p key={t} role={told.kind === 'wrong' ? 'alert' : 'status'} className={`mt-1 ${told.kind === 'wrong' ? 'text-red' : ''}`}>
          {t}
        </p>
      ))}
    </div>
  );
}
