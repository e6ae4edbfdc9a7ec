'use client';

import { CAUSE_NAMES, CAUSES, type CauseName } from '@/core/book-in/cause';
import type { Evidence, LikelyCause, NextTest } from '@/core/book-in/reason';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';
import { Causes } from './causes';

/** The likely causes of a unit that is in the shop; what is tested and found out stays with it. */
export function UnitCauses({
  target,
  likely,
  next,
  tests,
  confirmed,
  finished,
  find,
  open,
}: {
  readonly target: UnitTarget;
  readonly likely: readonly LikelyCause[];
  readonly next: readonly NextTest[];
  readonly tests: Evidence['tests'];
  readonly confirmed: readonly CauseName[];
  readonly finished: number;
  readonly find: SaveAction;
  readonly open: boolean;
}) {
  const { save, saving, acceptTheirs } = useSave(find, target);
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
          <select className="field mt-1" value="" onChange={(e) => void save({ about: 'cause', name: e.target.value, answer: 'yes' })}>
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
