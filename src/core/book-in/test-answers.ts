import type { CauseName } from './cause';
import type { TestName } from './cause-test';

/** Causes for which each test says yes; for all others it says no. */
export const YES: { readonly [T in TestName]: readonly CauseName[] } = {
  'clamp-hoses': ['worn-primary', 'bore-marked', 'floating-leaks', 'end-seal-leaks', 'cup-backwards', 'secondary-leaks'],
  'wet-elsewhere': ['line-leaks', 'cup-leaks', 'square-seal-worn', 'wheel-bore-marked'],
  'boot-wet': ['secondary-leaks', 'cup-leaks', 'square-seal-worn', 'wheel-bore-marked'],
  'pump-up': ['air', 'adjustment', 'residual-missing', 'fluid-boils', 'knock-back'],
  'vacuum-held': ['vacuum-valve'],
  'open-bleeder': ['hose-collapsed', 'port-blocked', 'no-gap', 'rubber-swollen'],
  'slack-master': ['no-gap'],
  'spurt-port': ['port-blocked', 'no-gap', 'rubber-swollen'],
  'fluid-test': ['rubber-swollen'],
  'boil-point': ['fluid-boils', 'rubber-perished'],
  'pedal-play': ['linkage-worn'],
  'first-push': ['residual-missing', 'adjustment', 'knock-back'],
  'piston-by-hand': ['piston-seized', 'rubber-swollen'],
  'spring-look': ['spring-weak'],
  'hone-look': ['bore-marked', 'wheel-bore-marked'],
  'shoe-look': ['adjustment'],
  'cup-way': ['cup-backwards'],
  'booster-wet': ['rear-seal-into-booster'],
  'reservoir-rise': ['floating-leaks', 'end-seal-leaks', 'worn-primary'],
  'drops-a-little': ['booster-helps'],
  'wheel-turned': ['disc-runs-out'],
  'wheel-rocked': ['knock-back'],
};
