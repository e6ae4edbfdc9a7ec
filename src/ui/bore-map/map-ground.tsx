import type { Gauged } from '@/core/bore-map/gauged';
import type { MapScale } from '@/core/bore-map/map-scale';
import type { Geometry } from '@/core/family/geometry';
import type { Lane } from '@/core/family/lane';
import { sayLength } from '@/core/quantity/say';
import type { Units } from '@/core/quantity/units';

/** What lies under the marks: lanes with their parked bands, ports, gauged depths, clock and depth lines. */
export function MapGround({
  scale: { x, y, left, right, top, bottom, height, view },
  geometry,
  lanes,
  gauged,
  units,
  laneOpacity = 1,
}: {
  readonly scale: MapScale;
  readonly geometry: Geometry;
  readonly lanes: readonly Lane[];
  readonly gauged: Gauged;
  readonly units: Units;
  /** Less where a photo is to be seen through it. */
  readonly laneOpacity?: number;
}) {
  const span = view.x1Mm - view.x0Mm;
  const step = span > 40 ? 10 : span > 12 ? 2 : span > 5 ? 1 : 0.5;
  const ticks = range(view.x0Mm, view.x1Mm, step);
  const hours = range(view.clock0Deg, view.clock1Deg, view.clock1Deg - view.clock0Deg > 180 ? 90 : 15);
  return (
    <>
      <g clipPath="url(#map-plot)">
        {lanes.map((l) => (
          <g key={l.sealId}>
            <title>{l.sealId.replaceAll('-', ' ')}</title>
            <rect x={x(l.x0Mm)} y={top} width={x(l.x1Mm) - x(l.x0Mm)} height={bottom - top} fill="var(--tint2)" opacity={laneOpacity} />
          </g>
        ))}
        {lanes.map((l, i) => (
          <g key={l.sealId}>
            <rect
              x={x(l.parked0Mm)}
              y={top}
              width={x(l.parked1Mm) - x(l.parked0Mm)}
              height={bottom - top}
              fill="var(--tint)"
              opacity={laneOpacity}
            />
            <text x={x(l.parked0Mm) + 2} y={bottom - 6 - (i % 2) * 13} fontSize="11" fill="var(--act)">
              {l.sealId.replaceAll('-', ' ')}
            </text>
          </g>
        ))}
        {gauged.not.map((s) => (
          <rect
            key={`${s.x0Mm} ${s.x1Mm}`}
            x={x(s.x0Mm)}
            y={top}
            width={x(s.x1Mm) - x(s.x0Mm)}
            height={bottom - top}
            fill="url(#fill-ungauged)"
          >
            <title>{`not gauged: ${sayLength(s.x0Mm, units)} to ${sayLength(s.x1Mm, units)} ${units.length}`}</title>
          </rect>
        ))}
        {hours.map((deg) => (
          <path key={deg} d={`M${left} ${y(deg)}H${right}`} stroke="var(--hair)" />
        ))}
        {gauged.depthsMm.map((mm) => (
          <path key={mm} d={`M${x(mm)} ${top}V${bottom}`} stroke="var(--brass)" strokeDasharray="2 4" />
        ))}
        {geometry.ports
          .filter((p) => p.side !== 'end')
          .flatMap((p) =>
            (p.side === 'top' ? [0, 360] : [180]).map((deg) => (
              <ellipse
                key={`${p.id}-${deg}`}
                cx={x(p.xMm)}
                cy={y(deg)}
                rx={Math.max(2.5, x(p.diaMm / 2) - x(0))}
                ry={Math.max(2.5, y((p.diaMm / (2 * Math.PI * geometry.nominalMm)) * 360) - y(0))}
                fill="var(--sheet)"
                stroke="var(--ink)"
              >
                <title>{`${p.id.replaceAll('-', ' ')} at ${sayLength(p.xMm, units)} ${units.length}`}</title>
              </ellipse>
            )),
          )}
      </g>
      {gauged.depthsMm.map(
        (mm) => mm >= view.x0Mm && mm <= view.x1Mm && <path key={mm} d={`M${x(mm) - 5} ${top - 10}h10l-5 8Z`} fill="var(--brass)" />,
      )}
      {hours.map((deg) => (
        <text key={deg} x="4" y={y(deg) + 4} fontSize="12" fill="var(--ink2)">
          {deg % 360 === 0 ? 'top' : deg === 180 ? 'bottom' : `${deg}°`}
        </text>
      ))}
      {gauged.not.length > 0 && (
        <text x={right} y={height - 6} textAnchor="end" fontSize="12" fill="var(--amber)">
          hatched: not gauged
        </text>
      )}
      {ticks.map((mm) => (
        <g key={mm}>
          <path d={`M${x(mm)} ${bottom}v5`} stroke="var(--ink2)" />
          <text x={x(mm)} y={bottom + 17} textAnchor="middle" fontSize="11" fill="var(--ink2)">
            {sayLength(mm, units)}
          </text>
        </g>
      ))}
      <text x={left} y={height - 6} fontSize="12" fill="var(--ink2)">
        {units.length} from the open end →
      </text>
    </>
  );
}

/** Multiples of a step from one to another. */
const range = (from: number, to: number, step: number): readonly number[] =>
  Array.from({ length: Math.max(0, Math.floor(to / step + 1e-9) - Math.ceil(from / step - 1e-9) + 1) }, (_, i) =>
    Number(((Math.ceil(from / step - 1e-9) + i) * step).toFixed(3)),
  );

export const MapDefs = ({ scale: { left, right, top, bottom } }: { readonly scale: MapScale }) => (
  <defs>
    <clipPath id="map-plot">
      <rect x={left} y={top} width={right - left} height={bottom - top} />
    </clipPath>
    <pattern id="fill-ungauged" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
      <path d="M0 0V7" stroke="var(--amber)" strokeWidth="1.6" />
    </pattern>
    <pattern id="fill-polish" width="5" height="5" patternUnits="userSpaceOnUse">
      <rect width="5" height="5" fill="var(--sheet)" />
      <circle cx="2.5" cy="2.5" r="1" fill="var(--ink)" />
    </pattern>
    <pattern id="fill-hone" width="5" height="5" patternUnits="userSpaceOnUse">
      <rect width="5" height="5" fill="var(--sheet)" />
      <path d="M0 0 5 5M5 0 0 5" stroke="var(--ink)" strokeWidth="0.9" />
    </pattern>
    <pattern id="fill-sleeve" width="6" height="6" patternUnits="userSpaceOnUse">
      <rect width="6" height="6" fill="var(--sheet)" />
      <path d="M1 0V6M4 0V6" stroke="var(--ink)" strokeWidth="1.2" />
    </pattern>
  </defs>
);
