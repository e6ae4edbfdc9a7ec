'use client';

import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { Side } from '@/core/close-up/side';
import type { Faces } from '@/core/family/facing';
import { type Seen, SidedPart, sidedWords } from '../drawing/sided';

/** A part with two sides is confirmed by choosing what one sees; a wrong choice stops and says why. Keys 1 to 3 choose. */
export function ChooseSide({
  name,
  side,
  even,
  busy,
  onRight,
}: {
  readonly name: string;
  readonly side: Side;
  readonly even: boolean;
  readonly busy: boolean;
  readonly onRight: (faces: Faces | null) => void;
}) {
  const [wrong, setWrong] = useState<Seen>();
  const choices: readonly Seen[] = even ? ['blind', 'open', 'even'] : ['blind', 'open'];
  const choose = (seen: Seen | undefined): void => {
    if (seen === undefined) return;
    if (seen === 'even') onRight(null);
    else if (seen === side.toward) onRight(seen);
    else setWrong(seen);
  };
  const keys = { useKey: true, enabled: !busy };
  useHotkeys('1', () => choose(choices[0]), keys);
  useHotkeys('2', () => choose(choices[1]), keys);
  useHotkeys('3', () => choose(choices[2]), keys);
  return (
    <div className="grid gap-3">
      <p className="text-lg leading-snug font-bold">Which of these do you have in front of you, open end to your left?</p>
      <div className={`grid gap-3 ${even ? 'grid-cols-3' : 'grid-cols-2'}`}>
        {choices.map((seen, i) => (
          <button
            key={seen}
            type="button"
            disabled={busy}
            onClick={() => choose(seen)}
            className={`grid min-h-32 place-items-center gap-1 border bg-sheet px-1 py-3 ${wrong === seen ? 'border-2 border-red' : 'border-line hover:border-act'}`}
          >
            <SidedPart what={side.what} seen={seen} size={84} />
            <span>
              <b>{i + 1}</b> {sidedWords(side.what, seen)}
            </span>
          </button>
        ))}
      </div>
      <p>{side.because}</p>
      {wrong !== undefined && (
        <p role="alert" className="border-l-4 border-red pl-3 text-red">
          Stop: the {name} is the wrong way round. Turn it.
        </p>
      )}
    </div>
  );
}
