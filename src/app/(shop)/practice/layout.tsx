import type { ReactNode } from 'react';
import { PlaceTabs } from '@/ui/shell/place-tabs';

const PLACES = [
  { href: '/practice', text: 'Practice' },
  { href: '/practice/cases', text: 'The shop’s own cases' },
  { href: '/practice/job', text: 'A whole job' },
  { href: '/practice/skills', text: 'Skills' },
] as const;

export default function PracticeLayout({ children }: { readonly children: ReactNode }) {
  return (
    <div className="max-w-5xl px-4 py-3">
      <PlaceTabs label="Practice" places={PLACES} />
      {children}
    </div>
  );
}
