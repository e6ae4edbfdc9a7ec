'use client';

import { useMemo, useState } from 'react';
import type { Station } from '@/core/gauge/station';
import type { BorePass } from '@/core/hone/bore-pass';
import { cutsOfPasses } from '@/core/hone/simulation';
import { late } from '../shell/late';
import type { SimulatedBore } from './simulation';

const Simulation = late(async () => (await import('./simulation')).Simulation);
const USUAL_STONE_MM = 25;

/** A cut that was made, run through the model again beside what the gauge found after it. */
export function CompareCut({
  bore,
  passes,
  measured,
}: {
  readonly bore: SimulatedBore;
  readonly passes: readonly BorePass[];
  readonly measured: readonly Station[];
}) {
  const [shown, setShown] = useState(false);
  const cuts = useMemo(() => cutsOfPasses(passes), [passes]);
  return (
    <>
      <button type="button" className="btn-quiet mt-3" aria-expanded={shown} onClick={() => setShown(!shown)}>
        {shown ? 'Put the model away' : `The last cut, ${passes.length} ${passes.length === 1 ? 'pass' : 'passes'}, beside the model`}
      </button>
      {shown && (
        <Simulation
          bore={bore}
          cuts={cuts}
          narrowestMm={passes.at(-1)?.afterMm ?? 0}
          stoneLengthMm={USUAL_STONE_MM}
          lines={[]}
          measured={measured}
        />
      )}
    </>
  );
}
