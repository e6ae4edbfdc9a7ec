import { scaleLinear } from 'd3-scale';
import type { HoldAnalysis } from '@/core/prove/hold-analysis';
import { fitCurve, type KeptFit, limitCurve } from '@/core/prove/leak-shapes';
import type { RunStep } from '@/core/prove/programme/step';
import type { RigSample } from '@/core/prove/rig-sample';
import type { RunAnalysis } from '@/core/prove/run-analysis';
import { withoutSpikes } from '@/core/prove/spikes';
import { holdOf, traceWindow } from '@/core/prove/trace';
import { pressureIn } from '@/core/quantity/say';
import type { Units } from '@/core/quantity/units';

const [WIDTH, HEIGHT, LEFT, BOTTOM] = [830, 262, 60, 30];

/** Pressure against time: on its way up, then the hold with its fit and the fall that the limit would allow, or what became of it once the rod was let go. */
export function Trace({
  samples,
  analysis,
  step,
  earlier = [],
  units,
}: {
  readonly samples: readonly RigSample[];
  readonly analysis: RunAnalysis | null;
  readonly step: RunStep;
  /** Runs of the same step before this one, to be seen whether it repeats. */
  readonly earlier?: readonly (readonly RigSample[])[];
  readonly units: Units;
}) {
  const { of, shown, fromT, spanS } = traceWindow(samples, step);
  // What stands out alone in a hold is cut off, so that the fall is seen.
  const ps = (of === 'hold' ? withoutSpikes(shown).kept : shown).map((s) => s.p);
  const [low, high] = [Math.min(...ps, Infinity), Math.max(...ps, 0)];
  const pad = Math.max(0.15, (high - low) * 0.1);
  const x = scaleLinear([0, spanS], [LEFT, WIDTH - 14]);
  const y = scaleLinear([Number.isFinite(low) ? low - pad : 0, high + pad], [HEIGHT - BOTTOM, 14]);
  const line = (points: readonly (readonly [number, number])[]): string =>
    `M${points.map(([t, p]) => `${x(t).toFixed(1)} ${y(p).toFixed(1)}`).join('L')}`;
  const overTime = (all: readonly RigSample[], from: number): string => line(all.map((s) => [s.t - from, s.p]));
  const letGoT = of === 'gone' ? shown.find((s) => s.phase === 'gone')?.t : undefined;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="h-auto w-full border border-line bg-sheet"
      role="img"
      aria-label={`Pressure trace, ${samples.length} samples`}
    >
      <clipPath id="trace-box">
        <rect x={LEFT} y="6" width={WIDTH - LEFT} height={HEIGHT - BOTTOM - 6} />
      </clipPath>
      {y.ticks(5).map((p) => (
        <g key={p}>
          <path d={`M${LEFT} ${y(p)}H${WIDTH - 14}`} stroke="var(--hair)" />
          <text x={LEFT - 8} y={y(p) + 4} textAnchor="end" fontSize="12" fill="var(--ink2)">
            {pressureIn(p, units).toFixed(units.pressure === 'bar' ? 1 : 0)}
          </text>
        </g>
      ))}
      {x.ticks(6).map((t) => (
        <text key={t} x={x(t)} y={HEIGHT - 10} textAnchor={t >= spanS ? 'end' : 'middle'} fontSize="12" fill="var(--ink2)">
          {t} s
        </text>
      ))}
      <g clipPath="url(#trace-box)" fill="none">
        {of === 'hold' &&
          earlier.map((run, i) => {
            const hold = run.filter((s) => s.phase === 'hold');
            return <path key={i} d={overTime(hold, hold[0]?.t ?? 0)} stroke="var(--line)" />;
          })}
        {shown.length > 1 && <path d={overTime(shown, fromT)} stroke="var(--ink)" />}
        {shown.length < 60 &&
          shown.map((s) => <circle key={s.t} cx={x(s.t - fromT)} cy={y(s.p)} r="2.5" fill="var(--ink)" stroke="none" />)}
        {of === 'hold' && analysis?.kind === 'hold' && analysis.fit !== null && (
          <Fit samples={samples} fromT={fromT} analysis={analysis} fit={analysis.fit} line={line} />
        )}
        {letGoT !== undefined && (
          <path d={`M${x(letGoT - fromT)} 14V${HEIGHT - BOTTOM}`} stroke="var(--act)" strokeWidth="2" strokeDasharray="3 3" />
        )}
      </g>
      <text x={WIDTH - 18} y="18" textAnchor="end" fontSize="12" fill="var(--ink2)">
        {letGoT !== undefined
          ? 'blue: the rod is let go'
          : of === 'hold' && analysis !== null
            ? `blue: fit · red dots: what the limit would lose${earlier.length > 0 ? ' · grey: earlier runs' : ''}`
            : ''}
      </text>
    </svg>
  );
}

function Fit({
  samples,
  fromT,
  analysis,
  fit,
  line,
}: {
  readonly samples: readonly RigSample[];
  readonly fromT: number;
  readonly analysis: HoldAnalysis;
  readonly fit: KeptFit;
  readonly line: (points: readonly (readonly [number, number])[]) => string;
}) {
  const held = holdOf(samples);
  const along = (ps: readonly number[]): string => line(ps.map((p, i) => [(held[i]?.tS ?? 0) - fromT, p]));
  return (
    <>
      <path d={along(fitCurve(held, fit))} stroke="var(--act)" strokeWidth="2" />
      <path d={along(limitCurve(held, fit, analysis, analysis.limitMlPerMin))} stroke="var(--red)" strokeDasharray="2 4" />
    </>
  );
}

/** What the fit leaves over, so that a bad fit is seen. */
export function Residuals({
  samples,
  analysis,
  step,
}: {
  readonly samples: readonly RigSample[];
  readonly analysis: HoldAnalysis;
  readonly step: RunStep;
}) {
  if (analysis.fit === null) return null;
  const held = holdOf(samples);
  const { fromT: t0, spanS } = traceWindow(samples, step);
  const curve = fitCurve(held, analysis.fit);
  const left = held.map((s, i) => [s.tS - t0, s.pBar - (curve[i] as number)] as const);
  const reach = Math.max(0.01, ...left.map(([, e]) => Math.abs(e)));
  const every = Math.max(1, Math.floor(left.length / 300));
  return (
    <svg
      viewBox={`0 0 ${WIDTH} 60`}
      className="h-auto w-full"
      role="img"
      aria-label={`Left over by the fit, within ${reach.toFixed(2)} bar`}
    >
      <text x="0" y="24" fontSize="11" fill="var(--ink2)">
        left over
      </text>
      <text x="0" y="40" fontSize="12" fill="var(--ink2)">
        ±{reach.toFixed(2)} bar
      </text>
      <path d={`M${LEFT} 30H${WIDTH - 14}`} stroke="var(--line)" />
      {left
        .filter((_, i) => i % every === 0)
        .map(([t, e], i) => (
          <circle key={i} cx={LEFT + (t / spanS) * (WIDTH - LEFT - 14)} cy={30 - (e / reach) * 26} r="1.4" fill="var(--ink)" />
        ))}
    </svg>
  );
}
