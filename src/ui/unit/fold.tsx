'use client';

import { type ReactNode, useState } from 'react';

/** A part of the ledger that opens at a press; what is in it is made, and fetched, only then. */
export function Fold({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  const [open, setOpen] = useState(false);
  return (
    <details className="mb-4 border-t border-hair pt-2" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="min-h-9 cursor-pointer font-bold text-ink2">{title}</summary>
      {open && children}
    </details>
  );
}
