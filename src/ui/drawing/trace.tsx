import { scaleLinear } from 'd3-scale';
import { fitCurve } from '@/core/prove/leak-law';
import type { RigSample, RunAnalysis } from '@/core/prove/run-analysis';
import { holdOf } from '@/core/prove/trace';
import { pressureIn } from '@/core/quantity/say';
import type { Units } from '@/core/quantity/units';

const [WIDTH, HEIGHT, LEFT, BOTTOM] = [830, 270, 60, 30];

/** Pressure against time: while filling the whole run, then the hold with its fit, and the fall that the limit would allow. */
export function Trace({
  samples,
  analysis,
  holdS,
  earlier = [],
  units,
}: {
  readonly samples: readonly RigSample[];
  readonly analysis: RunAnalysis | null;
  readonly holdS: number;
  /** Holds of the same unit before this one, to be seen whether it repeats. */
  readonly earlier?: readonly (readonly RigSample[])[];
  readonly units: Units;
}) {
  const hold = samples.filter((s) => s.phase === 'hold');
  const shown = hold.length > 5 ? hold : samples.filter((s) => s.phase === 'fill');
  const t0 = shown[0]?.t ?? 0;
  const ps = shown.map((s) => s.p);
  const [low, high] = [Math.min(...ps, Infinity), Math.max(...ps, 0)];
  const pad = Math.max(0.15, (high - low) * 0.1);
  const x = scaleLinear([0, hold.length > 5 ? holdS : 12], [LEFT, WIDTH - 14]);
  const y = scaleLinear([Number.isFinite(low) ? low - pad : 0, high + pad], [HEIGHT - BOTTOM, 14]);
  const line = (points: readonly (readonly [number, number])[]): string =>
    `M${points.map(([t, p]) => `${x(t).toFixed(1)} ${y(p).toFixed(1)}`).join('L')}`;
  const fit = hold.length > 5 ? analysis?.fit : undefined;
  const held = holdOf(samples);
  const along = (ps: readonly number[]): string => line(ps.map((p, i) => [(held[i]?.tS ?? 0) - t0, p]));
  const limitRate = analysis === null ? 0 : analysis.limitMlPerMin / analysis.complianceMlPerBar / 60;
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
        <text key={t} x={x(t)} y={HEIGHT - 10} textAnchor={t === holdS ? 'end' : 'middle'} fontSize="12" fill="var(--ink2)">
          {t} s
        </text>
      ))}
      <g clipPath="url(#trace-box)" fill="none">
        {hold.length > 5 && earlier.map((run, i) => <path key={i} d={line(fromStart(run))} stroke="var(--line)" />)}
        {shown.length > 1 && <path d={line(shown.map((s) => [s.t - t0, s.p]))} stroke="var(--ink)" />}
        {fit !== undefined && (
          <>
            <path d={along(fitCurve(held, fit))} stroke="var(--act)" strokeWidth="2" />
            <path d={along(fitCurve(held, fit, limitRate))} stroke="var(--red)" strokeDasharray="2 4" />
          </>
        )}
      </g>
      {fit !== undefined && (
        <text x={WIDTH - 18} y="18" textAnchor="end" fontSize="12" fill="var(--ink2)">
          blue: fit · red dots: what the limit would lose{earlier.length > 0 ? ' · grey: earlier holds' : ''}
        </text>
      )}
    </svg>
  );
}

/** A hold's pressures over its own time. */
const fromStart = (run: readonly RigSample[]): readonly (readonly [number, number])[] => {
  const hold = run.filter((s) => s.phase === 'hold');
  return hold.map((s) => [s.t - (hold[0]?.t ?? 0), s.p]);
};

/** What the fit leaves over, so that a bad fit is seen. */
export function Residuals({
  samples,
  analysis,
  holdS,
}: {
  readonly samples: readonly RigSample[];
  readonly analysis: RunAnalysis;
  readonly holdS: number;
}) {
  const hold = samples.filter((s) => s.phase === 'hold');
  const t0 = hold[0]?.t ?? 0;
  const curve = fitCurve(holdOf(samples), analysis.fit);
  const left = hold.map((s, i) => [s.t - t0, s.p - (curve[i] as number)] as const);
  const reach = Math.max(0.01, ...left.map(([, e]) => Math.abs(e)));
  return (
    <svg
      viewBox={`0 0 ${WIDTH} 60`}
      className="h-auto w-full"
      role="img"
      aria-label={`Left over by the fit, within ${reach.toFixed(2)} bar`}
    >
      <text x="0" y="26" fontSize="12" fill="var(--ink2)">
        left over
      </text>
      <text x="0" y="42" fontSize="12" fill="var(--ink2)">
        ±{reach.toFixed(2)} bar
      </text>
      <path d={`M${LEFT + 8} 30H${WIDTH - 14}`} stroke="var(--line)" />
      {left
        .filter((_, i) => i % 3 === 0)
        .map(([t, e], i) => (
          <circle key={i} cx={LEFT + 8 + (t / holdS) * (WIDTH - LEFT - 22)} cy={30 - (e / reach) * 26} r="1.4" fill="var(--ink)" />
        ))}
    </svg>
  );
}
