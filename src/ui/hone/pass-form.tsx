'use client';

import { useEffect } from 'react';
import { useWatch } from 'react-hook-form';
import { logPassAction } from '@/app/actions/hone';
import type { Material } from '@/core/family/material';
import { diaAt20 } from '@/core/gauge/reading';
import { GRITS, type Grit } from '@/core/hone/cutting-rate';
import { TOOL_NAMES, TOOLS, type Tool } from '@/core/hone/drive';
import { whyUnlikelyPass } from '@/core/hone/unlikely-pass';
import { sayDia, sayTemperature } from '@/core/quantity/say';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useUnitForm } from '../form/use-action-form';
import { useUnits } from '../shell/units-context';
import { useStation } from '../unit/station-context';
import type { HoneSetup } from './setup';

type Pass = {
  readonly tool: Tool;
  readonly grit: Grit;
  readonly strokes: number | null;
  readonly afterMm: number | null;
  readonly bodyTempC: number | null;
};
const { Select, Count, Length, Temperature } = fieldsOf<Pass>();

/** Logs a pass: what was turned and stroked is known from the setup, what it left is gauged and typed. */
export function PassForm({
  setup,
  grit: plannedGrit,
  strokes: plannedStrokes,
  nowMm,
  material,
  tools = TOOL_NAMES,
}: {
  readonly setup: HoneSetup;
  readonly grit: Grit;
  readonly strokes: number;
  readonly nowMm: number;
  readonly material: Material;
  readonly tools?: readonly Tool[];
}) {
  const units = useUnits();
  const { pot } = useStation();
  const logging = useUnitForm(
    logPassAction,
    { tool: tools[0] ?? 'stone', grit: plannedGrit, strokes: plannedStrokes, afterMm: null, bodyTempC: null } as Pass,
    (pass) => {
      const { drive, rpm, strokesPerMin } = setup;
      return { ...pass, pot, drive, strokesPerMin, rpm, beforeMm: nowMm, note: '' };
    },
    { kind: 'adds', done: (form) => form.reset() },
  );
  const { form } = logging;
  // The plan moves with every pass: what was not typed over goes with it.
  useEffect(() => form.resetField('grit', { defaultValue: plannedGrit }), [form, plannedGrit]);
  useEffect(() => form.resetField('strokes', { defaultValue: plannedStrokes }), [form, plannedStrokes]);
  const { tool, grit, strokes, afterMm, bodyTempC } = useWatch({ control: form.control }) as Pass;
  const at20 = afterMm === null ? null : diaAt20(afterMm, material, { bodyTempC });
  const pass = at20 === null || strokes === null ? undefined : { ...setup, tool, grit, strokes, beforeMm: nowMm, afterMm: at20 };
  const slip = pass && whyUnlikelyPass(pass, material);
  return (
    <section className="mt-4 border border-line bg-sheet p-3">
      <h3 className="head mb-1">LOG A PASS</h3>
      <ActionFormFrame of={logging} submit="Log the pass" className="flex flex-wrap items-end gap-3">
        <Select name="tool" label="With" className="w-32" options={tools} say={TOOLS} />
        <Select name="grit" label="Grit" className="w-20" options={GRITS} />
        <Count name="strokes" label="Strokes" to={100_000} />
        <Length name="afterMm" label={`Narrowest after, ${units.length}`} fine className="w-32" say="typing" />
        <Temperature name="bodyTempC" label={`Body, °${units.temperature}`} className="w-20" say="typing" />
      </ActionFormFrame>
      {slip !== undefined && <p className="mt-1 border-l-4 border-red pl-3 text-red">{slip}</p>}
      <p className="mt-1 text-[13px] text-ink2">
        {at20 === null || bodyTempC === null
          ? 'Cutting warms the body: give its temperature, or let it cool before it is gauged. Without one it counts as read.'
          : `${sayDia(at20, units)} ${units.length} at ${sayTemperature(20, units)}.`}
      </p>
    </section>
  );
}
