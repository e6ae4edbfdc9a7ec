'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { beginsLikeTag, scannedTag } from '@/core/unit/scanned-tag';

/** No hand types two keys so close together, ms; a scanner does. */
const BY_MACHINE_MS = 40;

/** A scanner types a label's tag, or its address, and Enter: on any page that opens the unit. What it typed into a field is taken out again. */
export function Scanner() {
  const router = useRouter();
  useEffect(() => {
    let [typed, lastAt] = ['', Number.NEGATIVE_INFINITY];
    const onKey = (e: KeyboardEvent): void => {
      // A field that takes a tag gets it.
      if (document.activeElement?.matches('[data-takes-tag]') === true) return;
      const fast = e.timeStamp - lastAt < BY_MACHINE_MS;
      lastAt = e.timeStamp;
      if (e.key === 'Enter') {
        const [scanned, tag] = [typed, fast ? scannedTag(typed) : undefined];
        typed = '';
        if (tag === undefined) return;
        e.preventDefault();
        e.stopPropagation();
        takeBack(scanned);
        router.push(`/units/${tag}`);
        return;
      }
      if (e.key.length !== 1) return;
      typed = fast ? typed + e.key : e.key;
      // Its letters are no keys of ours.
      if (beginsLikeTag(typed)) e.stopPropagation();
    };
    // Before any field or key of the page hears it.
    addEventListener('keydown', onKey, { capture: true });
    return () => removeEventListener('keydown', onKey, { capture: true });
  }, [router]);
  return null;
}

const takeBack = (scanned: string): void => {
  const field = document.activeElement;
  if (!(field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement) || !field.value.endsWith(scanned)) return;
  // As if it had been deleted by hand, for whoever listens to the field.
  const set = Object.getOwnPropertyDescriptor(Object.getPrototypeOf(field), 'value')?.set;
  set?.call(field, field.value.slice(0, -scanned.length));
  field.dispatchEvent(new Event('input', { bubbles: true }));
};
