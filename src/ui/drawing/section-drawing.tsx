import type { Family } from '@/core/family/family';
import type { Geometry, Span } from '@/core/family/geometry';
import type { Lane } from '@/core/family/lane';
import { PART_KINDS } from '@/core/family/part-kind';
import { type Box, type SectionPart, sectionOf } from '@/core/family/section';
import type { Outline } from '@/core/family/shape/outline';
import type { BoreOutcome } from '@/core/judge/outcome';
import { sayLength } from '@/core/quantity/say';
import type { Units } from '@/core/quantity/units';
import type { DrawnPart } from '@/core/unit/drawn-parts';
import { SignShape } from './verdict-sign';

export type SectionMark = {
  readonly name: string;
  readonly x0Mm: number;
  readonly x1Mm: number;
  readonly clock0Deg: number;
  readonly outcome: BoreOutcome | null;
};

export type SectionProps = {
  readonly family: Family;
  readonly geometry: Geometry;
  readonly units: Units;
  readonly lanes?: readonly Lane[];
  readonly marks?: readonly SectionMark[];
  /** Where the end of the stones must stop short of the bottom, mm. */
  readonly stopAtMm?: number | null;
  /** Chambers that are under pressure. */
  readonly pressed?: readonly Span[];
  /** The tray from the open end. */
  readonly parts: readonly DrawnPart[];
  /** Parts, by slot, that the picture is not about. */
  readonly faint?: readonly string[];
  /** Put together, or pulled apart with the tray's numbers on the parts. */
  readonly view: 'together' | 'apart';
  /** What it covers at least, mm: drawings side by side are of one scale. */
  readonly frame?: Box;
  /** The page that shows the tray; its lines are named by slot. Empty: this page. Null: parts lead nowhere. */
  readonly trayHref: string | null;
};

const INK = 'var(--ink)';
const STATE_WORDS: { readonly [S in DrawnPart['state']]: string } = { in: '', out: ', out', absent: ', absent', marked: ', this one' };

/** The unit cut along its axis, true to scale, with its lanes below and its marks on the bore. Parts that are out are ghosts, those that never were are crossed out. */
export function SectionDrawing({
  family,
  geometry,
  units,
  lanes = [],
  marks = [],
  stopAtMm = null,
  pressed = [],
  parts,
  faint = [],
  view,
  frame,
  trayHref,
}: SectionProps) {
  const section = sectionOf(family, geometry, parts);
  const apart = view === 'apart';
  const [x0, y0, w, h] = frame ?? (apart ? section.apartBox : section.box);
  const r = section.boreRadiusMm;
  const rows = laneRows(lanes);
  const laneTop = y0 + h + 0.6;
  const top = y0 - (apart ? 6 : 5);
  // Wide enough for the names beside the lanes.
  const width = Math.max(w, ...lanes.map((l) => l.x1Mm + NAME_MM - x0));
  const height = y0 + h - top + (lanes.length > 0 ? rows.count * 3.4 + 1.5 : 1);
  const ticks = Array.from({ length: Math.floor(geometry.lengthMm / 5) + 1 }, (_, i) => i * 5);
  return (
    // biome-ignore lint/a11y/useSemanticElements: a drawing with links in it
    <svg
      viewBox={`${x0} ${top} ${width} ${height}`}
      role="group"
      aria-label={`Section of the ${family.label.toLowerCase()}, open end to the left${apart ? ', pulled apart' : ''}`}
      className="section h-auto w-full"
    >
      <defs>
        <pattern id="cut" width="2.6" height="2.6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="2.6" height="2.6" fill="var(--hair)" />
          <path d="M0 0V2.6" stroke="var(--line)" strokeWidth="0.5" />
        </pattern>
        <pattern id="turned" width="1.5" height="1.5" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
          <rect width="1.5" height="1.5" fill="var(--plate)" />
          <path d="M0 0V1.5" stroke="var(--line)" strokeWidth="0.16" />
        </pattern>
        <pattern id="moulded" width="1.3" height="1.3" patternUnits="userSpaceOnUse">
          <rect width="1.3" height="1.3" fill="var(--sheet)" />
          <circle cx="0.65" cy="0.65" r="0.24" fill="var(--ink2)" />
        </pattern>
      </defs>
      {!apart && (
        <g fill="var(--ink2)" fontSize="2.5">
          <path d={ticks.map((x) => `M${x} ${top + 4.6}v${x % 10 === 0 ? -1.9 : -1}`).join('')} stroke="var(--ink2)" strokeWidth="0.25" />
          {ticks.map(
            (x) =>
              x % 10 === 0 && (
                <text key={x} x={x + 0.6} y={top + 3.3}>
                  {sayLength(x, units)}
                </text>
              ),
          )}
        </g>
      )}
      <g fill="url(#cut)" stroke={INK} strokeWidth="0.3">
        {section.body.map((o, i) => (
          <path key={i} d={pathOf(o)} />
        ))}
      </g>
      <path d={`M${x0} 0H${x0 + w}`} stroke="var(--ink2)" strokeWidth="0.2" strokeDasharray="5 1 1 1" />
      {!apart &&
        pressed.map((c) => (
          <rect key={c.x0Mm} x={c.x0Mm} y={-r} width={c.x1Mm - c.x0Mm} height={2 * r} fill="var(--brass-ground)">
            <title>The chamber that is pressed</title>
          </rect>
        ))}
      {section.parts.map((part, i) => (
        <Part
          key={part.slotId}
          part={part}
          number={parts[i]?.no ?? i + 1}
          state={parts[i]?.state ?? 'in'}
          opacity={faint.includes(part.slotId) ? 0.25 : 1}
          view={view}
          trayHref={trayHref}
          units={units}
          fontMm={Math.max(2.8, w / 72, h / 18)}
        />
      ))}
      {!apart &&
        marks.map((m) => {
          const y = -Math.cos((m.clock0Deg * Math.PI) / 180) * r;
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
      {!apart && stopAtMm !== null && (
        <g stroke="var(--red)" strokeWidth="0.5">
          <title>{`Stones stop at ${sayLength(stopAtMm, units)} ${units.length}`}</title>
          <path d={`M${stopAtMm} ${-r}V${r}`} />
          <text x={stopAtMm - 0.8} y={-r + 3} textAnchor="end" fontSize="2.5" fill="var(--red)" stroke="none">
            stones stop {sayLength(geometry.lengthMm - stopAtMm, units)} {units.length} short
          </text>
        </g>
      )}
      {lanes.map((lane, i) => {
        const y = laneTop + (rows.of[i] as number) * 3.4;
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

/** Rubber is solid, plastic dotted, turned metal finely hatched; the ghost of a part that is out keeps only its outline. */
const FILLS = { rubber: 'var(--ink2)', plastic: 'url(#moulded)', metal: 'url(#turned)' } as const;

function Part({
  part,
  number,
  state,
  opacity,
  view,
  trayHref,
  units,
  fontMm,
}: {
  readonly part: SectionPart;
  readonly number: number;
  readonly state: DrawnPart['state'];
  readonly opacity: number;
  readonly view: SectionProps['view'];
  readonly trayHref: string | null;
  readonly units: Units;
  readonly fontMm: number;
}) {
  const [dx, dy] = view === 'apart' ? part.apart : [0, 0];
  const fill = state === 'marked' ? 'var(--act)' : state === 'in' || view === 'apart' ? FILLS[PART_KINDS[part.kind].stuff] : 'none';
  const { x0: left, x1: right, y0: upper, y1: lower } = part.extent;
  const label = `${part.name}${STATE_WORDS[state]}`;
  // Numbers stand above a part; beside what sits in the wall, where something else may be above.
  const beside = lower < 0 || upper > 0;
  const look = {
    className: 'section-part',
    'data-state': state,
    style: { transform: `translate(${dx}px, ${dy}px)` },
    fill,
    opacity,
    stroke: state === 'marked' ? 'var(--act)' : state === 'in' || view === 'apart' ? INK : 'var(--line)',
    strokeWidth: 0.3,
    strokeDasharray: state === 'in' || state === 'marked' ? undefined : state === 'out' ? '1.2 1' : '0.5 0.9',
  };
  const drawn = (
    <>
      <title>{`${label}: ${sayLength(part.span.x0Mm, units)} to ${sayLength(part.span.x1Mm, units)} ${units.length}`}</title>
      {/* What is thin is still wide enough for a finger or a pointer. */}
      <rect x={left - 0.6} y={upper} width={right - left + 1.2} height={lower - upper} fill="transparent" stroke="none" />
      {runsOf(part.outlines).map((run, i) => (
        <path key={i} d={run.map(pathOf).join('')} fill={run[0]?.hole ? 'var(--sheet)' : run[0]?.closed ? undefined : 'none'} />
      ))}
      {state === 'absent' && (
        <path d={`M${left} ${upper}L${right} ${lower}M${left} ${lower}L${right} ${upper}`} stroke="var(--line)" strokeDasharray="none" />
      )}
      {view === 'apart' && (
        <text
          x={beside ? right + fontMm * 0.4 : (left + right) / 2}
          y={beside ? (upper + lower) / 2 + fontMm * 0.35 : upper - fontMm * 0.5}
          fontSize={fontMm}
          fontWeight="700"
          textAnchor={beside ? 'start' : 'middle'}
          fill={INK}
          stroke="none"
        >
          {number}
        </text>
      )}
    </>
  );
  return trayHref === null ? (
    <g {...look}>{drawn}</g>
  ) : (
    <a {...look} href={`${trayHref}#part-${part.slotId}`} aria-label={label}>
      {drawn}
    </a>
  );
}

/** Outlines in their order, those of a kind that follow each other together: a spring is drawn as a few paths, not as dozens. */
const runsOf = (outlines: readonly Outline[]): readonly (readonly Outline[])[] => {
  const runs: Outline[][] = [];
  for (const o of outlines) {
    const last = runs.at(-1);
    if (last?.[0]?.closed === o.closed && last[0].hole === o.hole) last.push(o);
    else runs.push([o]);
  }
  return runs;
};

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
