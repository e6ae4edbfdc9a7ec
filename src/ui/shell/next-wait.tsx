'use client';

import Link from 'next/link';
import { saySpan } from '@/core/quantity/say-time';
import { useNow } from './use-now';

export type Wait = { readonly tag: string; readonly label: string; readonly endsAt: number };

/** The next wait to end, with its unit; bold once it has rung. */
export function NextWait({ waits }: { readonly waits: readonly Wait[] }) {
  const now = useNow(waits.length > 0);
  const next = waits[0];
  if (next === undefined || now === undefined) return null;
  const over = next.endsAt <= now;
  return (
    <Link
      href={`/units/${next.tag}`}
      className={`flex min-h-11 items-center text-[#f3c16f] ${over ? 'font-bold' : ''}`}
      title={`${waits.length} running`}
    >
      {next.tag} {next.label} {over ? 'done' : saySpan(next.endsAt - now)}
    </Link>
  );
}
