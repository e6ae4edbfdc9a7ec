'use client';

import { useWatch } from 'react-hook-form';
import { overruleAction } from '@/app/actions/judge';
import { OVERRULINGS } from '@/core/judge/overrule';
import { OUTCOME_WORDS } from '../drawing/verdict-sign';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useUnitForm } from '../form/use-action-form';
import { useUnits } from '../shell/units-context';
import { useStation } from '../unit/station-context';

type Overruling = { readonly outcome: (typeof OVERRULINGS)[number]; readonly targetDiaMm: number | null; readonly reason: string };
const START: Overruling = { outcome: 'reuse', targetDiaMm: null, reason: '' };
const { Select, Length, Text } = fieldsOf<Overruling>();

/** A lead decides against the arithmetic. Both stay on record, and both go on the certificate. */
export function OverruleForm() {
  const units = useUnits();
  const { pot } = useStation();
  const deciding = useUnitForm(overruleAction, START, (v) => ({ ...v, pot }));
  const outcome = useWatch({ control: deciding.form.control, name: 'outcome' });
  return (
    <ActionFormFrame of={deciding} submit="Decide otherwise" quiet className="grid gap-2 pt-2">
      <p>The judgement stays beside it, and both go on the certificate. A maker’s limit is never passed.</p>
      <div className="flex flex-wrap items-end gap-2">
        <Select
          name="outcome"
          label="It is to be"
          className="w-32"
          options={OVERRULINGS.map((o) => ({ value: o, text: OUTCOME_WORDS[o].toLowerCase() }))}
        />
        {outcome === 'hone' && <Length name="targetDiaMm" label={`To, ${units.length}`} fine className="w-28" say="typing" />}
      </div>
      <Text name="reason" label="Reason for deciding otherwise" hideLabel placeholder="Reason" />
    </ActionFormFrame>
  );
}
