'use client';

import type { ReactNode } from 'react';
import { figureOf, withFigure } from '@/core/prove/programme/new-step';
import { sayDoing } from '@/core/prove/programme/say-step';
import { FIGURES, type FigureName, STEPS, type Step } from '@/core/prove/programme/step';
import { NumberField, PressureField } from '../field/quantity-field';
import { TextField } from '../field/text-field';
import { useUnits } from '../shell/units-context';

/** One step of a programme: its figures, whether it must be done, why, and what a failure means. */
export function StepEditor({
  step,
  number,
  chambers,
  open,
  onSay,
  children,
}: {
  readonly step: Step;
  readonly number: number;
  readonly chambers: readonly string[];
  readonly open: boolean;
  readonly onSay: (step: Step) => void;
  /** What moves or drops it. */
  readonly children: ReactNode;
}) {
  const units = useUnits();
  return (
    <fieldset disabled={!open} className="grid gap-2">
      <legend className="sr-only">
        Step {number}, {STEPS[step.kind].label}
      </legend>
      <div className="flex flex-wrap items-center gap-3">
        <span className="text-ink2">{number}</span>
        <b>{STEPS[step.kind].label}</b>
        <select
          className="field w-auto"
          aria-label={`Step ${number}: must it be done`}
          value={step.need}
          onChange={(e) => onSay({ ...step, need: e.target.value === 'may' ? 'may' : 'must' })}
        >
          <option value="must">must be done</option>
          <option value="may">may be left out</option>
        </select>
        {chambers.length > 1 && STEPS[step.kind].by !== 'seen' && (
          <select
            className="field w-auto"
            aria-label={`Step ${number}: chamber`}
            value={step.chamber ?? ''}
            onChange={(e) => onSay({ ...step, chamber: e.target.value === '' ? null : e.target.value })}
          >
            <option value="">all chambers together</option>
            {chambers.map((c) => (
              <option key={c} value={c}>
                {c.replaceAll('-', ' ')} alone
              </option>
            ))}
          </select>
        )}
        {children}
      </div>
      <div className="flex flex-wrap items-end gap-3">
        {STEPS[step.kind].figures.map((name) => (
          <Figure key={name} step={step} name={name} onSay={onSay} />
        ))}
      </div>
      <p className="text-[13px] text-ink2">{sayDoing(step, units)}</p>
      <div className="grid gap-2 md:grid-cols-2">
        {(['why', 'means'] as const).map((field) => (
          <TextField
            key={field}
            label={field === 'why' ? 'Why' : 'What a failure means'}
            value={step[field]}
            rows={3}
            maxLength={400}
            onSay={(text) => onSay({ ...step, [field]: text })}
          />
        ))}
      </div>
    </fieldset>
  );
}

function Figure({ step, name, onSay }: { readonly step: Step; readonly name: FigureName; readonly onSay: (step: Step) => void }) {
  const units = useUnits();
  const { label, unit } = FIGURES[name];
  const value = figureOf(step, name) ?? null;
  if (unit === 'bar')
    return (
      <PressureField
        label={`${label}, ${units.pressure}`}
        className="w-28"
        decimals={value !== null && value < 10 ? 2 : 0}
        value={value}
        onSay={(bar) => onSay(withFigure(step, name, bar))}
      />
    );
  const blank = 'blank' in FIGURES[name] ? FIGURES[name].blank : undefined;
  return (
    <NumberField
      label={`${label}${unit === '' ? '' : `, ${unit}`}`}
      className={blank === undefined ? 'w-28' : 'w-40'}
      // What lies outside is kept and told: the step's own bounds say what is wrong with it.
      above={-1e9}
      {...(blank === undefined ? {} : { hint: blank })}
      value={value}
      onSay={(n) => onSay(withFigure(step, name, n))}
    />
  );
}
