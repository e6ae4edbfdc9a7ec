'use client';

import { findAction } from '@/app/actions/book-in';
import { CAUSE_NAMES, CAUSES, type CauseName } from '@/core/book-in/cause';
import type { UnitCauses as CausesOfUnit } from '@/core/unit/unit-causes';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useRead } from '../shell/reads';
import { useStation } from '../unit/station-context';
import { Causes } from './causes';

/** The likely causes of a unit that is in the shop, worked out when they are looked at; what is tested and found out stays with it. */
export function UnitCauses({ open }: { readonly open: boolean }) {
  const { target, tag } = useStation();
  const { save, saving, decide } = useSave(findAction);
  const { data: known, isError } = useRead<CausesOfUnit>(`/api/v1/units/${tag}/causes?v=${target.version}`);
  if (isError) return <p role="status">No connection. Load the page again when it is back.</p>;
  if (known === undefined) return <p className="text-ink2">Working it out …</p>;
  const { likely, next, tests, confirmed, finished } = known;
  return (
    <div>
      <SaveNote saving={saving} onDecide={decide} />
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
