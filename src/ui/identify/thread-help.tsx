'use client';

import { useState } from 'react';
import { sayLength } from '@/core/quantity/say';
import { SEAT_NAMES, SEATS, threadsLike } from '@/core/quantity/thread';
import { Choices } from '../field/choices';
import { LengthField } from '../field/quantity-field';
import { useUnits } from '../shell/units-context';

/** Which thread a screw or a port has, by its size and pitch, and which flare the port's seat takes. */
export function ThreadHelp({ onTake }: { readonly onTake: (thread: string) => void }) {
  const units = useUnits();
  const [of, setOf] = useState<'screw' | 'port'>('screw');
  const [diaMm, setDia] = useState<number | null>(null);
  const [overTen, setOverTen] = useState<number | null>(null);
  const guesses = diaMm === null ? [] : threadsLike({ of, diaMm, pitchMm: overTen === null ? null : overTen / 10 });
  return (
    <details className="mt-2 border-t border-hair pt-2">
      <summary className="min-h-9 cursor-pointer font-bold text-act">Which thread is it?</summary>
      <div className="grid gap-2">
        <Choices
          label="Measured across"
          options={[
            { value: 'screw', text: 'a screw or nut' },
            { value: 'port', text: 'the port' },
          ]}
          value={of}
          onPick={setOf}
        />
        <LengthField label={`Across its crests, ${units.length}`} say="typing" value={diaMm} onSay={setDia} />
        <LengthField label={`Over ten turns, ${units.length}`} say="typing" value={overTen} onSay={setOverTen} />
        {diaMm !== null && guesses.length === 0 && (
          <p className="text-amber">None of the usual threads comes near: measure again on clean crests.</p>
        )}
        {guesses.slice(0, 5).map(({ thread }) => (
          <p key={thread.name} className="flex items-center gap-2">
            <span>
              <b>{thread.name}</b>
              <span className="block text-[13px] text-ink2">
                {thread.system === 'metric' ? 'metric fine' : 'inch fine'}, ten turns {sayLength(thread.pitchMm * 10, units)}
              </span>
            </span>
            <button type="button" className="btn-quiet ml-auto" onClick={() => onTake(thread.name)}>
              Take it
            </button>
          </p>
        ))}
        {guesses.length > 1 && (
          <p className="border-l-4 border-amber pl-3 text-[13px]">
            A near thread goes in two turns and then tears the other. Try by fingers only, and count the turns.
          </p>
        )}
        <p className="text-[13px] font-bold text-ink2">What is at the bottom of the port</p>
        {SEAT_NAMES.map((s) => (
          <p key={s} className="flex gap-2 text-[13px]">
            <svg width="44" height="34" viewBox="0 0 44 34" aria-hidden="true" className="shrink-0">
              <path d="M2 2V32H42V2" fill="none" stroke="var(--ink)" strokeWidth="1.5" />
              <path d="M2 6h5l-3 4h3l-3 4h3M42 6h-5l3 4h-3l3 4h-3" fill="none" stroke="var(--ink2)" />
              <path
                d={s === 'cone-out' ? 'M10 32 18 18h8l8 14Z' : s === 'cone-in' ? 'M7 20 18 32h8L37 20V32H7Z' : 'M7 28H37v4H7Z'}
                fill="var(--tint)"
                stroke="var(--act)"
              />
            </svg>
            <span>
              {SEATS[s].see}: <b>{SEATS[s].takes}</b>
            </span>
          </p>
        ))}
      </div>
    </details>
  );
}
