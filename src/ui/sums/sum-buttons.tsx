'use client';

import type { ReactNode } from 'react';

/** What one does with a sum: take it along as text, or on paper. */
export const SumButtons = ({ text, children }: { readonly text: string; readonly children?: ReactNode }) => (
  <div className="flex flex-wrap gap-2 print:hidden">
    <button type="button" className="btn-quiet" onClick={() => void navigator.clipboard.writeText(text)}>
      Copy as text
    </button>
    <button type="button" className="btn-quiet" onClick={() => window.print()}>
      Print
    </button>
    {children}
  </div>
);
