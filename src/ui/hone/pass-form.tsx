'use client';

import { useState } from 'react';
import { GRITS, type Grit } from '@/core/hone/cutting-rate';
import { TOOL_NAMES, TOOLS, type Tool } from '@/core/hone/drive';
import type { LogPass } from '@/core/hone/hone-doors';
import type { Units } from '@/core/quantity/units';
import { LengthField } from '../field/quantity-field';
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
  tools = TOOL_NAMES,
  units,
  logPass,
}: {
  readonly target: UnitTarget;
  readonly setup: HoneSetup;
  readonly grit: Grit;
  readonly strokes: number;
  readonly nowMm: number;
  readonly tools?: readonly Tool[];
  readonly units: Units;
  readonly logPass: SaveAction<LogPass>;
}) {
  const { save, saving, acceptTheirs } = useSave(logPass, target, 'adds');
  const [tool, setTool] = useState<Tool>(tools[0] ?? 'stone');
  const [grit, setGrit] = useState<Grit>();
  const [strokes, setStrokes] = useState<number>();
  const [afterMm, setAfter] = useState<number | null>(null);
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
      note: '',
    };
    const result = await save(pass);
    if (!result.ok) return;
    setGrit(undefined);
    setStrokes(undefined);
    setAfter(null);
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
        <button type="submit" className="btn" disabled={afterMm === null || saving.kind === 'saving'}>
          Log the pass
        </button>
      </div>
      <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
    </form>
  );
}
