'use client';

import { useMemo } from 'react';
import type { Line } from '@/core/line/line';
import { drawLine } from '@/core/line/line-drawing';
import type { LineSheet } from '@/core/line/line-sheet';
import { sayLength } from '@/core/quantity/say';
import { useUnits } from '../shell/units-context';

/** The bent tube in its plane, to scale: legs with their straights, bends by number, coils where they lie. */
export function LineView({ sheet, line }: { readonly sheet: LineSheet; readonly line: Line }) {
  const units = useUnits();
  const d = useMemo(() => drawLine(sheet, line), [sheet, line]);
  const pad = Math.max(24, 0.12 * Math.max(d.box.width, d.box.height));
  const [width, height] = [d.box.width + 2 * pad, Math.max(d.box.height + 2 * pad, (d.box.width + 2 * pad) * 0.3)];
  const font = Math.max(width, height * 1.6) / 58;
  const top = d.box.y - pad - (height - d.box.height - 2 * pad) / 2;
  return (
    <svg
      viewBox={`${d.box.x - pad} ${top} ${width} ${height}`}
      className="h-auto max-h-[360px] w-full border border-line bg-sheet"
      role="img"
      aria-label={`The tube bent: ${sheet.legs.length} legs, ${sheet.bends.length} bends, ${sheet.coils.length} coils`}
    >
      <path d={d.path} fill="none" stroke="var(--ink)" strokeWidth={sheet.tubeOdMm + font * 0.12} strokeLinejoin="round" />
      <path d={d.path} fill="none" stroke="var(--tint)" strokeWidth={sheet.tubeOdMm - font * 0.06} strokeLinejoin="round" />
      {d.coils.map((p, i) => (
        <g key={i} fill="none" stroke="var(--ink)" strokeWidth={font * 0.14}>
          {[-1, 0, 1].map((n) => (
            <ellipse
              key={n}
              cx={p.x + n * font * 0.55 * Math.cos(p.way)}
              cy={p.y + n * font * 0.55 * Math.sin(p.way)}
              rx={font * 0.5}
              ry={font * 1.5}
              transform={`rotate(${(p.way * 180) / Math.PI} ${p.x + n * font * 0.55 * Math.cos(p.way)} ${p.y + n * font * 0.55 * Math.sin(p.way)})`}
            />
          ))}
        </g>
      ))}
      <g fontSize={font} fill="var(--ink)" stroke="var(--sheet)" strokeWidth={font * 0.25} style={{ paintOrder: 'stroke' }}>
        {d.legs.map((p, i) => (
          <text key={i} x={p.x - Math.sin(p.way) * font * 1.6} y={p.y + Math.cos(p.way) * font * 1.6 + font * 0.35} textAnchor="middle">
            {sayLength(sheet.legs[i] ?? 0, units)}
          </text>
        ))}
        {d.bends.map((p, i) => (
          <text
            key={i}
            x={p.x + Math.sin(p.way) * font * 1.5}
            y={p.y - Math.cos(p.way) * font * 1.5 + font * 0.35}
            textAnchor="middle"
            fill="var(--act)"
            fontWeight="700"
          >
            {i + 1}
          </text>
        ))}
      </g>
      {d.bends.map((p, i) => (
        <path
          key={i}
          d={`M${p.x - Math.sin(p.way) * font * 0.7} ${p.y + Math.cos(p.way) * font * 0.7}L${p.x + Math.sin(p.way) * font * 0.7} ${p.y - Math.cos(p.way) * font * 0.7}`}
          stroke="var(--act)"
          strokeWidth={font * 0.14}
        />
      ))}
      <circle cx={d.ends[0].x} cy={d.ends[0].y} r={font * 0.55} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={font * 0.14} />
      <text x={d.ends[0].x} y={d.ends[0].y - font * 1.1} fontSize={font} textAnchor="middle" fill="var(--ink2)">
        start
      </text>
    </svg>
  );
}
