import { memo } from 'react';
import type { MapScale } from '@/core/bore-map/map-scale';
import { type Patch, piecesOf } from '@/core/bore-map/patch';
import type { BoreOutcome } from '@/core/judge/outcome';

export type MapMark = Patch & {
  readonly id: string;
  readonly name: string;
  readonly outcome: BoreOutcome | null;
  /** Measured before the bore was cut, and not looked at since. */
  readonly unseen: boolean;
};

/** The marks, each filled with the pattern of what it is judged. */
export function MapMarks({
  scale,
  marks,
  chosen,
  onChoose,
}: {
  readonly scale: MapScale;
  readonly marks: readonly MapMark[];
  readonly chosen?: string | undefined;
  readonly onChoose?: ((id: string) => void) | undefined;
}) {
  return (
    <g clipPath="url(#map-plot)">
      {marks.map((m) => (
        <MapMarkShape key={m.id} m={m} scale={scale} chosen={m.id === chosen} onChoose={onChoose} />
      ))}
    </g>
  );
}

/** Judging gives every mark a new answer with each keystroke: a mark is drawn anew only where it is another, or judged so. */
const MapMarkShape = memo(
  ({
    m,
    scale: { x, y, right },
    chosen,
    onChoose,
  }: {
    readonly m: MapMark;
    readonly scale: MapScale;
    readonly chosen: boolean;
    readonly onChoose: ((id: string) => void) | undefined;
  }) => (
    <g
      onPointerDown={
        onChoose === undefined
          ? undefined
          : (e) => {
              e.stopPropagation();
              onChoose(m.id);
            }
      }
      className="cursor-pointer"
    >
      {piecesOf(m).map((p, i) => {
        const [w, h] = [Math.max(9, x(p.x1Mm) - x(p.x0Mm)), Math.max(9, y(p.clock1Deg) - y(p.clock0Deg))];
        const [cx, cy] = [(x(p.x0Mm) + x(p.x1Mm)) / 2, (y(p.clock0Deg) + y(p.clock1Deg)) / 2];
        return (
          <rect
            key={i}
            x={cx - w / 2}
            y={cy - h / 2}
            width={w}
            height={h}
            fill={m.unseen ? 'none' : fillOf(m.outcome)}
            stroke={chosen ? 'var(--act)' : 'var(--ink)'}
            strokeWidth={chosen ? 3 : 1.2}
            strokeDasharray={m.unseen ? '1.5 3' : m.outcome === 'undecided' ? '4 3' : undefined}
          />
        );
      })}
      <text
        x={x(m.x1Mm) > right - 34 ? x(m.x0Mm) - 8 : x(m.x1Mm) + 8}
        y={y(m.clock0Deg) + 4}
        textAnchor={x(m.x1Mm) > right - 34 ? 'end' : 'start'}
        fontSize="12"
        fontWeight="700"
        fill={chosen ? 'var(--act)' : 'var(--ink)'}
      >
        {m.name}
        {m.unseen && ' before the cut'}
      </text>
    </g>
  ),
  (a, b) =>
    a.scale === b.scale &&
    a.chosen === b.chosen &&
    a.onChoose === b.onChoose &&
    a.m.outcome === b.m.outcome &&
    a.m.unseen === b.m.unseen &&
    a.m.name === b.m.name &&
    a.m.x0Mm === b.m.x0Mm &&
    a.m.x1Mm === b.m.x1Mm &&
    a.m.clock0Deg === b.m.clock0Deg &&
    a.m.clock1Deg === b.m.clock1Deg,
);

const fillOf = (outcome: BoreOutcome | null): string => {
  switch (outcome) {
    case 'polish':
    case 'hone':
    case 'sleeve':
      return `url(#fill-${outcome})`;
    case 'scrap':
      return 'var(--ink)';
    case 'reuse':
    case 'undecided':
    case null:
      return 'var(--sheet)';
  }
};
