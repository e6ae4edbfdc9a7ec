'use client';

import { type ComponentProps, useState } from 'react';
import type { VacuumSample } from '@/core/pedal-end/vacuum';
import { fixed } from '@/core/quantity/figure';
import type { LineChart as Chart } from '../chart/line-chart';
import { NumberField } from '../field/quantity-field';
import { late } from '../shell/late';

const LineChart = late<ComponentProps<typeof Chart>>(async () => (await import('../chart/line-chart')).LineChart);
const VacuumBox = late(async () => (await import('./vacuum-box')).VacuumBox);

/** A hold of vacuum as it was read: a reading at a time, or a gauge’s log; drawn over time. */
export function VacuumEntry({
  samples,
  onSay,
}: {
  readonly samples: readonly VacuumSample[];
  readonly onSay: (samples: readonly VacuumSample[]) => void;
}) {
  const [tS, setT] = useState<number | null>(0);
  const [kPa, setKPa] = useState<number | null>(null);
  const [pasting, setPasting] = useState(false);
  const add = (): void => {
    if (tS === null || kPa === null) return;
    onSay([...samples.filter((s) => s.tS !== tS), { tS, kPa }].sort((a, b) => a.tS - b.tS));
    setT(tS + 5);
    setKPa(null);
  };
  return (
    <div className="grid gap-3">
      <form
        className="flex flex-wrap items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          add();
        }}
      >
        <NumberField label="Seconds since shut" className="w-36" above={-1e-9} value={tS} onSay={setT} />
        <NumberField key={samples.length} label="Vacuum, kPa" className="w-32" above={-1e-9} value={kPa} onSay={setKPa} />
        <button type="submit" className="btn-quiet" disabled={tS === null || kPa === null || kPa > 105}>
          Add reading
        </button>
        {samples.length > 0 && (
          <button type="button" className="btn-quiet" onClick={() => onSay([])}>
            Start over
          </button>
        )}
      </form>
      <button type="button" className="min-h-[44px] w-fit font-bold text-act" aria-expanded={pasting} onClick={() => setPasting(!pasting)}>
        Paste or import a gauge’s log as CSV (tS with kPa, mbar, bar, inHg or mmHg)
      </button>
      {pasting && (
        <VacuumBox
          onTake={(rows) => {
            onSay(rows);
            setPasting(false);
          }}
        />
      )}
      {samples.length >= 2 && (
        <LineChart
          title={`Vacuum over ${samples.at(-1)?.tS ?? 0} s, from ${samples[0]?.kPa} to ${samples.at(-1)?.kPa} kPa`}
          height={200}
          series={[{ name: 'vacuum', dash: '', points: samples.map((s) => ({ x: s.tS, y: s.kPa })) }]}
          x={{ name: 's since shut', say: (s) => fixed(s, 0) }}
          y={{ name: 'kPa', say: (k) => fixed(k, 1) }}
        />
      )}
      {samples.length === 1 && (
        <p className="text-ink2">One reading so far: {samples[0]?.kPa} kPa. At least one more is needed, 15 s on or later.</p>
      )}
    </div>
  );
}
