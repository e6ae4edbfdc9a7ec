import type { Metadata } from 'next';
import { Go } from '@/ui/shell/go';

export const metadata: Metadata = { title: 'Not here' };

export default function NotFound() {
  return (
    <main className="px-4 py-8">
      <h1 className="mb-2 text-xl font-bold">Nothing lies at this address</h1>
      <p className="mb-4 max-w-xl text-ink2">
        A tag may be mistyped, or the page has moved. Units turn up by tag, machine, customer, or the marks on their casting.
      </p>
      <p className="flex flex-wrap gap-3">
        <Go className="btn-quiet" href="/">
          To the rack
        </Go>
        <Go className="btn-quiet" href="/find">
          Find a unit
        </Go>
      </p>
    </main>
  );
}
