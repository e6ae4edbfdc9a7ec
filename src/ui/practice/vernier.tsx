import type { Picture } from '@/core/practice/exercise';

const WIDTH = 760;

/** A sliding scale, drawn large around where it is read: main divisions above, the vernier’s below. */
export function Vernier({ picture: { scale, reads } }: { readonly picture: Extract<Picture, { readonly kind: 'vernier' }> }) {
  const { division, parts, unit } = scale;
  // A vernier of n parts spans n − 1 divisions: its k-th line meets a main line where k of its parts are what is over.
  const each = (division * (parts - 1)) / parts;
  const [from, span] = [Math.floor(reads / division - 3) * division, (parts + 6) * division];
  const x = (v: number): number => 20 + ((v - from) / span) * (WIDTH - 40);
  const mains = Array.from({ length: Math.ceil(span / division) + 1 }, (_, i) => from + i * division).filter(
    (v) => v >= -1e-9 && x(v) <= WIDTH - 18,
  );
  const labelled = (v: number): boolean => Math.round(v / division) % (unit === 'mm' ? 5 : 4) === 0;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} 150`}
      className="h-auto w-full min-w-[560px] border border-line bg-sheet"
      role="img"
      aria-label={`A ${unit === 'mm' ? 'millimetre' : 'inch'} scale with its vernier`}
    >
      <rect x="10" y="16" width={WIDTH - 20} height="56" fill="var(--plate)" stroke="var(--line)" />
      <rect x={x(reads) - 12} y="72" width={x(reads + each * parts) - x(reads) + 24} height="52" fill="var(--sheet)" stroke="var(--ink)" />
      <g stroke="var(--ink)" strokeWidth="1.2">
        {mains.map((v) => (
          <path key={v} d={`M${x(v)} 72V${labelled(v) ? 46 : 54}`} />
        ))}
        {Array.from({ length: parts + 1 }, (_, k) => (
          <path key={k} d={`M${x(reads + k * each)} 72V${k % 5 === 0 ? 96 : 88}`} />
        ))}
      </g>
      <g fontSize="13" fill="var(--ink)" textAnchor="middle">
        {mains.filter(labelled).map((v) => (
          <text key={v} x={x(v)} y="40">
            {unit === 'mm' ? Math.round(v) : v.toFixed(1)}
          </text>
        ))}
        {Array.from({ length: Math.floor(parts / 5) + 1 }, (_, i) => i * 5).map((k) => (
          <text key={k} x={x(reads + k * each)} y="112">
            {unit === 'mm' ? ((k * 10) / parts).toString() : k}
          </text>
        ))}
      </g>
      <text x="20" y="142" fontSize="12" fill="var(--ink2)">
        {unit === 'mm' ? `${division} mm above, a ${parts}th of it below` : `0.025 in above, a thousandth below`}
      </text>
    </svg>
  );
}
