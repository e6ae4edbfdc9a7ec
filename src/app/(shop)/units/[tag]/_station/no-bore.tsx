import type { ReactNode } from 'react';
import { StationFrame } from '@/ui/unit/station-frame';

export const NoBore = ({ ledger }: { readonly ledger: ReactNode }) => (
  <StationFrame title="NO BORE" ledger={ledger}>
    <p className="border border-dashed border-line p-8 text-center text-ink2">It has no bore: its tray, photos and records are at Strip.</p>
  </StationFrame>
);
