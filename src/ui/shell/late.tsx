import { type ComponentType, lazy, Suspense } from 'react';

/** A part of the page that is fetched when it is first shown, so that pages stay light at the bench. Without a line it says so and the page stands. */
export function late<P extends object>(load: () => Promise<ComponentType<P>>): ComponentType<P> {
  const Part = lazy(async () => ({ default: await load().catch(() => NoLine as ComponentType<P>) }));
  return (props) => (
    <Suspense>
      <Part {...props} />
    </Suspense>
  );
}

const NoLine = () => (
  <p role="status" className="border-l-4 border-amber bg-sheet px-3 py-2 text-ink">
    No connection. Load the page again when it is back.
  </p>
);
