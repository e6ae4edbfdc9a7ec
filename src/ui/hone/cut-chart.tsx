import { scaleLinear } from 'd3-scale';
import type { Station } from '@/core/gauge/station';
import type { FieldProfile, Stroke } from '@/core/hone/simulate';
import { sayDia, sayLength } from '@/core/quantity/say';
import { useUnits } from '../shell/units-context';

const [WIDTH, HEIGHT, LEFT, RIGHT] = [830, 210, 60, 112];
/** Room under the curves for the stones at both ends of their stroke. */
const STONES = 46;

/** A cut before it is made: the bore as gauged, as the simulation leaves it with its ovality as a band, and the stones at both ends of their stroke. */
export function CutChart({
  before,
  after,
  measured,
  lengthMm,
  stroke,
  lines,
}: {
  readonly before: readonly Station[];
  readonly after: FieldProfile | undefined;
  /** What was gauged afterwards, if it was. */
  readonly measured: readonly Station[];
  readonly lengthMm: number;
  readonly stroke: Stroke;
  /** Levels to draw across, mm. */
  readonly lines: readonly { readonly mm: number; readonly text: string; readonly look: 'limit' | 'target' }[];
}) {
  const units = useUnits();
  const all = [
    ...before.flatMap((s) => [s.highMm, s.lowMm]),
    ...measured.flatMap((s) => [s.highMm, s.lowMm]),
    ...lines.map((l) => l.mm),
    ...(after?.highMm ?? []),
  ];
  const x = scaleLinear([-stroke.stoneLengthMm / 2, lengthMm + stroke.stoneLengthMm / 2], [LEFT, WIDTH - RIGHT]);
  const y = scaleLinear([Math.min(...all) - 0.006, Math.max(...all) + 0.006], [HEIGHT - STONES, 12]);
  const path = (xs: readonly number[], ys: readonly number[]): string =>
    xs.map((mm, i) => `${x(mm).toFixed(1)} ${y(ys[i] as number).toFixed(1)}`).join('L');
  const stoneAt = (fromMm: number): string => {
    const top = HEIGHT - STONES + 16;
    return `M${x(fromMm)} ${top}H${x(fromMm + stroke.stoneLengthMm)}v9H${x(fromMm)}Z`;
  };
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="h-auto w-full"
      role="img"
      aria-label="Diameter along the bore, before and after the simulated cut"
    >
      <text x="0" y="14" fontSize="12" fill="var(--ink2)">
        ⌀ {units.length}
      </text>
      <path d={`M${x(0)} 6V${HEIGHT - STONES}M${x(lengthMm)} 6V${HEIGHT - STONES}`} stroke="var(--hair)" />
      {lines.map((l) => (
        <g key={l.text}>
          <path
            d={`M${LEFT} ${y(l.mm)}H${WIDTH - RIGHT}`}
            stroke={l.look === 'limit' ? 'var(--red)' : 'var(--ink)'}
            strokeDasharray={l.look === 'limit' ? undefined : '5 3'}
          />
          <text x={WIDTH - RIGHT + 4} y={y(l.mm) + 3} fill={l.look === 'limit' ? 'var(--red)' : 'var(--ink)'} fontSize="12">
            {l.text} {sayDia(l.mm, units)}
          </text>
        </g>
      ))}
      <path
        d={`M${path(
          before.map((s) => s.xMm),
          before.map((s) => s.meanMm),
        )}`}
        fill="none"
        stroke="var(--ink2)"
        strokeDasharray="2 3"
      />
      {after !== undefined && (
        <>
          <path
            d={`M${path([...after.xMm, ...[...after.xMm].reverse()], [...after.highMm, ...[...after.lowMm].reverse()])}Z`}
            fill="var(--act)"
            opacity="0.16"
          />
          <path d={`M${path(after.xMm, after.meanMm)}`} fill="none" stroke="var(--act)" strokeWidth="2" />
        </>
      )}
      {measured.map((s) => (
        <g key={s.xMm} stroke="var(--ink)" strokeWidth="1.5">
          <path d={`M${x(s.xMm)} ${y(s.highMm)}V${y(s.lowMm)}`} />
          <circle cx={x(s.xMm)} cy={y(s.meanMm)} r="3.5" fill="var(--sheet)" />
        </g>
      ))}
      <path d={`M${x(0)} ${HEIGHT - STONES + 12}H${x(lengthMm)}`} stroke="var(--ink)" strokeWidth="2" />
      <path d={stoneAt(-stroke.overrunMm)} fill="var(--tint)" stroke="var(--act)" />
      <path d={stoneAt(stroke.strokeMm - stroke.overrunMm)} fill="none" stroke="var(--act)" strokeDasharray="3 2" />
      <text x={x(0)} y={HEIGHT - 2} fontSize="11" fill="var(--ink2)">
        mouth
      </text>
      <text x={x(lengthMm)} y={HEIGHT - 2} fontSize="11" textAnchor="end" fill="var(--ink2)">
        {sayLength(lengthMm, units)} {units.length}
      </text>
    </svg>
  );
}
