'use client';

import { useState } from 'react';
import { sayVacuumHold, VACUUM_COVERS, type VacuumSample, vacuumHold, vacuumMeaning } from '@/core/pedal-end/vacuum';
import type { Rules } from '@/core/rules/rule-set';
import { samplesQuery } from '@/core/sums/pedal-sheets';
import { VacuumEntry } from '../pedal-end/vacuum-entry';
import { useAddress } from '../shell/use-address';
import { SumButtons } from './sum-buttons';

/** Does a booster hold its vacuum? It stands in the address, thinned where a log is long. */
export function Vacuum({ start, rules }: { readonly start: readonly VacuumSample[]; readonly rules: Pick<Rules, 'vacuumDropKPa'> }) {
  const [samples, setSamples] = useState(start);
  useAddress('/sums/vacuum', samplesQuery(samples));
  const hold = vacuumHold(samples, rules);
  const text = sayVacuumHold(hold, rules.vacuumDropKPa);
  return (
    <div className="grid gap-4">
      <VacuumEntry samples={samples} onSay={setSamples} />
      {samples.length >= 2 && (
        <div aria-live="polite">
          <p className={`text-2xl font-bold ${hold.outcome === 'holds' ? '' : 'text-red'}`}>{WORDS[hold.outcome]}</p>
          <p>{text}</p>
          <p>{vacuumMeaning(hold, undefined) ?? ''}</p>
          <p className="text-[13px] text-ink2">{VACUUM_COVERS}</p>
        </div>
      )}
      {samples.length >= 2 && <SumButtons text={`Vacuum hold: ${text}`} />}
    </div>
  );
}

const WORDS = { holds: 'Holds', leaks: 'Leaks', 'too-short': 'Too short', 'no-vacuum': 'No vacuum' } as const;
