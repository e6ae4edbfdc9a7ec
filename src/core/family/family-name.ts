/**
 * What comes in, and what it is in its system: the families of hydraulic units, and what comes with them and has no bore to judge
 * (a tray, photos and records). Whoever adds one says its role. @source design, domain, "Families and their anatomy"
 */
const ROLES = {
  'master-single': 'master',
  'master-valve': 'master',
  'master-lever': 'master',
  'master-tandem': 'master',
  slave: 'slave',
  'wheel-double': 'wheel',
  'wheel-single': 'wheel',
  'caliper-half': 'caliper',
  booster: 'adjacent',
  'distribution-valve': 'adjacent',
  linkage: 'adjacent',
  'hard-line': 'adjacent',
} as const;
export type UnitKind = keyof typeof ROLES;
export type FamilyRole = (typeof ROLES)[UnitKind];
type WithRole<R extends FamilyRole> = { [K in UnitKind]: (typeof ROLES)[K] extends R ? K : never }[UnitKind];
export type AdjacentName = WithRole<'adjacent'>;
export type FamilyName = Exclude<UnitKind, AdjacentName>;

export const UNIT_KINDS = Object.keys(ROLES) as [UnitKind, ...UnitKind[]];
const isAdjacent = (kind: UnitKind): kind is AdjacentName => ROLES[kind] === 'adjacent';
export const ADJACENT_NAMES = UNIT_KINDS.filter(isAdjacent);
export const FAMILY_NAMES = UNIT_KINDS.filter((kind) => !isAdjacent(kind)) as [FamilyName, ...FamilyName[]];

export const roleOf = (family: { readonly name: UnitKind }): FamilyRole => ROLES[family.name];
