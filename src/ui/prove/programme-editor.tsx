'use client';

import { X } from 'lucide-react';
import { useState } from 'react';
import { uuidv7 } from 'uuidv7';
import { saveProgrammeAction } from '@/app/actions/programme';
import { FAMILIES } from '@/core/family/families';
import type { UnitKind } from '@/core/family/family-name';
import { programmeCautions, programmeFaults } from '@/core/prove/programme/check';
import { newStep } from '@/core/prove/programme/new-step';
import { type Programme, STEP_KINDS, STEPS, type Step, type StepKind } from '@/core/prove/programme/step';
import { SelectField } from '../field/select-field';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useAskForm } from '../form/use-action-form';
import { Told } from '../save/told';
import { MoveButtons, moved } from '../unit/move-buttons';
import { StepEditor } from './step-editor';

const { Text } = fieldsOf<{ readonly note: string }>();

/** A family's programme, to read and to edit: the order, what must be done, every figure, why, and what a failure means. Saved as a version of its own. */
export function ProgrammeEditor({
  family: kind,
  programme,
  chambers,
  open,
}: {
  readonly family: UnitKind;
  readonly programme: Programme;
  readonly chambers: readonly string[];
  readonly open: boolean;
}) {
  const family = FAMILIES[kind];
  const [adding, setAdding] = useState<StepKind>('hold');
  const saving = useAskForm(saveProgrammeAction, { note: '', steps: programme.steps }, ({ note, steps }) => ({
    family: kind,
    after: programme.version,
    note,
    steps,
  }));
  const steps = saving.form.watch('steps');
  const setSteps = (next: Programme['steps']): void => saving.form.setValue('steps', next, { shouldDirty: true });
  const faults = programmeFaults(family, steps);
  return (
    <ActionFormFrame
      of={saving}
      className=""
      submit={open ? `Save as version ${programme.version + 1}` : null}
      may={faults.length === 0 && steps !== programme.steps}
      bar={
        <>
          <Told lines={faults} />
          {programmeCautions(steps).map((c) => (
            <p key={c} className="border-l-4 border-amber bg-sheet px-3 py-1 text-amber">
              {c}
            </p>
          ))}
          <div className="flex flex-wrap items-end gap-3">
            <SelectField label="Another step" value={adding} options={STEP_KINDS} say={(k) => STEPS[k].label} onSay={setAdding} />
            <button type="button" className="btn-quiet" onClick={() => setSteps([...steps, newStep(family, adding, uuidv7())])}>
              Add it
            </button>
            <Text name="note" label="Why it changes" className="w-80" maxLength={300} />
          </div>
        </>
      }
    >
      <ol className="grid gap-3">
        {steps.map((step, i) => (
          <li key={step.id} className="border border-line bg-sheet p-3">
            <StepEditor step={step} number={i + 1} chambers={chambers} open={open} onSay={(next: Step) => setSteps(steps.with(i, next))}>
              {open && (
                <span className="ml-auto whitespace-nowrap">
                  <MoveButtons
                    at={i}
                    of={steps.length}
                    earlier={`Step ${i + 1} earlier`}
                    later={`Step ${i + 1} later`}
                    onMove={(by) => setSteps(moved(steps, i, by))}
                  />
                  <button
                    type="button"
                    className="size-9 text-act"
                    aria-label={`Drop step ${i + 1}`}
                    onClick={() => setSteps(steps.filter((s) => s !== step))}
                  >
                    <X size={18} className="mx-auto" />
                  </button>
                </span>
              )}
            </StepEditor>
          </li>
        ))}
      </ol>
    </ActionFormFrame>
  );
}
