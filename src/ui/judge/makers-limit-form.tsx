'use client';

import { useWatch } from 'react-hook-form';
import { makersLimitAction } from '@/app/actions/judge';
import type { MakersLimit } from '@/core/judge/limits';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useUnitForm } from '../form/use-action-form';
import { useUnits } from '../shell/units-context';
import { useStation } from '../unit/station-context';

type Limit = { readonly scope: 'unit' | 'fitment'; readonly maxDiaMm: number | null; readonly source: string };
const { Length, Select, Text } = fieldsOf<Limit>();

/** What a maker's manual allows, for this unit or for its fitment. It prevails over the shop's limits. */
export function MakersLimitForm({
  limit,
  fitment,
}: {
  readonly limit: MakersLimit | null;
  /** The machine and place that share the limit, in words. */
  readonly fitment: string;
}) {
  const units = useUnits();
  const { pot } = useStation();
  const start: Limit = { scope: 'unit', maxDiaMm: limit?.maxDiaMm ?? null, source: limit?.source ?? '' };
  const setting = useUnitForm(makersLimitAction, start, (v) => ({ ...v, pot }));
  const maxDiaMm = useWatch({ control: setting.form.control, name: 'maxDiaMm' });
  const takeBack = (): void => {
    const { form, submit } = setting;
    const was = form.getValues('maxDiaMm');
    form.setValue('maxDiaMm', null);
    void submit().then(() => form.setValue('maxDiaMm', was));
  };
  return (
    <ActionFormFrame
      of={setting}
      submit="Let it prevail"
      // Without a diameter it would be taken back.
      may={maxDiaMm !== null}
      quiet
      className="grid gap-2 pt-2"
      beside={
        limit !== null && (
          <button type="button" className="btn-quiet" onClick={takeBack}>
            Take it back
          </button>
        )
      }
    >
      <div className="flex flex-wrap items-end gap-3">
        <Length name="maxDiaMm" label={`Largest bore, ${units.length}`} fine className="w-28" say="typing" />
        <Select
          name="scope"
          label="Holds for"
          options={[
            { value: 'unit', text: 'this unit' },
            { value: 'fitment', text: fitment },
          ]}
        />
      </div>
      <Text name="source" label="Manual, and where in it" hideLabel placeholder="Manual, and where in it" maxLength={200} />
    </ActionFormFrame>
  );
}
