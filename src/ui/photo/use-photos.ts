'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useRef, useState } from 'react';
import { uuidv7 } from 'uuidv7';
import type { Photo, PhotoSubject } from '@/core/unit/photo';
import { LARGEST_FILE_MB, shrink } from './shrink';

/** One photo on its way. It keeps its id over retries, so that it cannot arrive twice. */
export type Sending = {
  readonly id: string;
  readonly name: string;
  readonly state: 'waiting' | 'sending' | 'no-connection' | 'refused';
  readonly why: string;
};

const RETRY_MS = 3000;

type Job = { readonly id: string; readonly file: File; readonly caption: string; readonly on: PhotoSubject };

/** Sends photos of a unit one after another, made small first; what the line drops is sent again, what is refused says why. */
export function usePhotos(unitId: string, phase: Photo['phase']) {
  const router = useRouter();
  const [sending, setSending] = useState<readonly Sending[]>([]);
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  const mark = useCallback(
    (id: string, state: Sending['state'], why = ''): void => setSending((all) => all.map((s) => (s.id === id ? { ...s, state, why } : s))),
    [],
  );
  const send = useCallback(
    (files: readonly File[], on: PhotoSubject, caption?: string): Promise<unknown> => {
      const jobs = files.map((file): Job => ({ id: uuidv7(), file, caption: caption ?? file.name.replace(/\.\w+$/, ''), on }));
      setSending((all) => [
        ...all.filter((s) => s.state !== 'refused'),
        ...jobs.map((j): Sending => ({ id: j.id, name: j.file.name, state: 'waiting', why: '' })),
      ]);
      for (const job of jobs) {
        queue.current = queue.current.then(async () => {
          mark(job.id, 'sending');
          const refusal = await sendOne(job, unitId, phase, () => mark(job.id, 'no-connection'));
          if (refusal !== undefined) return mark(job.id, 'refused', refusal);
          setSending((all) => all.filter((s) => s.id !== job.id));
          router.refresh();
        });
      }
      return queue.current;
    },
    [unitId, phase, mark, router],
  );
  return { send, sending };
}

/** @returns why it was refused; undefined once it has arrived */
const sendOne = async (job: Job, unitId: string, phase: Photo['phase'], onDropped: () => void): Promise<string | undefined> => {
  if (job.file.size > LARGEST_FILE_MB * 1024 * 1024)
    return `${(job.file.size / 1024 / 1024).toFixed(0)} MB: a photo is at most ${LARGEST_FILE_MB} MB.`;
  const form = new FormData();
  for (const [name, value] of Object.entries({
    eventId: job.id,
    unitId,
    caption: job.caption.slice(0, 120),
    onKind: job.on.kind,
    onId: job.on.id,
    phase,
  }))
    form.set(name, value);
  form.set('file', await shrink(job.file), job.file.name);
  for (;;) {
    const answer = await fetch('/photos', { method: 'POST', body: form }).catch(() => undefined);
    if (answer?.ok === true) return undefined;
    if (answer !== undefined && answer.status < 500) return whyRefused(answer);
    onDropped();
    await new Promise((resolve) => setTimeout(resolve, RETRY_MS));
  }
};

const whyRefused = async (answer: Response): Promise<string> => {
  const body: unknown = await answer.json().catch(() => undefined);
  const title = typeof body === 'object' && body !== null && 'title' in body ? String(body.title) : '';
  return title === '' ? `It was refused (${answer.status}).` : title;
};
