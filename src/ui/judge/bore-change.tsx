'use client';

import { boreCutAction } from '@/app/actions/hone';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useUnitForm } from '../form/use-action-form';
import { useStation } from '../unit/station-context';

const { Text } = fieldsOf<{ readonly note: string }>();

/** The bore was cut: what was done is noted, and the unit goes back to be gauged and judged as it is now. @param suggested what the record knows already */
export function BoreChange({ suggested }: { readonly suggested: string }) {
  const { open } = useStation();
  const cutting = useUnitForm(boreCutAction, { note: suggested }, (v) => v);
  return (
    <ActionFormFrame of={cutting} submit="Honed and washed: gauge again" may={open} className="grid max-w-xl gap-3">
      <Text name="note" label="What was done: grits, strokes, speed" rows={3} />
    </ActionFormFrame>
  );
}
