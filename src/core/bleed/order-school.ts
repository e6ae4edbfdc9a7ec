import type { BleedOrder } from './bleed-wire';

type School = { readonly label: string; readonly why: string };

/** In which order the ends are done: schools, each with its reason. */
export const ORDER_SCHOOLS: { readonly [O in BleedOrder]: School } = {
  'longest-first': {
    label: 'longest line first',
    why: 'The long line holds most of the old fluid and air; the lines that it shares are new when the near ends are done.',
  },
  'nearest-first': {
    label: 'nearest first',
    why: 'Air near the master is out before it is driven further, and the pedal comes up early; the shared lines are then flushed by the first end.',
  },
  given: {
    label: 'as its maker orders',
    why: 'Valves and anti-lock units can ask for an order of their own: the maker’s goes before any rule.',
  },
};
