import type { CauseName } from './cause';

type Fact = {
  readonly label: string;
  /** How many times likelier a cause is made by it; below one: less likely; nought: it cannot be. All others stay as they are. */
  readonly makes: { readonly [C in CauseName]?: number };
};

/** What happened before, and what the machine has: whatever was just worked on is likelier done wrong than worn out. @source bench practice; rough, stated so that it can be argued with */
export const BEFORE = {
  'master-changed': {
    label: 'master just changed',
    makes: {
      'no-gap': 8,
      air: 4,
      'residual-missing': 3,
      'cup-backwards': 2,
      'line-leaks': 1.5,
      'port-blocked': 0.3,
      'rubber-swollen': 0.25,
      'worn-primary': 0.3,
      'bore-marked': 0.2,
      'secondary-leaks': 0.3,
      'rear-seal-into-booster': 0.3,
      'rubber-perished': 0.2,
      'spring-weak': 0.3,
    },
  },
  'booster-changed': {
    label: 'booster just changed',
    makes: { 'no-gap': 10, 'vacuum-valve': 0.6, 'rear-seal-into-booster': 0.6, 'booster-helps': 2 },
  },
  'cylinders-changed': {
    label: 'wheel cylinders or calipers just changed',
    makes: {
      air: 4,
      'cup-backwards': 3,
      adjustment: 2.5,
      'line-leaks': 2,
      'cup-leaks': 0.3,
      'square-seal-worn': 0.3,
      'wheel-bore-marked': 0.2,
      'piston-seized': 0.3,
    },
  },
  'pads-changed': {
    label: 'pads or shoes just changed',
    makes: { adjustment: 3, 'piston-seized': 2.5, 'hose-collapsed': 1.5, 'disc-runs-out': 1.5, 'cup-leaks': 1.5, 'square-seal-worn': 1.5 },
  },
  'fluid-changed': {
    label: 'fluid just changed',
    makes: { air: 3, 'worn-primary': 2, 'rubber-swollen': 2, 'line-leaks': 1.5, 'fluid-boils': 0.1 },
  },
  'just-bled': { label: 'just bled', makes: { air: 2, 'worn-primary': 3, 'line-leaks': 1.5, 'fluid-boils': 0.4 } },
  'stood-long': {
    label: 'stood for a year or more',
    makes: {
      'piston-seized': 5,
      'wheel-bore-marked': 3,
      'bore-marked': 2,
      'rubber-perished': 2,
      'port-blocked': 2,
      'hose-collapsed': 1.5,
      adjustment: 0.6,
    },
  },
  'other-fluid': { label: 'another fluid or an oil was used', makes: { 'rubber-swollen': 15, 'rubber-perished': 2 } },
  drums: { label: 'drums', makes: { 'residual-missing': 3, adjustment: 1.3, 'knock-back': 0.1, 'square-seal-worn': 0 } },
  discs: { label: 'discs all round', makes: { 'residual-missing': 0, 'knock-back': 2, adjustment: 0.5, 'disc-runs-out': 1.5 } },
  booster: {
    label: 'with a booster',
    makes: { 'vacuum-valve': 1.5, 'rear-seal-into-booster': 1.5, 'secondary-leaks': 0.5, 'booster-helps': 1.5 },
  },
  'no-booster': { label: 'without a booster', makes: { 'vacuum-valve': 0, 'rear-seal-into-booster': 0, 'booster-helps': 0 } },
} as const satisfies { readonly [name: string]: Fact };
export type Before = keyof typeof BEFORE;
export const BEFORE_NAMES = Object.keys(BEFORE) as [Before, ...Before[]];

/** How many times likelier what is known makes a cause; nought where the machine cannot have it. */
export const madeBy = (before: readonly Before[], cause: CauseName): number =>
  before.reduce((product, b) => product * ((BEFORE[b] as Fact).makes[cause] ?? 1), 1);
