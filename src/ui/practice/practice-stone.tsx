'use client';

import { useState } from 'react';
import { tryStrokesAction } from '@/app/actions/practice-job';
import { GRITS } from '@/core/hone/cutting-rate';
import { sayDia } from '@/core/quantity/say';
import { NumberField } from '../field/quantity-field';
import { SelectField } from '../field/select-field';
import { Told } from '../save/told';
import { useAsk } from '../save/use-ask';
import { useUnits } from '../shell/units-context';

/** Strokes at the stand-in stone: what the narrowest place reads after them, to be logged below. */
export function PracticeStone() {
  const units = useUnits();
  const { ask, asking, told } = useAsk();
  const [at, setAt] = useState<{
    readonly grit: (typeof GRITS)[number];
    readonly strokes: number | null;
    readonly strokesPerMin: number;
    readonly rpm: number;
  }>({
    grit: 320,
    strokes: null,
    strokesPerMin: 60,
    rpm: 450,
  });
  const [reads, setReads] = useState<string>();
  const stroke = async (): Promise<void> => {
    if (at.strokes === null) return;
    const said = await ask(tryStrokesAction, { ...at, strokes: at.strokes });
    if (said !== undefined)
      setReads(`After them the narrowest place reads ${sayDia(said.narrowestMm, units)} ${units.length}. Log the pass below.`);
  };
  return (
    <div className="mt-1 flex flex-wrap items-end gap-3">
      <SelectField label="Stones" className="w-24" value={at.grit} options={[...GRITS]} onSay={(grit) => setAt({ ...at, grit })} />
      <NumberField label="Strokes" above={0} value={at.strokes} onSay={(strokes) => setAt({ ...at, strokes })} className="w-24" />
      <NumberField
        label="Strokes a minute"
        above={0}
        value={at.strokesPerMin}
        onSay={(n) => n !== null && setAt({ ...at, strokesPerMin: n })}
        className="w-28"
      />
      <NumberField label="Turns a minute" above={0} value={at.rpm} onSay={(n) => n !== null && setAt({ ...at, rpm: n })} className="w-28" />
      <button type="button" className="btn-quiet" disabled={asking || at.strokes === null} onClick={() => void stroke()}>
        Make these strokes, and gauge
      </button>
      <p role="status" className="font-bold">
        {reads}
      </p>
      <Told lines={told} />
    </div>
  );
}
