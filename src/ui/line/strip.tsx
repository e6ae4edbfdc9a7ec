'use client';

import type { Line } from '@/core/line/line';
import type { LineSheet } from '@/core/line/line-sheet';
import { ticketMarks } from '@/core/line/ticket';
import { sayLength } from '@/core/quantity/say';
import { useUnits } from '../shell/units-context';

const [WIDTH, LEFT, RIGHT] = [960, 20, 20];
/** Marks nearer than this are written on rows of their own. */
const NEAR = 74;

/** The cut tube laid out straight, with every mark that is drawn on it before it is bent. */
export function Strip({ sheet, line }: { readonly sheet: LineSheet; readonly line: Line }) {
  const units = useUnits();
  const xOf = (mm: number): number => LEFT + (mm / line.cutMm) * (WIDTH - LEFT - RIGHT);
  const marks = ticketMarks(sheet, line);
  const lastOn: number[] = [];
  const rows = marks.map((m) => {
    const free = lastOn.findIndex((x) => xOf(m.atMm) - x >= NEAR);
    const row = free === -1 ? lastOn.length : free;
    lastOn[row] = xOf(m.atMm);
    return row;
  });
  const height = 56 + lastOn.length * 30;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="h-auto w-full min-w-[640px] border border-line bg-sheet"
      role="img"
      aria-label={`Marks on the cut tube: ${marks.map((m) => `${m.what} at ${sayLength(m.atMm, units)} ${units.length}`).join('; ')}`}
    >
      <rect x={LEFT} y="14" width={WIDTH - LEFT - RIGHT} height="14" fill="var(--tint)" stroke="var(--ink)" />
      {marks.map((m, i) => {
        const [x, y] = [xOf(m.atMm), 48 + (rows[i] ?? 0) * 30];
        const anchor = x < 60 ? 'start' : x > WIDTH - 90 ? 'end' : 'middle';
        return (
          <g key={i}>
            <path
              d={`M${x} 10V${y - 10}`}
              stroke={m.of === 'end' ? 'var(--ink)' : 'var(--act)'}
              strokeWidth={m.of === 'end' ? 2.5 : 1.5}
              strokeDasharray={m.of === 'flare' ? '3 2' : m.of === 'coil' ? '6 2' : undefined}
            />
            <text x={x} y={y} textAnchor={anchor} fontSize="12" fontWeight="700" fill="var(--ink)">
              {sayLength(m.atMm, units)}
            </text>
            <text x={x} y={y + 12} textAnchor={anchor} fontSize="10.5" fill="var(--ink2)">
              {m.what}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
