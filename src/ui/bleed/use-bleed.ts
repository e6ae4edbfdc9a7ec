'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { uuidv7 } from 'uuidv7';
import { saveBleedAction } from '@/app/actions/bleed';
import type { BleedEvent } from '@/core/bleed/bleed-event';
import type { BleedMethod } from '@/core/bleed/bleed-plan';
import type { System } from '@/core/bleed/system';
import { saySaveError } from '@/core/unit/save-error';
import { useDraft } from '../save/use-draft';

/** A bleed as this device keeps it. */
export type BleedDraft = {
  readonly id: string;
  readonly startedAt: number;
  readonly method: BleedMethod;
  readonly system: System;
  readonly events: readonly BleedEvent[];
  readonly changes: number;
};
/** Whether what was counted is stored. */
export type Sent = { readonly kind: 'saved' | 'sending' | 'no-line' } | { readonly kind: 'refused'; readonly why: readonly string[] };

const RETRY_MS = 4000;

/** A bleed that goes on through reloads and without a line: kept on this device with each press, for each who works at it, and sent as it changes. */
export function useBleed(personId: string) {
  const [draft, keep, drop] = useDraft<BleedDraft | null>(`bleed-${personId}`, null);
  const [sent, setSent] = useState<Sent>({ kind: 'sending' });
  const newest = useRef(draft);
  const busy = useRef(false);
  newest.current = draft;
  const send = useCallback(async (): Promise<void> => {
    if (busy.current) return;
    busy.current = true;
    for (let told = -1; newest.current !== null && newest.current.changes !== told; ) {
      const { changes, ...bleed } = newest.current;
      if (changes === 0) break;
      const answer = await saveBleedAction({ ...bleed, changes } as Parameters<typeof saveBleedAction>[0]).catch(() => undefined);
      if (answer?.ok === true) told = changes;
      else if (answer !== undefined) {
        setSent({ kind: 'refused', why: saySaveError(answer.error) });
        busy.current = false;
        return;
      } else {
        setSent({ kind: 'no-line' });
        await new Promise((wait) => setTimeout(wait, RETRY_MS));
      }
    }
    busy.current = false;
    setSent({ kind: 'saved' });
  }, []);
  const changes = draft?.changes ?? 0;
  useEffect(() => {
    if (changes > 0) void send();
  }, [changes, send]);
  const begin = (system: System, method: BleedMethod): void =>
    keep({ id: uuidv7(), startedAt: Date.now(), method, system, events: [], changes: 0 });
  const change = (events: readonly BleedEvent[]): void => {
    const now = newest.current;
    if (now === null) return;
    setSent({ kind: 'sending' });
    keep({ ...now, events, changes: now.changes + 1 });
  };
  const end = (): void => {
    keep(null);
    drop();
  };
  return { draft, sent, begin, change, end };
}
