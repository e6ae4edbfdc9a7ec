import type { Metadata } from 'next';
import { Go } from '@/ui/shell/go';

export const metadata: Metadata = { title: 'Sums' };

const SUMS = [
  ['/sums/gap', 'Pushrod gap', 'Four depths, the gap they leave, and what to turn.'],
  ['/kits/identify', 'What is this unit?', 'What can be measured, the fitments it may be, and what to measure next; threads and seats.'],
] as const;

export default function SumsPage() {
  return (
    <div className="max-w-4xl px-4 py-4">
      <h1 className="mb-3 text-xl font-bold">Sums</h1>
      <ul className="border border-line bg-sheet">
        {SUMS.map(([href, name, what]) => (
          <li key={href} className="border-b border-hair px-3 py-1 last:border-b-0">
            <Go href={href} className="inline-flex min-h-[44px] items-center font-bold text-act">
              {name}
            </Go>
            <p className="text-ink2">{what}</p>
          </li>
        ))}
      </ul>
    </div>
  );
}
