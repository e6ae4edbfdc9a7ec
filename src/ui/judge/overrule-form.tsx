'use client';

import { useState } from 'react';
import type { OverruleVerdict } from '@/core/judge/judge-doors';
import { OVERRULINGS } from '@/core/judge/overrule';
import type { Units } from '@/core/quantity/units';
import { OUTCOME_WORDS } from '../drawing/verdict-sign';
import { LengthField } from '../field/quantity-field';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';

/** A lead decides against the arithmetic. Both stay on record, and both go on the certificate. */
export function OverruleForm({
  target,
  units,
  overrule,
}: {
  readonly target: UnitTarget;
  readonly units: Units;
  readonly overrule: SaveAction<OverruleVerdict>;
}) {
  const { save, saving, acceptTheirs } = useSave(overrule, target);
  const [outcome, setOutcome] = useState<(typeof OVERRULINGS)[number]>('reuse');
  const [targetDiaMm, setTarget] = useState<number | null>(null);
  const [reason, setReason] = useState('');
  return (
    <div className="grid gap-2 pt-2">
      <p>The judgement stays beside it, and both go on the certificate. A maker’s limit is never passed.</p>
      <div className="flex flex-wrap items-end gap-2">
        <label className="label mb-0">
          It is to be
          <select className="field w-32" value={outcome} onChange={(e) => setOutcome(e.target.value as typeof outcome)}>
            {OVERRULINGS.map((o) => (
              <option key={o} value={o}>
                {OUTCOME_WORDS[o].toLowerCase()}
              </option>
            ))}
          </select>
        </label>
        {outcome === 'hone' && (
          <LengthField
            label={`To, ${units.length}`}
            fine
            className="w-28"
            say="typing"
            value={targetDiaMm}
            units={units}
            onSay={setTarget}
          />
        )}
      </div>
      <input
        className="field"
        aria-label="Reason for deciding otherwise"
        placeholder="Reason"
        value={reason}
        onChange={(e) => setReason(e.target.value)}
      />
      <button
        type="button"
        className="btn-quiet w-fit"
        disabled={reason.trim().length < 3 || (outcome === 'hone' && targetDiaMm === null) || saving.kind === 'saving'}
        onClick={() => void save({ outcome, targetDiaMm, reason })}
      >
        Decide otherwise
      </button>
      <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
    </div>
  );
}
