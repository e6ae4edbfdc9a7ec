'use client';

/** Something failed that is no fault of the person's: what it means for their work, and what to do. */
export function Trouble({ number, again }: { readonly number: string | null; readonly again: () => void }) {
  return (
    <main className="px-4 py-8">
      <h1 className="mb-2 text-xl font-bold">This page failed</h1>
      <p className="mb-2 max-w-xl text-ink2">
        Nothing that was saved is lost, and what you did not save was not half written. Try again; if it fails again, go on elsewhere and
        tell whoever looks after the program.
      </p>
      {number !== null && (
        <p className="mb-4">
          Its number in the log: <b>{number}</b>
        </p>
      )}
      <p className="flex flex-wrap gap-3">
        <button type="button" className="btn" onClick={again}>
          Try again
        </button>
        <a className="btn-quiet" href="/">
          To the rack
        </a>
      </p>
    </main>
  );
}
