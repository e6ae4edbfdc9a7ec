'use client';

import { useState } from 'react';
import type { Material } from '@/core/family/material';
import { diaAt20 } from '@/core/gauge/reading';
import { GRITS, type Grit } from '@/core/hone/cutting-rate';
import { TOOL_NAMES, TOOLS, type Tool } from '@/core/hone/drive';
import type { LogPass } from '@/core/hone/hone-doors';
import { sayDia, sayTemperature } from '@/core/quantity/say';
import type { Units } from '@/core/quantity/units';
import { LengthField, TemperatureField } from '../field/quantity-field';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';
import { CountField, type HoneSetup } from './setup';

/** Logs a pass: what was turned and stroked is known from the setup, what it left is gauged and typed. */
export function PassForm({
  target,
  setup,
  grit: plannedGrit,
  strokes: plannedStrokes,
  nowMm,
  material,
  tools = TOOL_NAMES,
  units,
  logPass,
}: {
  readonly target: UnitTarget;
  readonly setup: HoneSetup;
  readonly grit: Grit;
  readonly strokes: number;
  readonly nowMm: number;
  readonly material: Material;
  readonly tools?: readonly Tool[];
  readonly units: Units;
  readonly logPass: SaveAction<LogPass>;
}) {
  const { save, saving, acceptTheirs } = useSave(logPass, target, 'adds');
  const [tool, setTool] = useState<Tool>(tools[0] ?? 'stone');
  const [grit, setGrit] = useState<Grit>();
  const [strokes, setStrokes] = useState<number>();
  const [afterMm, setAfter] = useState<number | null>(null);
  const [bodyTempC, setBodyTemp] = useState<number | null>(null);
  const submit = async (): Promise<void> => {
    const { drive, rpm, strokesPerMin } = setup;
    const pass = {
      tool,
      drive,
      grit: grit ?? plannedGrit,
      strokes: strokes ?? plannedStrokes,
      strokesPerMin,
      rpm,
      beforeMm: nowMm,
      afterMm,
      bodyTempC,
      note: '',
    };
    const result = await save(pass);
    if (!result.ok) return;
    setGrit(undefined);
    setStrokes(undefined);
    setAfter(null);
    setBodyTemp(null);
  };
  return (
    <form
      className="mt-4 border border-line bg-sheet p-3"
      onSubmit={(e) => {
        e.preventDefault();
        void submit();
      }}
    >
      <h3 className="head mb-1">LOG A PASS</h3>
      <div className="flex flex-wrap items-end gap-3">
        <label className="label mb-0">
          With
          <select className="field w-32" value={tool} onChange={(e) => setTool(e.target.value as Tool)}>
            {tools.map((t) => (
              <option key={t} value={t}>
                {TOOLS[t]}
              </option>
            ))}
          </select>
        </label>
        <label className="label mb-0">
          Grit
          <select className="field w-20" value={grit ?? plannedGrit} onChange={(e) => setGrit(Number(e.target.value) as Grit)}>
            {GRITS.map((g) => (
              <option key={g}>{g}</option>
            ))}
          </select>
        </label>
        <CountField label="Strokes" value={strokes ?? plannedStrokes} onSay={(n) => setStrokes(Math.round(n))} />
        <LengthField
          label={`Narrowest after, ${units.length}`}
          fine
          className="w-32"
          say="typing"
          value={afterMm}
          units={units}
          onSay={setAfter}
        />
        <TemperatureField
          label={`Body, °${units.temperature}`}
          className="w-20"
          say="typing"
          value={bodyTempC}
          units={units}
          onSay={setBodyTemp}
        />
        <button type="submit" className="btn" disabled={afterMm === null || saving.kind === 'saving'}>
          Log the pass
        </button>
      </div>
      <p className="mt-1 text-[13px] text-ink2">
        {afterMm === null || bodyTempC === null
          ? 'Cutting warms the body: give its temperature, or let it cool before it is gauged. Without one it counts as read.'
          : `${sayDia(diaAt20(afterMm, material, { bodyTempC }), units)} ${units.length} at ${sayTemperature(20, units)}.`}
      </p>
      <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
    </form>
  );
}
