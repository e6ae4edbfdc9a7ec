import type { Picture } from '@/core/practice/exercise';

/** A bore gauge’s dial: nought above, both ways numbered, the hand clockwise where the pin is pushed in. */
export function Dial({ picture: { offMm, divisionMm } }: { readonly picture: Extract<Picture, { readonly kind: 'dial' }> }) {
  const DIVISIONS = 100;
  const angle = (n: number): number => (n / DIVISIONS) * 2 * Math.PI - Math.PI / 2;
  // A larger bore lets the pin out: the hand goes back.
  const hand = angle(-offMm / divisionMm);
  const at = (a: number, r: number): string => `${120 + r * Math.cos(a)} ${120 + r * Math.sin(a)}`;
  return (
    <svg
      viewBox="0 0 240 240"
      className="h-auto w-full max-w-[320px] border border-line bg-sheet"
      role="img"
      aria-label={`A dial of ${DIVISIONS} divisions`}
    >
      <circle cx="120" cy="120" r="108" fill="var(--plate)" stroke="var(--ink)" strokeWidth="2" />
      {Array.from({ length: DIVISIONS }, (_, n) => (
        <path
          key={n}
          d={`M${at(angle(n), 104)}L${at(angle(n), n % 10 === 0 ? 88 : n % 5 === 0 ? 94 : 98)}`}
          stroke="var(--ink)"
          strokeWidth={n % 10 === 0 ? 1.6 : 0.8}
        />
      ))}
      <g fontSize="12" fill="var(--ink)" textAnchor="middle">
        {Array.from({ length: 10 }, (_, i) => i * 10).map((n) => {
          const a = angle(n);
          return (
            <text key={n} x={120 + 76 * Math.cos(a)} y={124 + 76 * Math.sin(a)}>
              {n <= 50 ? n : 100 - n}
            </text>
          );
        })}
      </g>
      <path d={`M${at(hand + Math.PI, 18)}L${at(hand, 96)}`} stroke="var(--red)" strokeWidth="2.4" />
      <circle cx="120" cy="120" r="5" fill="var(--ink)" />
      <text x="120" y="160" textAnchor="middle" fontSize="10" fill="var(--ink2)">
        {divisionMm} mm
      </text>
    </svg>
  );
}
