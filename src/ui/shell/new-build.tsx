'use client';

import { usePathname } from 'next/navigation';
import { useEffect, useState } from 'react';
import { isLeft, isTypedInto, isUnsaved, UNANSWERED } from '../save/unsaved';

/** How often a page asks which build answers, ms. */
const ASK_EVERY_MS = 300_000;

/**
 * A page that was opened under an earlier build cannot save any more once another one answers: it is loaded anew when nothing on it is
 * unsaved; else it says so and leaves the moment to the person.
 * @param build the build that made this page
 */
export function NewBuild({ build }: { readonly build: string }) {
  const path = usePathname();
  const [newer, setNewer] = useState(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another path is another page.
  useEffect(isLeft, [path]);
  useEffect(() => {
    const ask = async (): Promise<void> => {
      const answer = await fetch('/api/v1/build', { cache: 'no-store' }).catch(() => undefined);
      const now = answer?.ok === true ? ((await answer.json()) as { readonly build: string }).build : build;
      if (now === build) return;
      if (isUnsaved()) setNewer(true);
      else location.reload();
    };
    const clock = setInterval(() => void ask(), ASK_EVERY_MS);
    const onFocus = () => void ask();
    addEventListener('focus', onFocus);
    addEventListener(UNANSWERED, onFocus);
    document.addEventListener('input', isTypedInto);
    return () => {
      clearInterval(clock);
      removeEventListener('focus', onFocus);
      removeEventListener(UNANSWERED, onFocus);
      document.removeEventListener('input', isTypedInto);
    };
  }, [build]);
  return newer ? (
    <p role="alert" className="flex w-full flex-wrap items-center gap-3 bg-amber px-4 py-2 text-on-act">
      <b>The program was renewed while this page was open.</b> It cannot save any more: note what you typed, then load it again.
      <button type="button" className="btn-quiet" onClick={() => location.reload()}>
        Load again
      </button>
    </p>
  ) : null;
}
