'use client';

import { useState } from 'react';
import { fail, type Result } from '@/core/result';
import { type SaveError, saySaveError } from '@/core/unit/save-error';
import { saveBegins } from './unsaved';
import { refusedByField } from './wrong-fields';

/** A request that is no change to a unit. @typeParam I what its schema takes */
export type Ask<I, T = unknown> = (input: I) => Promise<Result<T, SaveError>>;

/** Sends a request once; undefined where no answer came. */
export const sendOnce = async <I, T>(action: Ask<I, T>, input: I): Promise<Result<T, SaveError> | undefined> => {
  const wrong = refusedByField();
  if (wrong !== undefined) return fail({ code: 'refused', reasons: [wrong] });
  const ends = saveBegins();
  const result = await action(input).catch(() => undefined);
  ends(result?.ok === true ? 'saved' : 'not-saved');
  return result;
};
export const NO_LINE = 'No connection. Try again when it is back.';

/** For what is not a unit's: sends one request and keeps what stood in its way, in words. */
export function useAsk() {
  const [told, setTold] = useState<readonly string[]>([]);
  const [asking, setAsking] = useState(false);
  const ask = async <I, T>(action: Ask<I, T>, input: I): Promise<T | undefined> => {
    setAsking(true);
    const result = await sendOnce(action, input);
    setAsking(false);
    setTold(result === undefined ? [NO_LINE] : result.ok ? [] : saySaveError(result.error));
    return result?.ok === true ? result.value : undefined;
  };
  return { ask, asking, told };
}
