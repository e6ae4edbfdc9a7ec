import type { Faces } from '@/core/family/facing';
import { cupOutline } from '@/core/family/shape/part-shape';
import { pathOf } from './section-drawing';

/** A cup in section with its lip to one side, open end of the unit to the left; as it lies in the drawing above. */
export function Lip({ faces, size = 22 }: { readonly faces: Faces; readonly size?: number }) {
  return (
    <svg width={size} height={size} viewBox="-6 -11 12 22" aria-hidden="true" className="text-ink">
      <path d="M-6 0H6" stroke="var(--line)" strokeWidth="0.6" strokeDasharray="2 1" />
      <path d={pathOf(cupOutline(-4.5, 4.5, 10, faces))} fill="currentColor" />
    </svg>
  );
}

/** Which way a lip points in the drawing. */
export const LIP_WORDS: { readonly [F in Faces]: string } = { blind: 'lip to the right', open: 'lip to the left' };
