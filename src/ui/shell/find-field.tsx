'use client';

import { useRouter } from 'next/navigation';
import { useRef } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { SIGN } from './keys';

/** Finds a unit by tag, machine, customer or casting mark. `/` goes to it. */
export function FindField() {
  const router = useRouter();
  const input = useRef<HTMLInputElement>(null);
  useHotkeys('/', () => input.current?.focus(), SIGN);
  return (
    <search className="max-w-72 min-w-24 flex-1">
      <form
        onSubmit={(e) => {
          e.preventDefault();
          router.push(`/find?q=${encodeURIComponent(input.current?.value ?? '')}`);
        }}
      >
        <input
          ref={input}
          name="q"
          aria-label="Find a unit"
          title="Find (/)"
          placeholder="Tag, machine, name  /"
          className="min-h-9 w-full border border-[#48565a] bg-[#20292c] px-2.5 text-ellipsis text-on-bar placeholder:text-on-bar2"
        />
      </form>
    </search>
  );
}
