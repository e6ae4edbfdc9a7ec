import type { PinnedHole } from '@/core/pedal-end/hole';
import { sayFine } from '@/core/set/say-gap';
import { useUnits } from '../shell/units-context';

const [WIDTH, HEIGHT] = [520, 190];

/** A clevis hole with its pin: the hole as worn, its play drawn ten times as large; each figure at what it measures. What is not entered is drawn as usual. */
export function HoleDrawing({ hole }: { readonly hole: Partial<PinnedHole> }) {
  const units = useUnits();
  const { pinMm = 8, shortMm = pinMm + 0.1, longMm = shortMm + 0.2 } = hole;
  const scale = 90 / pinMm;
  const grown = (mm: number): number => (pinMm + (mm - pinMm) * 10) * scale;
  const [x, y] = [170, HEIGHT / 2];
  const say = (mm: number | undefined): string => (mm === undefined ? '?' : sayFine(mm, units));
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="h-auto w-full max-w-xl border border-line bg-sheet"
      role="img"
      aria-label={`A hole, longest ${say(hole.longMm)}, shortest ${say(hole.shortMm)}, with its pin of ${say(hole.pinMm)} ${units.length}`}
    >
      <rect x="20" y={y - 78} width="300" height="156" fill="var(--hair)" stroke="var(--ink)" />
      <ellipse
        cx={x}
        cy={y}
        rx={Math.min(140, grown(longMm) / 2)}
        ry={Math.min(74, grown(shortMm) / 2)}
        fill="var(--sheet)"
        stroke="var(--ink)"
      />
      <circle
        cx={x - (Math.min(140, grown(longMm) / 2) - (pinMm * scale) / 2)}
        cy={y}
        r={(pinMm * scale) / 2}
        fill="var(--tint)"
        stroke="var(--ink)"
      />
      <g stroke="var(--ink2)" fontSize="14">
        <path d={`M${x} ${y + 84}V${y - 84}M${x - 150} ${y}H${x + 150}`} strokeDasharray="10 3 2 3" fill="none" />
      </g>
      <g fontSize="14" fill="var(--ink)">
        <text x="340" y="50">
          longest {say(hole.longMm)}
        </text>
        <text x="340" y="78">
          shortest {say(hole.shortMm)}
        </text>
        <text x="340" y="106">
          pin {say(hole.pinMm)}
        </text>
        <text x="340" y="150" fontSize="12" fill="var(--ink2)">
          wear drawn ten times as large
        </text>
      </g>
    </svg>
  );
}
