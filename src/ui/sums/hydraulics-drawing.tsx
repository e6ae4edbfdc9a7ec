import { sayForce, sayNominal } from '@/core/quantity/say';
import type { HydraulicsSheet } from '@/core/sums/hydraulics-sheet';
import { useUnits } from '../shell/units-context';

const [WIDTH, HEIGHT] = [760, 190];
/** Bores are drawn to one scale, so that one sees which is the larger. */
const PER_MM = 1.6;

/** Pedal, master and cylinders in a line, bores to one scale; each figure stands where it acts. */
export function HydraulicsDrawing({ sheet, pressure }: { readonly sheet: HydraulicsSheet; readonly pressure: string | undefined }) {
  const units = useUnits();
  const { bore = 22.225, force, ratio } = sheet;
  const master = bore * PER_MM;
  const shown = sheet.cylinders.slice(0, 4);
  const gap = 240 / Math.max(1, shown.length);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="h-auto w-full border border-line bg-sheet"
      role="img"
      aria-label={`Pedal, master ${sayNominal(bore)} and ${sheet.cylinders.length} sizes of cylinder${pressure === undefined ? '' : ` at ${pressure}`}`}
    >
      <g stroke="var(--ink)" strokeWidth="1.4" fill="none">
        <path d="M60 22L84 150" strokeWidth="5" />
        <circle cx="60" cy="22" r="4" fill="var(--sheet)" />
        <path d="M76 96H170" strokeWidth="3" />
        <rect x="170" y={96 - master / 2 - 6} width="150" height={master + 12} fill="var(--hair)" />
        <rect x="170" y={96 - master / 2} width="144" height={master} fill="var(--sheet)" />
        <rect x="176" y={96 - master / 2 + 1} width="46" height={master - 2} fill="var(--tint)" />
        <path d={`M320 96H${WIDTH - 300}`} />
        {shown.map((c, i) => {
          const x = WIDTH - 290 + i * gap;
          const size = c.diaMm * PER_MM;
          return (
            <g key={i}>
              <path d={`M${WIDTH - 300} 96H${x + 20}V${96 - size / 2}`} />
              <rect x={x} y={96 - size / 2} width="44" height={size} fill="var(--sheet)" />
              <rect x={x + 26} y={96 - size / 2 + 1} width="17" height={size - 2} fill="var(--tint)" />
              <path d={`M${x + 44} 96h14m-6 -4l6 4l-6 4`} />
            </g>
          );
        })}
      </g>
      <g fontSize="13" fill="var(--ink)">
        <text x="90" y="156">
          {force === undefined ? 'pedal force?' : sayForce(force, units, 3)}
        </text>
        <text x="78" y="40">
          {ratio === undefined ? 'ratio?' : `ratio ${ratio}`}
        </text>
        <text x="245" y={96 - master / 2 - 12} textAnchor="middle">
          master ⌀ {sheet.bore === undefined ? '?' : sayNominal(bore)}
        </text>
        {pressure !== undefined && (
          <text x="390" y="88" textAnchor="middle" fontWeight="700">
            {pressure}
          </text>
        )}
        {shown.map((c, i) => (
          <text key={i} x={WIDTH - 290 + i * gap + 22} y={96 + (c.diaMm * PER_MM) / 2 + 16} textAnchor="middle" fontSize="12">
            {c.id} {c.count}×
          </text>
        ))}
      </g>
    </svg>
  );
}
