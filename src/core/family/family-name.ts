/** The families of hydraulic units. @source design, domain, "Families and their anatomy" */
export const FAMILY_NAMES = [
  'master-single',
  'master-valve',
  'master-lever',
  'master-tandem',
  'slave',
  'wheel-double',
  'wheel-single',
  'caliper-half',
] as const;
export type FamilyName = (typeof FAMILY_NAMES)[number];

/** What comes in with them and has no bore to judge: a tray, photos and records. @source design, domain, "Adjacent" */
export const ADJACENT_NAMES = ['booster', 'distribution-valve', 'linkage', 'hard-line'] as const;
export type AdjacentName = (typeof ADJACENT_NAMES)[number];

export const UNIT_KINDS = [...FAMILY_NAMES, ...ADJACENT_NAMES] as const;
export type UnitKind = (typeof UNIT_KINDS)[number];
