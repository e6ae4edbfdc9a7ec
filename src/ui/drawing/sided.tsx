import type { Sided } from '@/core/close-up/side';
import type { Faces } from '@/core/family/facing';
import { LIP_WORDS, Lip } from './lip';

/** What one has in front of oneself: a lip, a bowl or a small end to one side, or the same at both. */
export type Seen = Faces | 'even';

const WORDS: { readonly [S in Exclude<Sided, 'lip'>]: { readonly [F in Faces]: string } } = {
  bowl: { blind: 'bowl to the right', open: 'bowl to the left' },
  'small-end': { blind: 'small end to the right', open: 'small end to the left' },
};
export const sidedWords = (what: Sided, seen: Seen): string =>
  seen === 'even' ? 'the same at both ends' : what === 'lip' ? LIP_WORDS[seen] : WORDS[what][seen];

/** A part that has two sides, in section, open end of the unit to the left. */
export function SidedPart({ what, seen, size }: { readonly what: Sided; readonly seen: Seen; readonly size: number }) {
  if (what === 'lip' && seen !== 'even') return <Lip faces={seen} size={size} />;
  return (
    <svg width={size} height={size} viewBox="-6 -11 12 22" aria-hidden="true" className="text-ink">
      <path d="M-6 0H6" stroke="var(--line)" strokeWidth="0.6" strokeDasharray="2 1" />
      <g transform={seen === 'open' ? 'scale(-1 1)' : undefined} fill="none" stroke="currentColor">
        {what === 'bowl' ? (
          <path d="M2.5 -9Q-3 0 2.5 9" strokeWidth="1.6" />
        ) : (
          <path d={spring(seen === 'even' ? 9 : 5.5)} strokeWidth="0.9" />
        )}
      </g>
    </svg>
  );
}

/** A spring in zigzag, 9 wide at its left and so wide at its right. */
const spring = (right: number): string =>
  `M${Array.from({ length: 9 }, (_, i) => {
    const x = -5 + i * 1.25;
    const r = 9 + ((right - 9) * i) / 8;
    return `${x} ${i % 2 === 0 ? -r : r}`;
  }).join('L')}`;
