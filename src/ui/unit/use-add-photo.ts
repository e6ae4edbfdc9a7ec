'use client';

import { useState } from 'react';
import { uuidv7 } from 'uuidv7';

export type AddPhoto = (form: FormData) => Promise<{ readonly ok: boolean }>;

/** Sends a photo of a unit, or of one of its parts, and says how that went. */
export function useAddPhoto(unitId: string, addPhoto: AddPhoto) {
  const [note, setNote] = useState('');
  const send = async (file: File | undefined, caption: string, partId?: string): Promise<void> => {
    if (file === undefined) return;
    setNote('Sending the photo');
    const form = new FormData();
    form.set('eventId', uuidv7());
    form.set('unitId', unitId);
    form.set('caption', caption);
    form.set('file', file);
    if (partId !== undefined) form.set('partId', partId);
    try {
      setNote((await addPhoto(form)).ok ? '' : 'Not saved: that file is not a picture of at most 10 MB.');
    } catch {
      setNote('No connection: the photo was not sent. Choose it again when the line is back.');
    }
  };
  return { send, note };
}
