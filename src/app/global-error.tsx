'use client';

import { LANGUAGE } from '@/core/locale';
import { Trouble } from '@/ui/shell/trouble';
import './globals.css';

/** The frame itself failed: a page of its own, with nothing that the content policy would refuse. */
export default function ShopFailed({ error, reset }: { readonly error: Error & { readonly digest?: string }; readonly reset: () => void }) {
  return (
    <html lang={LANGUAGE}>
      <body>
        <Trouble number={error.digest ?? null} again={reset} />
      </body>
    </html>
  );
}
