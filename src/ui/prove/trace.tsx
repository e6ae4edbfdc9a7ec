import { scaleLinear } from 'd3-scale';
import type { HoldAnalysis } from '@/core/prove/hold-analysis';
import { fitCurve, type KeptFit, limitCurve } from '@/core/prove/leak-shapes';
import type { RunStep } from '@/core/prove/programme/step';
import type { RigSample } from '@/core/prove/rig-sample';
import type { RunAnalysis } from '@/core/prove/run-analysis';
import { withoutSpikes } from '@/core/prove/spikes';
import { holdOf, traceWindow } from '@/core/prove/trace';
import { fixed } from '@/core/quantity/figure';
import { pressureIn } from '@/core/quantity/say';
import { useUnits } from '../shell/units-context';

const [WIDTH, HEIGHT, LEFT, BOTTOM] = [830, 262, 60, 30];

/** A run as it goes on: on its way up, then the hold with its fit and the fall that the limit would allow, or what became of it once the rod was let go. Drawn by ourselves: ten times a second, on any bench's machine. */
export function Trace({
  samples,
  analysis,
  step,
}: {
  readonly samples: readonly RigSample[];
  readonly analysis: RunAnalysis | null;
  readonly step: RunStep;
}) {
  const units = useUnits();
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
            {fixed(pressureIn(p, units), units.pressure === 'bar' ? 1 : 0)}
          </text>
        </g>
      ))}
      {x.ticks(6).map((t) => (
        <text key={t} x={x(t)} y={HEIGHT - 10} textAnchor={t >= spanS ? 'end' : 'middle'} fontSize="12" fill="var(--ink2)">
          {t} s
        </text>
      ))}
      <g clipPath="url(#trace-box)" fill="none">
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
            ? 'blue: fit · red dots: what the limit would lose'
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
