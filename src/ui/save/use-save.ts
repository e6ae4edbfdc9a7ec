'use client';

import { useCallback, useEffect, useState } from 'react';
import { uuidv7 } from 'uuidv7';
import type { Target } from '@/core/schema/target';
import type { SaveError } from '@/core/unit/save-error';
import type { Payload, SaveAction, UnitTarget } from '../unit/unit-actions';
import { saveBegins, UNANSWERED } from './unsaved';

export type Saving =
  | { readonly kind: 'idle' }
  | { readonly kind: 'saving' }
  /** The line is down: what was typed waits here and is sent again by itself. */
  | { readonly kind: 'offline' }
  | { readonly kind: 'failed'; readonly error: SaveError };

const RETRY_MS = 3000;

/** The version of each unit that this page knows of: what it showed, and what its own saves made. Shared by all that saves on it. */
const known = new Map<string, number>();
/** Saves of one unit from this page go one after another, from whatever part of it: else the second would clash with the first. */
const queues = new Map<string, Promise<unknown>>();
const learn = (unitId: string, version: number): void => void known.set(unitId, Math.max(known.get(unitId) ?? 0, version));

/**
 * Sends a change and keeps it until it has arrived. Each save has an id of its own, so that sending it again cannot apply it twice.
 * @param kind `adds`: it clashes with nothing, so the server does not ask what was seen; then its answer says nothing about what others did in between
 */
export function useSave<I>(action: SaveAction<I>, target: UnitTarget, kind: 'rests' | 'adds' = 'rests') {
  const [saving, setSaving] = useState<Saving>({ kind: 'idle' });
  useEffect(() => {
    learn(target.unitId, target.version);
  }, [target.unitId, target.version]);
  const save = useCallback(
    (input: Payload<I>, eventId = uuidv7()): ReturnType<SaveAction<I>> => {
      const send = async (): ReturnType<SaveAction<I>> => {
        setSaving({ kind: 'saving' });
        const ends = saveBegins();
        for (;;) {
          try {
            const version = known.get(target.unitId) ?? target.version;
            const result = await action(whole(input, { eventId, unitId: target.unitId, version }));
            if (result.ok && (kind === 'rests' || result.value.version === version + 1)) learn(target.unitId, result.value.version);
            setSaving(result.ok ? { kind: 'idle' } : { kind: 'failed', error: result.error });
            ends(result.ok ? 'saved' : 'not-saved');
            return result;
          } catch (error) {
            // Next's own redirects travel as errors; anything else here is the line.
            if (typeof (error as { digest?: unknown }).digest === 'string') {
              ends('not-saved');
              throw error;
            }
            setSaving({ kind: 'offline' });
            dispatchEvent(new Event(UNANSWERED));
            await new Promise((resolve) => setTimeout(resolve, RETRY_MS));
          }
        }
      };
      const turn = (queues.get(target.unitId) ?? Promise.resolve()).then(send);
      queues.set(
        target.unitId,
        turn.catch(() => undefined),
      );
      return turn;
    },
    [action, target.unitId, target.version, kind],
  );
  /** After a clash: take the newer version as what the next save starts from. */
  const acceptTheirs = useCallback(
    (theirs: number) => {
      learn(target.unitId, theirs);
      setSaving({ kind: 'idle' });
    },
    [target.unitId],
  );
  return { save, saving, acceptTheirs };
}

/** A change as its door takes it: what a page gave, and what all changes carry. Leaving a target out of it and putting one in again gives the same type. */
const whole = <I>(input: Payload<I>, target: Target): I => ({ ...input, ...target }) as unknown as I;
