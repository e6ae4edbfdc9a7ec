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
