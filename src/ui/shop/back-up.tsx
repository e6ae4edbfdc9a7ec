'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { startBackupAction } from '@/app/actions/backup';
import type { BackupState } from '@/core/shop/backup';
import { Told } from '../save/told';
import { useAsk } from '../save/use-ask';

/** How often the page asks how far a backup is, ms. */
const ASK_EVERY_MS = 700;

/** The button that makes a backup, and how far it is. */
export function BackUp({ state, open }: { readonly state: BackupState | null; readonly open: boolean }) {
  const router = useRouter();
  const { ask, asking, told } = useAsk();
  const running = state !== null;
  useEffect(() => {
    if (!running) return;
    const clock = setInterval(() => router.refresh(), ASK_EVERY_MS);
    return () => clearInterval(clock);
  }, [running, router]);
  return (
    <div className="grid max-w-xl gap-2">
      {open && (
        <button type="button" className="btn w-fit" disabled={asking || running} onClick={() => void ask(startBackupAction, {})}>
          Make a backup now
        </button>
      )}
      {state !== null && (
        <div role="status">
          <progress className="h-3 w-full accent-act" value={state.part} max={1} aria-label="Backup" />
          <p className="text-ink2">
            {Math.round(state.part * 100)} %, {state.doing}
          </p>
        </div>
      )}
      <Told lines={told} />
    </div>
  );
}
