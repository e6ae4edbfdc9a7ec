'use client';

import { useEffect, useState } from 'react';
import type { Find } from '@/core/book-in/book-in-doors';
import { CAUSE_NAMES, CAUSES, type CauseName } from '@/core/book-in/cause';
import type { UnitCauses as CausesOfUnit } from '@/core/unit/unit-causes';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';
import { Causes } from './causes';

/** The likely causes of a unit that is in the shop, worked out when they are looked at; what is tested and found out stays with it. */
export function UnitCauses({
  target,
  tag,
  find,
  open,
}: {
  readonly target: UnitTarget;
  readonly tag: string;
  readonly find: SaveAction<Find>;
  readonly open: boolean;
}) {
  const { save, saving, acceptTheirs } = useSave(find, target);
  const [known, setKnown] = useState<CausesOfUnit | 'waiting' | 'no line'>('waiting');
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is likely follows from what the unit's version holds
  useEffect(() => {
    const ask = async (): Promise<void> => setKnown((await (await fetch(`/api/v1/units/${tag}/causes`)).json()) as CausesOfUnit);
    ask().catch(() => setKnown('no line'));
  }, [tag, target.version]);
  if (known === 'waiting') return <p className="text-ink2">Working it out …</p>;
  if (known === 'no line') return <p role="status">No connection. Load the page again when it is back.</p>;
  const { likely, next, tests, confirmed, finished } = known;
  return (
    <div>
      <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
      <Causes
        likely={likely}
        next={next}
        tests={tests}
        finished={finished}
        onTest={open ? (name, answer) => void save({ about: 'test', name, answer }) : undefined}
        onCause={open ? (name, answer) => void save({ about: 'cause', name, answer }) : undefined}
        confirmed={confirmed}
      />
      {open && (
        <label className="label mt-2 max-w-md">
          It was something else
          <select
            className="field mt-1"
            value=""
            onChange={(e) => void save({ about: 'cause', name: e.target.value as CauseName, answer: 'yes' })}
          >
            <option value="" disabled>
              {confirmed.length === 0 ? 'choose' : confirmed.map((c) => CAUSES[c].label).join(', ')}
            </option>
            {CAUSE_NAMES.filter((c) => !confirmed.includes(c)).map((c) => (
              <option key={c} value={c}>
                {CAUSES[c].label}
              </option>
            ))}
          </select>
        </label>
      )}
    </div>
  );
}
