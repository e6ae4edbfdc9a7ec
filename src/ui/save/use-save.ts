'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { uuidv7 } from 'uuidv7';
import type { Result } from '@/core/result';
import type { SaveError } from '@/core/wire/save-error';

export type Saving =
  | { readonly kind: 'idle' }
  | { readonly kind: 'saving' }
  /** The line is down: what was typed waits here and is sent again by itself. */
  | { readonly kind: 'offline' }
  | { readonly kind: 'failed'; readonly error: SaveError };

const RETRY_MS = 3000;

/**
 * Sends a change and keeps it until it has arrived. Each save has an id of its own, so that sending it again cannot apply it twice.
 * Saves of one screen go one after another, each with the version that the one before it made.
 */
export function useSave<I, O extends { readonly version: number }>(
  action: (input: never) => Promise<Result<O, SaveError>>,
  target: { readonly unitId: string; readonly version: number },
) {
  const [saving, setSaving] = useState<Saving>({ kind: 'idle' });
  const version = useRef(target.version);
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  useEffect(() => {
    version.current = Math.max(version.current, target.version);
  }, [target.version]);
  const save = useCallback(
    (input: I, eventId = uuidv7()): Promise<Result<O, SaveError>> => {
      const send = async (): Promise<Result<O, SaveError>> => {
        setSaving({ kind: 'saving' });
        for (;;) {
          try {
            const result = await action({ ...input, eventId, unitId: target.unitId, version: version.current } as never);
            if (result.ok) version.current = Math.max(version.current, result.value.version);
            setSaving(result.ok ? { kind: 'idle' } : { kind: 'failed', error: result.error });
            return result;
          } catch (error) {
            // Next's own redirects travel as errors; anything else here is the line.
            if (typeof (error as { digest?: unknown }).digest === 'string') throw error;
            setSaving({ kind: 'offline' });
            await new Promise((resolve) => setTimeout(resolve, RETRY_MS));
          }
        }
      };
      const turn = queue.current.then(send);
      queue.current = turn.catch(() => undefined);
      return turn;
    },
    [action, target.unitId],
  );
  /** After a clash: take the newer version as what the next save starts from. */
  const acceptTheirs = useCallback((theirs: number) => {
    version.current = theirs;
    setSaving({ kind: 'idle' });
  }, []);
  return { save, saving, acceptTheirs };
}
