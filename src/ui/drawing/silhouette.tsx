import type { UnitKind } from '@/core/family/family-name';

const SHAPES: { readonly [K in UnitKind]: string } = {
  'master-single': 'M0 6H14M14 2H38V12H14ZM24 2V0M38 5H42V9H38',
  'master-valve': 'M0 7H12M12 3H34V11H12ZM34 5H40V9H34M40 7H45',
  'master-lever': 'M2 2L10 12M10 3H32V11H10ZM18 3V0H26V3M32 5H36V9H32M36 7H44',
  'master-tandem': 'M2 7H10M10 2H42V12H10ZM18 2V0H22V2M32 2V0H36V2M26 2V12M42 5H45V9H42',
  slave: 'M0 7H10M10 4L16 2H38V12H16L10 10ZM30 2V0H34V2',
  'wheel-double': 'M2 5H10M2 9H10M10 2H36V12H10ZM19 2V12M27 2V12M36 5H44M36 9H44',
  'wheel-single': 'M2 5H10M2 9H10M10 2H34V12H10ZM20 2V12M28 2V0',
  'caliper-half': 'M6 1H40V13H6ZM6 4H24V10H6M28 1V0H34V1',
  booster: 'M2 7H12M12 7C12 1 18 0 23 0S34 1 34 7 28 14 23 14 12 13 12 7ZM34 7H42',
  'distribution-valve': 'M10 3H36V11H10ZM6 5H10V9H6M36 5H40V9H36M18 3V0M28 11V14',
  linkage: 'M4 10L34 4M4 12A2 2 0 1 0 4 8 2 2 0 1 0 4 12M34 6A2 2 0 1 0 34 2 2 2 0 1 0 34 6M34 4H44',
  'hard-line': 'M2 11H8V8H2M8 9.5H18C24 9.5 22 4 28 4H38M38 2.5V5.5H44V2.5Z',
};

/** The family at a glance, on a tray. */
export function Silhouette({ family, label }: { readonly family: UnitKind; readonly label: string }) {
  return (
    <svg width="46" height="14" viewBox="0 0 46 14" role="img" aria-label={label} className="shrink-0 text-ink2">
      <path d={SHAPES[family]} fill="none" stroke="currentColor" strokeWidth="1.3" />
    </svg>
  );
}
