import { FAMILIES } from '@/core/family/families';
import { geometryAt } from '@/core/family/family';
import { PART_KINDS } from '@/core/family/part-kind';
import { sectionOf } from '@/core/family/section';
import type { Picture } from '@/core/practice/exercise';
import { pathOf } from '../drawing/section-drawing';

const FILLS = { rubber: 'var(--ink2)', plastic: 'var(--hair)', metal: 'var(--plate)' } as const;

/** A section that names nothing: numbers where something is asked, and gaps where a part is left out. */
export function PracticeSection({ picture }: { readonly picture: Extract<Picture, { readonly kind: 'section' }> }) {
  const family = FAMILIES[picture.family];
  if (family.drawing === null) return null;
  const section = sectionOf(family, geometryAt(family.drawing, picture.nominalMm));
  const [x0, y0, w, h] = section.box;
  const font = Math.max(3.4, w / 34);
  const markAt = (slotId: string): { readonly x: number; readonly y: number } => {
    const part = section.parts.find((p) => p.slotId === slotId);
    // What is turned is drawn above and below its axis: the middle of one of its outlines is on it.
    const points = part?.outlines.find((o) => o.closed && !o.hole)?.points ?? part?.outlines[0]?.points ?? [];
    const mean = (of: readonly number[]): number => of.reduce((sum, v) => sum + v, 0) / Math.max(1, of.length);
    return { x: mean(points.map(([x]) => x)), y: mean(points.map(([, y]) => y)) };
  };
  return (
    <svg
      viewBox={`${x0 - 2} ${y0 - 8} ${w + 4} ${h + 16}`}
      className="h-auto max-h-[320px] w-full border border-line bg-sheet"
      role="img"
      aria-label={`Section of a unit, open end to the left, ${picture.numbered.length} places numbered`}
    >
      <g fill="var(--hair)" stroke="var(--ink)" strokeWidth="0.3">
        {section.body.map((o, i) => (
          <path key={i} d={pathOf(o)} />
        ))}
      </g>
      <path d={`M${x0} 0H${x0 + w}`} stroke="var(--ink2)" strokeWidth="0.2" strokeDasharray="5 1 1 1" />
      {section.parts
        .filter((p) => !picture.without.includes(p.slotId))
        .map((p) => (
          <g key={p.slotId} stroke="var(--ink)" strokeWidth="0.3" fill={FILLS[PART_KINDS[p.kind].stuff]}>
            {p.outlines.map((o, i) => (
              <path key={i} d={pathOf(o)} fill={o.hole ? 'var(--sheet)' : o.closed ? undefined : 'none'} />
            ))}
          </g>
        ))}
      {picture.numbered.map((slotId, i) => {
        const { x, y } = markAt(slotId);
        // Numbers stand above and below by turns, with a line to what they mean.
        const top = i % 2 === 0 ? y0 - 4 : y0 + h + 4;
        return (
          <g key={slotId}>
            <path d={`M${x} ${y}V${top}`} stroke="var(--act)" strokeWidth="0.35" />
            <circle cx={x} cy={y} r="0.7" fill="var(--act)" />
            <circle cx={x} cy={top} r={font * 0.75} fill="var(--sheet)" stroke="var(--act)" strokeWidth="0.35" />
            <text x={x} y={top + font * 0.35} textAnchor="middle" fontSize={font} fontWeight="700" fill="var(--ink)">
              {i + 1}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
