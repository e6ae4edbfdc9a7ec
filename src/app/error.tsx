'use client';

import { Trouble } from '@/ui/shell/trouble';

/** A page that failed, inside the shop's own frame. */
export default function PageFailed({ error, reset }: { readonly error: Error & { readonly digest?: string }; readonly reset: () => void }) {
  return <Trouble number={error.digest ?? null} again={reset} />;
}
