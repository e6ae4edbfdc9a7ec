import { scaleLinear } from 'd3-scale';
import type { BoreForm } from '@/core/gauge/gauge';
import { sayDia, sayLength } from '@/core/quantity/say';
import { sayDate } from '@/core/quantity/say-time';
import type { Units } from '@/core/quantity/units';
import type { GaugedSet } from '@/core/unit/gauged-before';

const [WIDTH, HEIGHT, LEFT, RIGHT] = [830, 150, 60, 112];

/** The bore's diameter along its depth: station means with their ovality as bars, the gauge's uncertainty as a band, limit, target and nominal as lines. */
export function Profile({
  form,
  lengthMm,
  nominalMm,
  limitMm,
  targetMm,
  earlier = [],
  units,
}: {
  readonly form: BoreForm;
  readonly lengthMm: number;
  readonly nominalMm: number;
  readonly limitMm?: number | undefined;
  readonly targetMm?: number | null | undefined;
  /** As it was gauged before. */
  readonly earlier?: readonly GaugedSet[];
  readonly units: Units;
}) {
  const all = [
    ...earlier.flatMap((e) => e.stations.map((s) => s.meanMm)),
    form.maxMm,
    form.minMm,
    nominalMm,
    ...(limitMm === undefined ? [] : [limitMm]),
    ...(targetMm == null ? [] : [targetMm]),
  ];
  const x = scaleLinear([0, lengthMm], [LEFT, WIDTH - RIGHT]);
  const y = scaleLinear([Math.min(...all) - 0.008, Math.max(...all) + 0.012], [HEIGHT - 14, 12]);
  const means = form.stations.map((s) => [x(s.xMm), y(s.meanMm)] as const);
  const places = labelPlaces(means.map(([px]) => px));
  const half = Math.abs(y(form.expandedUncertaintyMm) - y(0));
  const band = [...means.map(([px, py]) => `${px} ${py - half}`), ...[...means].reverse().map(([px, py]) => `${px} ${py + half}`)].join(
    'L',
  );
  const level = (mm: number, text: string, color: string, dash?: string, below = false) => (
    <g>
      <path d={`M${LEFT} ${y(mm)}H${WIDTH - RIGHT}`} stroke={color} strokeDasharray={dash} />
      <text x={WIDTH - RIGHT + 4} y={y(mm) + (below ? 10 : 2)} fill={color} fontSize="12">
        {text} {sayDia(mm, units)}
      </text>
    </g>
  );
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="mt-2 h-auto w-full"
      role="img"
      aria-label={`Diameter along the bore, ${sayDia(form.minMm, units)} to ${sayDia(form.maxMm, units)} ${units.length}`}
    >
      <text x="0" y="14" fontSize="12" fill="var(--ink2)">
        ⌀ {units.length}
      </text>
      {level(nominalMm, 'nominal', 'var(--ink2)', '1 3', true)}
      {limitMm !== undefined && level(limitMm, 'limit', 'var(--red)')}
      {targetMm != null && level(targetMm, 'target', 'var(--ink)', '5 3', true)}
      {earlier.map((e, i) => (
        <g key={e.at} stroke="var(--ink2)" strokeDasharray={`${4 + 3 * i} 3`} fill="none">
          <title>{`gauged ${sayDate(e.at)}`}</title>
          <path d={`M${e.stations.map((s) => `${x(s.xMm)} ${y(s.meanMm)}`).join('L')}`} />
          {e.stations.map((s) => (
            <path key={s.xMm} d={`M${x(s.xMm) - 3} ${y(s.meanMm) - 3}l6 6m0 -6l-6 6`} strokeDasharray="none" />
          ))}
        </g>
      ))}
      {means.length > 1 && <path d={`M${band}Z`} fill="var(--act)" opacity="0.16" />}
      <path d={`M${means.map((p) => p.join(' ')).join('L')}`} stroke="var(--act)" strokeWidth="1.5" fill="none" />
      {form.stations.map((s, i) => {
        const [px, py] = means[i] as readonly [number, number];
        return (
          <g key={s.xMm}>
            <path d={`M${px} ${y(s.highMm)}V${y(s.lowMm)}`} stroke="var(--act)" strokeWidth="2" />
            <circle cx={px} cy={py} r="3" fill="var(--act)" />
            {places[i] !== 'left-out' && (
              <text
                x={px}
                y={places[i] === 'above' ? y(s.highMm) - 5 : y(s.lowMm) + 14}
                textAnchor="middle"
                fontSize="12"
                fill="var(--ink)"
              >
                {sayDia(s.meanMm, units)}
              </text>
            )}
            <text x={px} y={HEIGHT - 1} textAnchor="middle" fontSize="11" fill="var(--ink2)">
              {sayLength(s.xMm, units)}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

/** Room that a diameter's figures take, px. */
const LABEL_PX = 46;

/** Figures stand above their station where there is room, else below, else they are left to the table. @param xs rising */
const labelPlaces = (xs: readonly number[]): readonly ('above' | 'below' | 'left-out')[] => {
  const last = { above: -Infinity, below: -Infinity };
  return xs.map((x) => {
    const place = x - last.above >= LABEL_PX ? 'above' : x - last.below >= LABEL_PX ? 'below' : 'left-out';
    if (place !== 'left-out') last[place] = x;
    return place;
  });
};
