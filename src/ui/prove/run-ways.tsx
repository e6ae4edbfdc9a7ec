'use client';

import { type ComponentProps, useState } from 'react';
import type { StoreRun } from '@/core/prove/prove-doors';
import { RUN_WAYS, type RunWay } from '@/core/prove/run-way';
import { Choices } from '../field/choices';
import { late } from '../shell/late';
import type { SaveAction } from '../unit/unit-actions';
import type { ByHand } from './by-hand';
import type { Logged } from './logged';
import { RigStart } from './rig-start';

const ByHandLate = late<ComponentProps<typeof ByHand>>(async () => (await import('./by-hand')).ByHand);
const LoggedLate = late<ComponentProps<typeof Logged>>(async () => (await import('./logged')).Logged);

/** How a step is run: on the rig, read by eye, or from a logger. */
export function RunWays({
  boreMm,
  units,
  moreS,
  actions,
  ...rig
}: Omit<ComponentProps<typeof RigStart>, 'actions'> &
  Pick<ComponentProps<typeof Logged>, 'boreMm' | 'units'> &
  Pick<ComponentProps<typeof ByHand>, 'moreS'> & {
    readonly actions: ComponentProps<typeof RigStart>['actions'] & { readonly store: SaveAction<StoreRun> };
  }) {
  const [way, setWay] = useState<RunWay>('rig');
  const { target, step } = rig;
  const holds = step.kind === 'hold' || step.kind === 'cycles';
  const ways = (Object.keys(RUN_WAYS) as readonly RunWay[]).filter((w) => holds || w !== 'logger');
  return (
    <div className="grid gap-3">
      <Choices label="How it is run" options={ways.map((value) => ({ value, text: RUN_WAYS[value] }))} value={way} onPick={setWay} />
      {way === 'rig' && <RigStart {...rig} actions={actions} />}
      {way === 'by-hand' && <ByHandLate target={target} step={step} units={units} moreS={moreS} store={actions.store} />}
      {way === 'logger' && <LoggedLate target={target} step={step} boreMm={boreMm} units={units} store={actions.store} />}
    </div>
  );
}
