'use client';

import { X } from 'lucide-react';
import { useState } from 'react';
import { uuidv7 } from 'uuidv7';
import { FAMILIES } from '@/core/family/families';
import type { UnitKind } from '@/core/family/family-name';
import { programmeCautions, programmeFaults } from '@/core/prove/programme/check';
import { newStep } from '@/core/prove/programme/new-step';
import type { SaveProgramme } from '@/core/prove/programme/programme-doors';
import { type Programme, STEP_KINDS, STEPS, type Step, type StepKind } from '@/core/prove/programme/step';
import type { Units } from '@/core/quantity/units';
import { saySaveError } from '@/core/unit/save-error';
import type { Ask } from '../save/use-ask';
import { MoveButtons, moved } from '../unit/move-buttons';
import { StepEditor } from './step-editor';

/** A family's programme, to read and to edit: the order, what must be done, every figure, why, and what a failure means. Saved as a version of its own. */
export function ProgrammeEditor({
  family: kind,
  programme,
  chambers,
  units,
  open,
  save,
}: {
  readonly family: UnitKind;
  readonly programme: Programme;
  readonly chambers: readonly string[];
  readonly units: Units;
  readonly open: boolean;
  readonly save: Ask<SaveProgramme>;
}) {
  const family = FAMILIES[kind];
  const [steps, setSteps] = useState(programme.steps);
  const [adding, setAdding] = useState<StepKind>('hold');
  const [note, setNote] = useState('');
  const [told, setTold] = useState<readonly string[]>([]);
  const [busy, setBusy] = useState(false);
  const faults = programmeFaults(family, steps);
  const cautions = programmeCautions(steps);
  const submit = async (): Promise<void> => {
    setBusy(true);
    const result = await save({ family: kind, after: programme.version, note, steps }).catch(() => undefined);
    setBusy(false);
    if (result === undefined) return setTold(['No connection. Everything is still here: save it again when it is back.']);
    setTold(result.ok ? [] : saySaveError(result.error));
  };
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        void submit();
      }}
    >
      <ol className="grid gap-3">
        {steps.map((step, i) => (
          <li key={step.id} className="border border-line bg-sheet p-3">
            <StepEditor
              step={step}
              number={i + 1}
              chambers={chambers}
              units={units}
              open={open}
              onSay={(next: Step) => setSteps(steps.with(i, next))}
            >
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
      {open && (
        <div className="sticky bottom-0 mt-3 border-t border-line bg-ground py-2">
          <div role="alert">
            {[...faults, ...told].map((t) => (
              <p key={t} className="mb-1 border-l-4 border-red bg-sheet px-3 py-1 text-red">
                {t}
              </p>
            ))}
          </div>
          {cautions.map((c) => (
            <p key={c} className="mb-1 border-l-4 border-amber bg-sheet px-3 py-1 text-amber">
              {c}
            </p>
          ))}
          <div className="flex flex-wrap items-end gap-3">
            <label className="label mb-0">
              Another step
              <select
                className="field text-ink"
                value={adding}
                onChange={(e) => setAdding(STEP_KINDS.find((k) => k === e.target.value) ?? adding)}
              >
                {STEP_KINDS.map((k) => (
                  <option key={k} value={k}>
                    {STEPS[k].label}
                  </option>
                ))}
              </select>
            </label>
            <button type="button" className="btn-quiet" onClick={() => setSteps([...steps, newStep(family, adding, uuidv7())])}>
              Add it
            </button>
            <label className="label mb-0">
              Why it changes
              <input className="field w-80 text-ink" value={note} maxLength={300} onChange={(e) => setNote(e.target.value)} />
            </label>
            <button
              type="submit"
              className="btn"
              disabled={busy || faults.length > 0 || steps === programme.steps || note.trim().length < 3}
            >
              Save as version {programme.version + 1}
            </button>
          </div>
        </div>
      )}
    </form>
  );
}
