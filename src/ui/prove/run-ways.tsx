'use client';

import { type ComponentProps, useState } from 'react';
import { RUN_WAYS, type RunWay } from '@/core/prove/run-way';
import { Choices } from '../field/choices';
import { late } from '../shell/late';
import type { ByHand } from './by-hand';
import type { Logged } from './logged';
import { RigStart } from './rig-start';

const ByHandLate = late<ComponentProps<typeof ByHand>>(async () => (await import('./by-hand')).ByHand);
const LoggedLate = late<ComponentProps<typeof Logged>>(async () => (await import('./logged')).Logged);

/** How a step is run: on the rig, read by eye, or from a logger. */
export function RunWays({
  boreMm,
  moreS,
  ...rig
}: ComponentProps<typeof RigStart> & Pick<ComponentProps<typeof Logged>, 'boreMm'> & Pick<ComponentProps<typeof ByHand>, 'moreS'>) {
  const [way, setWay] = useState<RunWay>('rig');
  const { step } = rig;
  const holds = step.kind === 'hold' || step.kind === 'cycles';
  const ways = (Object.keys(RUN_WAYS) as readonly RunWay[]).filter((w) => holds || w !== 'logger');
  return (
    <div className="grid gap-3">
      <Choices label="How it is run" options={ways.map((value) => ({ value, text: RUN_WAYS[value] }))} value={way} onPick={setWay} />
      {way === 'rig' && <RigStart {...rig} />}
      {way === 'by-hand' && <ByHandLate step={step} moreS={moreS} />}
      {way === 'logger' && <LoggedLate step={step} boreMm={boreMm} />}
    </div>
  );
}
