'use client';

import { useState } from 'react';
import type { Role } from '@/core/people/role';
import type { Station } from '@/core/route/station';
import { SignOffBar } from '../unit/sign-off-bar';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';

/** A station whose work is done by hand and confirmed point by point, with a note of how. */
export function Confirm({
  target,
  station,
  points,
  noteLabel,
  suggested = '',
  text,
  unmet,
  role,
  open,
  signOff,
}: {
  readonly target: UnitTarget;
  readonly station: Station;
  readonly points: readonly string[];
  readonly noteLabel: string;
  /** A note that was worked out, until a person writes another. */
  readonly suggested?: string;
  readonly text: string;
  readonly unmet: readonly string[];
  readonly role: Role;
  readonly open: boolean;
  readonly signOff: SaveAction;
}) {
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const [typed, setNote] = useState<string>();
  const note = typed ?? suggested;
  if (!open) return <p className="text-ink2">{points.join(' ')}</p>;
  const left = points.filter((p) => !ticked.has(p)).map((p) => `Not ticked: ${p}`);
  return (
    <div className="grid max-w-2xl gap-3">
      <ul className="border border-line bg-sheet">
        {points.map((p) => (
          <li key={p} className="border-b border-hair last:border-b-0">
            <label className="flex min-h-12 cursor-pointer items-center gap-3 px-3">
              <input
                type="checkbox"
                className="size-5 shrink-0 accent-act"
                checked={ticked.has(p)}
                onChange={(e) => {
                  const next = new Set(ticked);
                  if (e.target.checked) next.add(p);
                  else next.delete(p);
                  setTicked(next);
                }}
              />
              {p}
            </label>
          </li>
        ))}
      </ul>
      <label className="label">
        {noteLabel}
        <input className="field text-ink" value={note} onChange={(e) => setNote(e.target.value)} />
      </label>
      <SignOffBar target={target} station={station} text={text} unmet={[...unmet, ...left]} role={role} signOff={signOff} note={note} />
    </div>
  );
}
