'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';

const SOON_MS = 1000;

/** The plan that is shown is being made again: the page is asked anew soon. */
export function MadeAgain() {
  const router = useRouter();
  useEffect(() => {
    const soon = setTimeout(() => router.refresh(), SOON_MS);
    return () => clearTimeout(soon);
  }, [router]);
  return (
    <p role="status" className="border-l-4 border-amber bg-sheet px-3 py-1">
      Something has changed: the plan is being made again.
    </p>
  );
}
