import type { WorkedFamily } from '@/core/family/family';

const SHAPES: { readonly [F in WorkedFamily]: string } = {
  'master-single': 'M0 6H14M14 2H38V12H14ZM24 2V0M38 5H42V9H38',
  'master-tandem': 'M2 7H10M10 2H42V12H10ZM18 2V0H22V2M32 2V0H36V2M26 2V12M42 5H45V9H42',
  'wheel-double': 'M2 5H10M2 9H10M10 2H36V12H10ZM19 2V12M27 2V12M36 5H44M36 9H44',
};

/** The family at a glance, on a tray. */
export function Silhouette({ family, label }: { readonly family: WorkedFamily; readonly label: string }) {
  return (
    <svg width="46" height="14" viewBox="0 0 46 14" role="img" aria-label={label} className="shrink-0 text-ink2">
      <path d={SHAPES[family]} fill="none" stroke="currentColor" strokeWidth="1.3" />
    </svg>
  );
}
