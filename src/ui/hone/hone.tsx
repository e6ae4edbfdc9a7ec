'use client';

import { type ReactNode, useMemo, useState } from 'react';
import type { Lane } from '@/core/family/lane';
import type { Material } from '@/core/family/material';
import type { Station } from '@/core/gauge/station';
import type { BorePass } from '@/core/hone/bore-pass';
import { DRIVES } from '@/core/hone/drive';
import { honePlan } from '@/core/hone/hone-plan';
import { type LearnedRate, pooledPass } from '@/core/hone/learned-rates';
import type { Help, PredictionInput } from '@/core/hone/predicted-cut';
import { sayHelp } from '@/core/hone/say-help';
import { sayHoned } from '@/core/hone/say-honed';
import { cutsOfPasses, cutsOfPlan } from '@/core/hone/simulation';
import { stationsInLanes } from '@/core/judge/lane-stations';
import { fixed } from '@/core/quantity/figure';
import { sayLength } from '@/core/quantity/say';
import { BoreChange } from '../judge/bore-change';
import { useDraft } from '../save/use-draft';
import { late } from '../shell/late';
import { useUnits } from '../shell/units-context';
import { useStation } from '../unit/station-context';
import { StationFrame } from '../unit/station-frame';
import { Hatch } from './hatch';
import { Metronome } from './metronome';
import { NextStep } from './next-step';
import { PassForm } from './pass-form';
import { LearnedRates, PassTable } from './pass-table';
import { PlanTable } from './plan-table';
import { Predicted } from './predicted';
import { type HoneSetup, Setup } from './setup';

const Simulation = late(async () => (await import('./simulation')).Simulation);

/** The bore to be cut, as it was judged. */
export type BoreToCut = {
  readonly startDiaMm: number;
  readonly targetDiaMm: number;
  readonly limitDiaMm: number;
  readonly material: Material;
  readonly boreLengthMm: number;
  /** As gauged. */
  readonly stations: readonly Station[];
  readonly lanes: readonly Lane[];
  /** Of the gauge, expanded, mm. */
  readonly uncertaintyMm: number;
  readonly blindEnd: boolean;
};

/** Cutting a bore to its target: the plan, which moves with every logged pass, and what to do now. */
export function Hone({
  bore,
  passes,
  rates,
  ledger,
}: {
  readonly bore: BoreToCut;
  /** Since the bore was last gauged. */
  readonly passes: readonly BorePass[];
  /** What the shop's stones cut in this material: on all bores, and on others than this one. */
  readonly rates: { readonly all: readonly LearnedRate[]; readonly others: readonly LearnedRate[] };
  readonly ledger: ReactNode;
}) {
  const units = useUnits();
  const { rules, open } = useStation();
  const { drill } = DRIVES;
  const [setup, setSetup] = useDraft<HoneSetup>('hone-setup', {
    drive: 'drill',
    rpm: drill.rpm,
    strokesPerMin: drill.strokesPerMin,
    stoneLengthMm: 25,
    finish: 'cross-hatch',
  });
  const stones = useMemo(() => passes.filter((p) => p.tool === 'stone'), [passes]);
  const earlier = useMemo(() => rates.others.map(pooledPass), [rates]);
  const plan = useMemo(() => honePlan({ ...bore, ...setup, passes: stones }, rules, earlier), [bore, setup, stones, rules, earlier]);
  const [trying, setTrying] = useState(false);
  const cuts = useMemo(() => [...cutsOfPasses(stones), ...cutsOfPlan(plan, setup.rpm / setup.strokesPerMin)], [stones, plan, setup]);
  const simulated = useMemo(() => ({ ...bore, lengthMm: bore.boreLengthMm }), [bore]);
  const nowMm = passes.at(-1)?.afterMm ?? bore.startDiaMm;
  const stage = plan.stages[0];
  const narrowestMm = plan.stages.at(-1)?.toMm ?? nowMm;
  const [help, setHelp] = useState<Help>();
  const predicted = useMemo(
    (): PredictionInput => ({
      ...simulated,
      stroke: { stoneLengthMm: setup.stoneLengthMm, overrunMm: plan.overrunMm, strokeMm: plan.strokeLengthMm },
      cuts,
      narrowest: { atMm: stationsInLanes(bore.stations, bore.lanes).map((s) => s.xMm), mm: narrowestMm },
    }),
    [simulated, setup, plan, cuts, bore, narrowestMm],
  );
  return (
    <StationFrame
      title={`HONE · ${passes.length} ${passes.length === 1 ? 'pass' : 'passes'}`}
      note="Stones wet, clear of the ports, never stopped in the bore."
      ledger={ledger}
      aside={
        <div className="mb-4 grid gap-4">
          <NextStep
            plan={plan}
            nowMm={nowMm}
            targetMm={bore.targetDiaMm}
            limitMm={bore.limitDiaMm}
            way={help && sayHelp(help, bore.blindEnd, units)}
          />
          {plan.outcome === 'cut' && bore.stations.length > 0 && (
            <Predicted
              input={predicted}
              limitMm={bore.limitDiaMm}
              uncertaintyMm={bore.uncertaintyMm}
              chosen={help?.name}
              onTry={(h) => {
                setHelp(h);
                setTrying(h !== undefined);
              }}
            />
          )}
          {open && plan.outcome === 'cut' && <Metronome strokesPerMin={setup.strokesPerMin} />}
          <section>
            <h2 className="head mb-1">WHAT THE STONES CUT HERE, µm per 100 turns</h2>
            <LearnedRates rates={rates.all} />
          </section>
        </div>
      }
    >
      <Setup setup={setup} onChange={setSetup} />
      <div className="flex flex-wrap gap-4">
        <div className="min-w-0 flex-1 basis-96">
          <PlanTable plan={plan} />
          <p className="mt-2 text-ink2">
            Stroke {sayLength(plan.strokeLengthMm, units)} {units.length}, out of {bore.blindEnd ? 'the mouth' : 'each end'} by{' '}
            {sayLength(plan.overrunMm, units)}
            {plan.stopShortMm === null ? '' : `, stopping ${sayLength(plan.stopShortMm, units)} ${units.length} short of the bottom`}.{' '}
            {fixed(plan.surfaceSpeedMPerMin, 0)} m/min at the stones.
            {plan.strokesForHatchPerMin === null ? '' : ` ${fixed(plan.strokesForHatchPerMin, 0)} strokes a minute give the hatch wished.`}
          </p>
        </div>
        {plan.hatchGotDeg !== null && <Hatch gotDeg={plan.hatchGotDeg} wishedDeg={plan.rulesUsed.hatchDeg ?? rules.hatchDeg} />}
      </div>
      {bore.stations.length > 0 && cuts.length > 0 && (
        <button type="button" className="btn-quiet mt-2" aria-expanded={trying} onClick={() => setTrying(!trying)}>
          {trying ? 'Put the model away' : 'Try the cut in a model'}
        </button>
      )}
      {trying && (
        <Simulation
          key={help?.name}
          bore={simulated}
          cuts={cuts}
          narrowestMm={narrowestMm}
          way={help?.way}
          onPlanned={() => setHelp(undefined)}
          stoneLengthMm={setup.stoneLengthMm}
          lines={[
            { mm: bore.limitDiaMm, text: 'limit', look: 'limit' },
            { mm: bore.targetDiaMm, text: 'target', look: 'target' },
          ]}
        />
      )}
      {open && plan.outcome !== 'past-limit' && (
        <PassForm
          setup={setup}
          grit={stage?.grit ?? passes.at(-1)?.grit ?? 400}
          strokes={stage?.gaugeAfterStrokes ?? 10}
          nowMm={nowMm}
          material={bore.material}
        />
      )}
      <PassTable passes={passes} />
      {open && (
        <section className="mt-4">
          <h3 className="head mb-1">{plan.outcome === 'cut' ? 'ENOUGH FOR NOW, OR DONE ELSEWHERE' : 'DONE'}</h3>
          <BoreChange key={passes.length} suggested={sayHoned(passes)} />
        </section>
      )}
    </StationFrame>
  );
}
