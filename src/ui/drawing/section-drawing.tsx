import type { BoreOutcome } from '@/core/bore/judge';
import type { Lane } from '@/core/bore/lane';
import type { Family } from '@/core/family/family';
import type { Geometry } from '@/core/family/geometry';
import { type Outline, sectionOf } from '@/core/family/section';
import { sayLength } from '@/core/quantity/say';
import type { Units } from '@/core/quantity/units';
import { SignShape } from './verdict-sign';

export type SectionMark = {
  readonly name: string;
  readonly x0Mm: number;
  readonly x1Mm: number;
  readonly clock0Deg: number;
  readonly outcome: BoreOutcome | null;
};

const INK = 'var(--ink)';
const STEEL = 'var(--hair)';

/** The unit cut along its axis, true to scale, with its lanes below and its marks on the bore. Parts that are out are drawn as dashed ghosts. */
export function SectionDrawing({
  family,
  geometry,
  units,
  lanes = [],
  marks = [],
  present,
  trayHref,
}: {
  readonly family: Family;
  readonly geometry: Geometry;
  readonly units: Units;
  readonly lanes?: readonly Lane[];
  readonly marks?: readonly SectionMark[];
  /** Slots whose part is in the unit. */
  readonly present: ReadonlySet<string>;
  /** The page that shows the tray; its lines are named by slot. Empty: this page. */
  readonly trayHref: string;
}) {
  const section = sectionOf(family, geometry);
  const [x0] = section.box;
  // Wide enough for the names beside the lanes.
  const width = Math.max(section.box[2], ...lanes.map((l) => l.x1Mm + NAME_MM - x0));
  const half = section.boreRadiusMm + geometry.wallMm + 2;
  const rows = laneRows(lanes);
  const top = -half - 5;
  const height = 2 * half + 5.5 + (lanes.length > 0 ? rows.count * 3.4 + 1 : 2);
  const ticks = Array.from({ length: Math.floor(geometry.lengthMm / 5) + 1 }, (_, i) => i * 5);
  return (
    // biome-ignore lint/a11y/useSemanticElements: a drawing with links in it
    <svg
      viewBox={`${x0} ${top} ${width} ${height}`}
      role="group"
      aria-label={`Section of the ${family.label.toLowerCase()}, open end to the left`}
      className="h-auto max-h-[208px] w-full"
    >
      <defs>
        <pattern id="cut" width="2.6" height="2.6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="2.6" height="2.6" fill={STEEL} />
          <path d="M0 0V2.6" stroke="var(--line)" strokeWidth="0.5" />
        </pattern>
      </defs>
      <g fill="var(--ink2)" fontSize="2.5">
        {ticks.map((x) => (
          <g key={x}>
            <path d={`M${x} ${top + 4.6}v${x % 10 === 0 ? -1.9 : -1}`} stroke="var(--ink2)" strokeWidth="0.25" />
            {x % 10 === 0 && (
              <text x={x + 0.6} y={top + 3.3}>
                {sayLength(x, units)}
              </text>
            )}
          </g>
        ))}
      </g>
      <g fill="url(#cut)" stroke={INK} strokeWidth="0.3">
        {section.body.map((o, i) => (
          <path key={i} d={pathOf(o)} />
        ))}
      </g>
      <path d={`M${section.axis.x0Mm} 0H${section.axis.x1Mm}`} stroke="var(--line)" strokeWidth="0.25" strokeDasharray="4 1 1 1" />
      {section.parts.map((part) => {
        const here = present.has(part.slotId);
        return (
          <a key={part.slotId} href={`${trayHref}#part-${part.slotId}`} aria-label={`${part.name}${here ? '' : ', out'}`}>
            <g
              fill={!here ? 'none' : part.kind === 'cup' ? 'var(--ink2)' : 'var(--plate)'}
              stroke={here ? INK : 'var(--line)'}
              strokeWidth="0.35"
              strokeDasharray={here ? undefined : '1.2 1'}
            >
              <title>{`${part.name}${here ? '' : ' (out)'}`}</title>
              {part.outlines.map((o, i) => (
                <path key={i} d={pathOf(o)} fill={o.closed ? undefined : 'none'} />
              ))}
            </g>
          </a>
        );
      })}
      {marks.map((m) => {
        const y = -Math.cos((m.clock0Deg * Math.PI) / 180) * section.boreRadiusMm;
        const x = (m.x0Mm + m.x1Mm) / 2;
        return (
          <g key={m.name} transform={`translate(${x - 1.3} ${y - 1.3})`}>
            <circle cx="1.3" cy="1.3" r="1.5" fill="var(--sheet)" />
            <g transform="scale(0.081)" color={INK}>
              <SignShape outcome={m.outcome} />
            </g>
            <text x="3.1" y={y > 0 ? -0.2 : 4.4} fontSize="2.3" fill={INK}>
              {m.name}
            </text>
          </g>
        );
      })}
      {lanes.map((lane, i) => {
        const y = half + 1.2 + (rows.of[i] as number) * 3.4;
        return (
          <g key={lane.sealId}>
            <title>{`${lane.sealId.replaceAll('-', ' ')}: lane ${sayLength(lane.x0Mm, units)} to ${sayLength(lane.x1Mm, units)} ${units.length}, rests ${sayLength((lane.parked0Mm + lane.parked1Mm) / 2, units)}`}</title>
            <rect x={lane.x0Mm} y={y} width={lane.x1Mm - lane.x0Mm} height="1.5" fill="var(--tint)" />
            <rect x={lane.parked0Mm} y={y} width={lane.parked1Mm - lane.parked0Mm} height="1.5" fill="var(--act)" />
            <text x={lane.x1Mm + 0.8} y={y + 1.6} fontSize="2.3" fill="var(--ink2)">
              {lane.sealId.replaceAll('-', ' ')}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

export const pathOf = (o: Outline): string => `M${o.points.map(([x, y]) => `${round(x)} ${round(y)}`).join('L')}${o.closed ? 'Z' : ''}`;
const round = (v: number): number => Math.round(v * 100) / 100;

/** Width that a lane's name takes beside it, mm. */
const NAME_MM = 16;

/** Puts lanes in as few rows as their bands and names allow. */
const laneRows = (lanes: readonly Lane[]): { readonly of: readonly number[]; readonly count: number } => {
  const ends: number[] = [];
  const of = lanes.map((lane) => {
    const free = ends.findIndex((end) => end < lane.x0Mm);
    const row = free === -1 ? ends.length : free;
    ends[row] = lane.x1Mm + NAME_MM;
    return row;
  });
  return { of, count: ends.length };
};
