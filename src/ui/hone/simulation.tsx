'use client';

import { useMemo, useState } from 'react';
import type { Lane } from '@/core/family/lane';
import type { Material } from '@/core/family/material';
import { SHAPE_WORDS } from '@/core/gauge/shape';
import type { Station } from '@/core/gauge/station';
import type { CutWay } from '@/core/hone/predicted-cut';
import { offBy, predictedForm, type SimulatedCut, type SimulationFrame, type SimulationInput } from '@/core/hone/simulation';
import { stationsInLanes } from '@/core/judge/lane-stations';
import { sayDia, sayLength } from '@/core/quantity/say';
import { SliderField } from '../field/slider-field';
import { useUnits } from '../shell/units-context';
import { useWorker } from '../shell/use-worker';
import { useStation } from '../unit/station-context';
import { CutChart } from './cut-chart';

const openWorker = (): Worker => new Worker(new URL('./simulation.worker.ts', import.meta.url), { type: 'module' });

/** The bore before the cut, and how the stones reach it. */
export type SimulatedBore = {
  readonly stations: readonly Station[];
  readonly lengthMm: number;
  readonly blindEnd: boolean;
  readonly material: Material;
  readonly lanes: readonly Lane[];
};

/** Cutting in a model before cutting metal: the stones' length, run-out and stroke are dragged, and the bore that they leave is drawn. */
export function Simulation({
  bore,
  cuts,
  narrowestMm,
  way,
  onPlanned,
  stoneLengthMm: usualStone,
  lines,
  measured = [],
}: {
  readonly bore: SimulatedBore;
  readonly cuts: readonly SimulatedCut[];
  /** What the cuts leave at the narrowest depth gauged in the lanes, mm. */
  readonly narrowestMm: number;
  /** Where it starts from, if not as planned. */
  readonly way?: CutWay | undefined;
  /** It was set back to what is planned. */
  readonly onPlanned?: () => void;
  readonly stoneLengthMm: number;
  readonly lines: Parameters<typeof CutChart>[0]['lines'];
  /** What was gauged after the cut, if it was made. */
  readonly measured?: readonly Station[];
}) {
  const units = useUnits();
  const { rules } = useStation();
  const most = (stone: number, out: number): number => bore.lengthMm - stone + (bore.blindEnd ? out - rules.reliefMm : 2 * out);
  const [stone, setStone] = useState(way?.stroke.stoneLengthMm);
  const [overrun, setOverrun] = useState(way?.stroke.overrunMm);
  const [shortMm, setShort] = useState(way === undefined ? 0 : most(way.stroke.stoneLengthMm, way.stroke.overrunMm) - way.stroke.strokeMm);
  const [shortShare, setShortShare] = useState(way?.shortShare ?? 0);
  const stoneLengthMm = stone ?? usualStone;
  const overrunMm = Math.min(overrun ?? stoneLengthMm / 3, stoneLengthMm);
  const mostMm = most(stoneLengthMm, overrunMm);
  const strokeMm = Math.max(1, mostMm - shortMm);
  const input = useMemo(
    (): SimulationInput => ({
      stations: bore.stations,
      lengthMm: bore.lengthMm,
      stroke: { stoneLengthMm, overrunMm, strokeMm },
      shortShare,
      cuts,
      narrowest: { atMm: stationsInLanes(bore.stations, bore.lanes).map((s) => s.xMm), mm: narrowestMm },
    }),
    [bore, cuts, narrowestMm, stoneLengthMm, overrunMm, strokeMm, shortShare],
  );
  const frame = useWorker<SimulationInput, SimulationFrame>(openWorker, input);
  const form = useMemo(() => {
    const depths = bore.stations.map((s) => s.xMm);
    return frame === undefined || frame.strokes < frame.of ? undefined : predictedForm(frame.field, depths, bore.material, rules);
  }, [frame, bore, rules]);
  const say = (mm: number) => `${sayLength(mm, units)} ${units.length}`;
  return (
    <section aria-label="Simulation" className="mt-4 border border-line bg-sheet p-3">
      <CutChart
        before={bore.stations}
        after={frame?.profile}
        measured={measured}
        lengthMm={bore.lengthMm}
        stroke={input.stroke}
        lines={lines}
      />
      <p role="status" className="min-h-6">
        {form === undefined || frame === undefined ? (
          `${frame?.strokes ?? 0} of ${frame?.of ?? 0} strokes`
        ) : (
          <>
            After {frame.of} strokes: <b>{SHAPE_WORDS[form.shape]}</b>
            {form.taperToward === null ? '' : ` wider to the ${form.taperToward} end`}, {sayDia(form.taperMm, units)} taper,{' '}
            {sayDia(form.ovalityMm, units)} oval, {sayDia(form.maxMm, units)} {units.length} at its widest.
            {measured.length > 0 && ` The gauge found it within ${sayDia(offBy(measured, frame.profile), units)} ${units.length} of this.`}
          </>
        )}
      </p>
      <div className="mt-1 flex flex-wrap gap-x-6">
        <SliderField
          label="Stone"
          value={stoneLengthMm}
          min={8}
          max={Math.max(10, Math.floor(bore.lengthMm * 0.9))}
          step={0.5}
          say={say}
          onSay={setStone}
        />
        <SliderField
          label={bore.blindEnd ? 'Out of the mouth' : 'Out of each end'}
          value={overrunMm}
          min={0}
          max={Math.floor(stoneLengthMm)}
          step={0.1}
          say={say}
          onSay={setOverrun}
        />
        <SliderField
          label="Stroke"
          value={strokeMm}
          min={1}
          max={Math.max(2, mostMm)}
          step={0.1}
          say={say}
          onSay={(mm) => setShort(mostMm - mm)}
        />
        {bore.blindEnd && (
          <SliderField
            label="Short strokes at the bottom"
            value={shortShare}
            min={0}
            max={0.6}
            step={0.05}
            say={(share) => `${Math.round(100 * share)} in 100`}
            onSay={setShortShare}
          />
        )}
        <button
          type="button"
          className="btn-quiet self-center"
          onClick={() => {
            setStone(undefined);
            setOverrun(undefined);
            setShort(0);
            setShortShare(0);
            onPlanned?.();
          }}
        >
          As planned
        </button>
      </div>
      <p className="text-[13px] text-ink2">
        Dotted: as gauged. Blue: as the stones would leave it, its ovality as the band. Rings: as gauged afterwards. A model with sprung
        stones pressed evenly: what it shows is where a stroke goes wrong, not the last micrometre.
      </p>
    </section>
  );
}
