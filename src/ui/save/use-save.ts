'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useRef, useState } from 'react';
import { uuidv7 } from 'uuidv7';
import { fail } from '@/core/result';
import type { Target } from '@/core/schema/target';
import type { SaveError } from '@/core/unit/save-error';
import { useStation } from '../unit/station-context';
import type { Payload, SaveAction } from '../unit/unit-actions';
import { saveBegins, UNANSWERED } from './unsaved';
import { refusedByField } from './wrong-fields';

export type Saving =
  | { readonly kind: 'idle' }
  | { readonly kind: 'saving' }
  /** The line is down: what was typed waits here and is sent again by itself. */
  | { readonly kind: 'offline' }
  /** `mine`: what was to be saved. */
  | { readonly kind: 'failed'; readonly error: SaveError; readonly mine?: object };
/** After a clash: the own change goes over theirs, or is given up. */
export type Decide = (which: 'keep-mine' | 'take-theirs') => void;

const RETRY_MS = 3000;

/** The version of each unit that this page knows of: what it showed, and what its own saves made. Shared by all that saves on it. */
const known = new Map<string, number>();
/** Saves of one unit from this page go one after another, from whatever part of it: else the second would clash with the first. */
const queues = new Map<string, Promise<unknown>>();
const learn = (unitId: string, version: number): void => void known.set(unitId, Math.max(known.get(unitId) ?? 0, version));

/**
 * Sends a change to the unit of the page and keeps it until it has arrived. Each save has an id of its own, so that sending it again cannot apply it twice.
 * @param kind `adds`: it clashes with nothing, so the server does not ask what was seen; then its answer says nothing about what others did in between
 */
export function useSave<I>(action: SaveAction<I>, kind: 'rests' | 'adds' = 'rests') {
  const { target } = useStation();
  const router = useRouter();
  const [saving, setSaving] = useState<Saving>({ kind: 'idle' });
  /** What a clash that stands waits for. */
  const clash = useRef<Decide>(undefined);
  const again = useRef<(input: Payload<I>) => ReturnType<SaveAction<I>>>(async () => fail({ code: 'no-such-unit' }));
  useEffect(() => {
    learn(target.unitId, target.version);
  }, [target.unitId, target.version]);
  const save = useCallback(
    (input: Payload<I>, eventId = uuidv7()): ReturnType<SaveAction<I>> => {
      const wrong = refusedByField();
      if (wrong !== undefined) {
        const error = { code: 'refused' as const, reasons: [wrong] };
        setSaving({ kind: 'failed', error });
        return Promise.resolve(fail(error));
      }
      const send = async (): ReturnType<SaveAction<I>> => {
        setSaving({ kind: 'saving' });
        const ends = saveBegins();
        for (;;) {
          try {
            const version = known.get(target.unitId) ?? target.version;
            const result = await action(whole(input, { eventId, unitId: target.unitId, version }));
            if (result.ok && (kind === 'rests' || result.value.version === version + 1)) learn(target.unitId, result.value.version);
            setSaving(result.ok ? { kind: 'idle' } : { kind: 'failed', error: result.error, mine: input as object });
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
      // A clash is not over until the person has decided: whoever waits for the save waits for that.
      return turn.then((result) => {
        if (result.ok || result.error.code !== 'stale') return result;
        const { theirs } = result.error;
        clash.current?.('take-theirs');
        return new Promise((resolve) => {
          clash.current = (which) => {
            clash.current = undefined;
            if (which === 'keep-mine') learn(target.unitId, theirs.version);
            resolve(which === 'keep-mine' ? again.current(input) : result);
          };
        });
      });
    },
    [action, target.unitId, target.version, kind],
  );
  useEffect(() => {
    again.current = save;
  }, [save]);
  const decide: Decide = useCallback(
    (which) => {
      clash.current?.(which);
      if (which === 'keep-mine') return;
      setSaving({ kind: 'idle' });
      router.refresh();
    },
    [router],
  );
  return { save, saving, decide };
}

/** A change as its schema takes it: what a page gave, and what all changes carry. Leaving a target out of it and putting one in again gives the same type. */
const whole = <I>(input: Payload<I>, target: Target): I => ({ ...input, ...target }) as unknown as I;
