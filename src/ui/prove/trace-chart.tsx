'use client';

import { fitCurve, limitCurve } from '@/core/prove/leak-shapes';
import type { RunStep } from '@/core/prove/programme/step';
import type { RigSample } from '@/core/prove/rig-sample';
import type { RunAnalysis } from '@/core/prove/run-analysis';
import { withoutSpikes } from '@/core/prove/spikes';
import { holdOf, traceWindow } from '@/core/prove/trace';
import { fixed } from '@/core/quantity/figure';
import { pressureIn } from '@/core/quantity/say';
import { LineChart, type Point, type Series } from '../chart/line-chart';
import { useUnits } from '../shell/units-context';

/** Points past which a line is no truer on any screen. */
const MOST_POINTS = 600;

/** A run that is over: its pressure, the fit and the fall that the limit would allow, runs before it; and what the fit leaves over, so that a bad fit is seen. */
export function TraceChart({
  samples,
  analysis,
  step,
  earlier = [],
}: {
  readonly samples: readonly RigSample[];
  readonly analysis: RunAnalysis | null;
  readonly step: RunStep;
  /** Runs of the same step before this one, to be seen whether it repeats. */
  readonly earlier?: readonly (readonly RigSample[])[];
}) {
  const units = useUnits();
  const { of, shown, fromT, spanS } = traceWindow(samples, step);
  // What stands out alone in a hold is cut off, so that the fall is seen.
  const kept = of === 'hold' ? withoutSpikes(shown).kept : shown;
  const line = (name: string, dash: string, look: Series['look'], points: readonly (readonly [s: number, bar: number])[]): Series => ({
    name,
    dash,
    look: look ?? 'line',
    points: thinned(points).map(([s, bar]): Point => ({ x: s, y: pressureIn(bar, units) })),
  });
  const held = holdOf(samples);
  const fit = of === 'hold' && analysis?.kind === 'hold' ? analysis.fit : null;
  const along = (bars: readonly number[]): readonly (readonly [number, number])[] => bars.map((p, i) => [(held[i]?.tS ?? 0) - fromT, p]);
  const curve = fit === null ? [] : fitCurve(held, fit);
  const digits = units.pressure === 'bar' ? 2 : 0;
  const axes = {
    x: { name: 's', say: (s: number) => fixed(s, 0), span: [0, spanS] as const },
    y: { name: units.pressure, say: (p: number) => fixed(p, digits) },
  };
  const letGoT = of === 'gone' ? shown.find((s) => s.phase === 'gone')?.t : undefined;
  return (
    <div className="grid gap-2">
      <LineChart
        title={`Pressure trace, ${samples.length} samples${letGoT === undefined ? '' : `; the rod is let go at ${fixed(letGoT - fromT, 1)} s`}`}
        {...axes}
        series={[
          ...(of === 'hold' ? earlier : []).map((run, i) => {
            const hold = run.filter((s) => s.phase === 'hold');
            return line(
              `run before, ${i + 1}`,
              '',
              'faint',
              hold.map((s) => [s.t - (hold[0]?.t ?? 0), s.p]),
            );
          }),
          line(
            'pressure',
            '',
            kept.length < 60 ? 'line-and-dots' : 'line',
            kept.map((s) => [s.t - fromT, s.p]),
          ),
          ...(fit === null || analysis?.kind !== 'hold'
            ? []
            : [
                line('fit', '6 3', 'fit', along(curve)),
                line('what the limit would lose', '2 4', 'limit', along(limitCurve(held, fit, analysis, analysis.limitMlPerMin))),
              ]),
        ]}
      />
      {fit !== null && (
        <LineChart
          title="What the fit leaves over"
          height={120}
          {...axes}
          y={{ name: `left over, ${units.pressure}`, say: (p) => fixed(p, digits + 1) }}
          series={[
            line(
              'left over',
              '',
              'dots',
              held.map((s, i) => [s.tS - fromT, s.pBar - (curve[i] as number)]),
            ),
          ]}
        />
      )}
    </div>
  );
}

const thinned = <T,>(points: readonly T[]): readonly T[] => {
  const every = Math.max(1, Math.ceil(points.length / MOST_POINTS));
  return points.filter((_, i) => i % every === 0 || i === points.length - 1);
};
