import type { BoreOutcome } from '@/core/judge/outcome';

/** Signs of a verdict, told apart by pattern alone: open ring, dots, cross-hatch, double ring, bar through, dashed ring. */
export function VerdictSign({
  outcome,
  size = 16,
  title,
}: {
  readonly outcome: BoreOutcome | null;
  readonly size?: number;
  readonly title?: string;
}) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 32 32"
      role="img"
      aria-label={title ?? outcome ?? 'not judged'}
      className="shrink-0 text-ink"
    >
      <SignShape outcome={outcome} />
    </svg>
  );
}

const ring = { fill: 'none', stroke: 'currentColor', strokeWidth: 3 } as const;

/** The sign in a 32 × 32 box, for use inside other drawings. */
export function SignShape({ outcome }: { readonly outcome: BoreOutcome | null }) {
  switch (outcome) {
    case 'reuse':
      return <circle cx="16" cy="16" r="13" {...ring} />;
    case 'polish':
      return (
        <g>
          <circle cx="16" cy="16" r="13" {...ring} />
          {[10, 16, 22].flatMap((x) => [10, 16, 22].map((y) => <circle key={`${x}-${y}`} cx={x} cy={y} r="1.7" fill="currentColor" />))}
        </g>
      );
    case 'hone':
      return (
        <g>
          <circle cx="16" cy="16" r="13" {...ring} />
          <path
            d="M7 11 21 25M11 7 25 21M5 17 15 27M17 5 27 15M7 21 21 7M11 25 25 11M5 15 15 5M17 27 27 17"
            stroke="currentColor"
            strokeWidth="1.6"
            fill="none"
          />
        </g>
      );
    case 'sleeve':
      return (
        <g>
          <circle cx="16" cy="16" r="13" {...ring} />
          <circle cx="16" cy="16" r="7" {...ring} />
        </g>
      );
    case 'scrap':
      return (
        <g>
          <circle cx="16" cy="16" r="14" fill="currentColor" />
          <path d="M6 26 26 6" stroke="var(--sheet)" strokeWidth="4" />
        </g>
      );
    case 'undecided':
      return <circle cx="16" cy="16" r="13" {...ring} strokeDasharray="5.4 4.8" />;
    case null:
      return <circle cx="16" cy="16" r="3" fill="currentColor" opacity="0.4" />;
  }
}

export const OUTCOME_WORDS: { readonly [O in BoreOutcome]: string } = {
  reuse: 'Reuse',
  polish: 'Polish',
  hone: 'Hone',
  sleeve: 'Sleeve',
  scrap: 'Scrap',
  undecided: 'Not decided',
};
