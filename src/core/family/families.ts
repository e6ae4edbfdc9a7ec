import { booster, distributionValve, hardLine, linkage } from './anatomy/adjacent';
import { caliperHalf } from './anatomy/caliper-half';
import { masterLever } from './anatomy/master-lever';
import { masterSingle } from './anatomy/master-single';
import { masterTandem } from './anatomy/master-tandem';
import { masterValve } from './anatomy/master-valve';
import { slave } from './anatomy/slave';
import { wheelDouble } from './anatomy/wheel-double';
import { wheelSingle } from './anatomy/wheel-single';
import type { Family } from './family';
import type { UnitKind } from './family-name';

/** Everything that can be booked in, as its makers mostly build it. @source design, domain, "Families and their anatomy" */
export const FAMILIES: { readonly [K in UnitKind]: Family } = {
  'master-single': masterSingle,
  'master-valve': masterValve,
  'master-lever': masterLever,
  'master-tandem': masterTandem,
  slave,
  'wheel-double': wheelDouble,
  'wheel-single': wheelSingle,
  'caliper-half': caliperHalf,
  booster,
  'distribution-valve': distributionValve,
  linkage,
  'hard-line': hardLine,
};
