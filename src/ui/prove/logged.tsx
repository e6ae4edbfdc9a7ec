'use client';

import { useState } from 'react';
import { storeRunAction } from '@/app/actions/prove';
import { type LoggedRow, loggedSamples, partsOf, writtenTo } from '@/core/prove/logged';
import type { RunStep } from '@/core/prove/programme/step';
import { sayPressure } from '@/core/quantity/say';
import { readTrace } from '@/csv/trace-csv';
import { CsvBox } from '../field/csv-box';
import { LengthField } from '../field/quantity-field';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useUnits } from '../shell/units-context';
import { emptyFill, FillTable, wholeFill } from './fill-table';
import { ShieldBox } from './rig-start';

/** A hold that a logger wrote: pasted or from a file, shown in its parts, then judged as any other. */
export function Logged({
  step,
  boreMm,
}: {
  readonly step: RunStep;
  /** The unit's bore: a rod that moved in it pushed that much fluid. */
  readonly boreMm: number | null;
}) {
  const units = useUnits();
  const { save, saving, decide } = useSave(storeRunAction, 'adds');
  const [rows, setRows] = useState<readonly LoggedRow[]>();
  const [shield, setShield] = useState(false);
  const [fill, setFill] = useState(() => emptyFill(step.targetBar));
  const [bore, setBore] = useState(boreMm);
  if (rows === undefined) return <CsvBox what="samples" columns="tS,pBar[,strokeMm][,tempC]" read={readTrace} onTake={setRows} />;
  const { shut, open } = partsOf(rows);
  const [top, first, last] = [rows[shut], rows[0], rows[open - 1]];
  const stroked = rows.some((r) => r.strokeMm !== null);
  const knows = stroked || rows.some((r) => r.ml !== null);
  const samples = loggedSamples(step, rows, { boreMm: bore, fill: wholeFill(fill) ?? [] });
  return (
    <div className="grid gap-3">
      <p>
        {rows.length} samples over {Math.round((rows.at(-1)?.tS ?? 0) - (first?.tS ?? 0))} s: up to {sayPressure(top?.pBar ?? 0, units)} in{' '}
        {Math.round((top?.tS ?? 0) - (first?.tS ?? 0))} s, held for {Math.round((last?.tS ?? 0) - (top?.tS ?? 0))} s
        {open < rows.length ? ', then let down' : ''}. Written to {sayPressure(writtenTo(rows), units)}.
      </p>
      {stroked && <LengthField label="Bore that the rod moved in" className="w-48" fine value={bore} onSay={(mm) => setBore(mm)} />}
      {!knows && (
        <>
          <p className="text-ink2">The log does not say how much fluid went in. Read it on the way up:</p>
          <FillTable targetBar={step.targetBar} fill={fill} onSay={setFill} />
        </>
      )}
      <div className="flex flex-wrap items-center gap-3">
        <ShieldBox shut={shield} onSay={setShield} />
        <button
          type="button"
          className="btn"
          disabled={!shield || samples === undefined || saving.kind === 'saving'}
          onClick={() =>
            void save({ stepId: step.id, shield, way: 'logger', samples, readTo: { bar: writtenTo(rows), ml: 0 } }).then(
              (r) => r.ok && setRows(undefined),
            )
          }
        >
          Judge this log
        </button>
        <button type="button" className="btn-quiet" onClick={() => setRows(undefined)}>
          Another log
        </button>
      </div>
      <SaveNote saving={saving} onDecide={decide} />
    </div>
  );
}
