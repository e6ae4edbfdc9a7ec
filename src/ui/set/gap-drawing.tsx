import type { GapSheet } from '@/core/set/gap-sheet';
import { sayFine } from '@/core/set/say-gap';
import { useUnits } from '../shell/units-context';

const [WIDTH, HEIGHT, AXIS] = [760, 292, 136];

/** Booster, rod, straight edge, spacer and master along the axis, to scale along it; each reading beside the length it fills. What is not entered is drawn as usual, without a figure. */
export function GapDrawing({ sheet, gapMm }: { readonly sheet: GapSheet; readonly gapMm: number | undefined }) {
  const units = useUnits();
  const { standOff = 5, socket = 13, edge = 20, spacer = 0, reading = edge - (socket - standOff) + 0.7 } = sheet;
  // The booster's flange face is nought; the master lies to the right.
  const tip = edge - reading;
  const rim = spacer - standOff;
  const bottom = rim + socket;
  const [from, to] = [Math.min(rim, tip, -6) - 14, Math.max(bottom, edge, spacer + 12) + 10];
  const perMm = WIDTH / (to - from);
  const x = (mm: number): number => (mm - from) * perMm;
  const words = (mm: number | undefined, name: string): string => (mm === undefined ? `${name}?` : `${name} ${sayFine(mm, units)}`);
  const dim = (a: number, b: number, y: number, text: string, color = 'var(--ink2)') => (
    <g stroke={color}>
      <path d={`M${x(a)} ${y}H${x(b)}M${x(a)} ${y - 5}v10M${x(b)} ${y - 5}v10`} fill="none" />
      <text
        x={(x(a) + x(b)) / 2}
        y={y - 6}
        textAnchor="middle"
        fontSize="13"
        fill={color === 'var(--ink2)' ? 'var(--ink)' : color}
        stroke="none"
      >
        {text}
      </text>
    </g>
  );
  const open = gapMm === undefined || gapMm > 0;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="h-auto w-full border border-line bg-sheet"
      role="img"
      aria-label={`Booster, rod and master along their axis${gapMm === undefined ? '' : `; gap ${sayFine(gapMm, units)} ${units.length}`}`}
    >
      <g stroke="var(--ink)" strokeWidth="1.2">
        <path d={`M${x(-4)} 58h${4 * perMm}v46h${-4 * perMm}ZM${x(-4)} 168h${4 * perMm}v46h${-4 * perMm}Z`} fill="var(--hair)" />
        {spacer > 0 && <path d={`M${x(0)} 58H${x(spacer)}V96H${x(0)}ZM${x(0)} 176H${x(spacer)}V214H${x(0)}Z`} fill="var(--tint2)" />}
        <path
          d={`M${x(spacer)} 58h${6 * perMm}v26H${x(to)}v18H${x(rim)}v-10H${x(spacer)}ZM${x(spacer)} 214h${6 * perMm}v-26H${x(to)}v-18H${x(rim)}v10H${x(spacer)}Z`}
          fill="var(--hair)"
        />
        <path d={`M${x(bottom)} 104H${x(to)}V168H${x(bottom)}Z`} fill="var(--plate)" />
        <path
          d={`M0 ${AXIS - 13}H${x(tip) - 13}Q${x(tip)} ${AXIS - 13} ${x(tip)} ${AXIS}T${x(tip) - 13} ${AXIS + 13}H0Z`}
          fill="var(--tint)"
        />
        {open && x(bottom) > x(tip) && (
          <rect
            x={x(tip)}
            y={AXIS - 22}
            width={x(bottom) - x(tip)}
            height="44"
            fill={gapMm === undefined ? 'none' : 'var(--brass-ground)'}
            strokeDasharray="3 2"
          />
        )}
      </g>
      <path d={`M0 ${AXIS}H${WIDTH}`} stroke="var(--ink2)" strokeDasharray="12 3 2 3" />
      <path d={`M${x(0)} 250V46h${edge * perMm}V250`} fill="none" stroke="var(--act)" strokeDasharray="5 4" />
      <text x={x(edge) - 4} y="42" textAnchor="end" fontSize="12" fill="var(--act)">
        straight edge
      </text>
      {dim(0, edge, 262, words(sheet.edge, 'edge'))}
      {dim(tip, edge, 286, words(sheet.reading, 'reading'))}
      {dim(rim, spacer, 26, words(sheet.standOff, 'rim'))}
      {dim(rim, bottom, 238, words(sheet.socket, 'socket'))}
      {gapMm !== undefined && (
        <text x={x(Math.max(tip, bottom)) + 10} y={AXIS + 6} fontSize="17" fontWeight="700" fill={open ? 'var(--ink)' : 'var(--red)'}>
          gap {sayFine(gapMm, units)}
        </text>
      )}
      <text x="6" y="54" fontSize="12" fill="var(--ink2)">
        booster
      </text>
      <text x={WIDTH - 6} y="54" textAnchor="end" fontSize="12" fill="var(--ink2)">
        master
      </text>
    </svg>
  );
}
