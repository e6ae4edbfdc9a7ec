'use client';

import { useState } from 'react';
import type { Result } from '@/core/result';
import { type SaveError, saySaveError } from '@/core/unit/save-error';
import { saveBegins } from './unsaved';

/** A request that is no change to a unit. @typeParam I what its door takes */
export type Ask<I, T = unknown> = (input: I) => Promise<Result<T, SaveError>>;

/** For what is not a unit's: sends one request and keeps what stood in its way, in words. */
export function useAsk() {
  const [told, setTold] = useState<readonly string[]>([]);
  const [asking, setAsking] = useState(false);
  const ask = async <I, T>(action: Ask<I, T>, input: I): Promise<T | undefined> => {
    setAsking(true);
    const ends = saveBegins();
    const result = await action(input).catch(() => undefined);
    ends(result?.ok === true ? 'saved' : 'not-saved');
    setAsking(false);
    setTold(result === undefined ? ['No connection. Try again when it is back.'] : result.ok ? [] : saySaveError(result.error));
    return result?.ok === true ? result.value : undefined;
  };
  return { ask, asking, told };
}
