import type { BleedMethod } from './bleed-plan';

type MethodInfo = {
  readonly label: string;
  readonly risks: string;
  /** At each end, in order; what is repeated for every stroke stands in `stroke`. */
  readonly opens: readonly string[];
  /** One stroke of it. */
  readonly stroke: readonly string[];
  /** Before the next end. */
  readonly closes: readonly string[];
};

/** The ways to move fluid, each with what it risks. @source design, issue “To the machine”, and bench practice */
export const BLEED_METHODS: { readonly [M in BleedMethod]: MethodInfo } = {
  gravity: {
    label: 'gravity',
    risks: 'It stops at a bubble, at a shut valve and where the screw does not lie below the reservoir; cold fluid hardly runs.',
    opens: [
      'Spanner and clear hose on the screw, its end under fluid in the bottle.',
      'Cap of the reservoir off, screw open a half turn. Wait.',
    ],
    stroke: [],
    closes: ['No bubble for ten seconds: close the screw while it runs.'],
  },
  pump: {
    label: 'a helper at the pedal',
    risks:
      'An old master that is pumped to the floor runs its cups over rust and dirt past their usual stroke: a block under the pedal keeps them off it.',
    opens: [
      'Spanner and clear hose on the screw, its end under fluid in the bottle.',
      'A block under the pedal, so that it does not go to the floor.',
    ],
    stroke: ['Pump slowly, and hold.', 'Open a quarter turn: the pedal sinks.', 'Close before the pedal is let go.', 'Let go.'],
    closes: ['Close the screw, hose off, cap on.'],
  },
  vacuum: {
    label: 'vacuum at the screw',
    risks:
      'It draws air past the thread of the screw, which looks like bubbles from the line, and past cups made to hold pressure, not vacuum.',
    opens: ['Grease on the thread of the screw, hose and vacuum bottle on it.', 'Pull the vacuum, then open a half turn.'],
    stroke: [],
    closes: [
      'Close the screw before the reservoir is down to its mark.',
      'Hold the hose up, and push back what is in it: bubbles at the thread are not from the line.',
    ],
  },
};

/** Before the first screw is opened. */
export const firstSteps = (dryLever: boolean): readonly string[] => [
  'Gloves and glasses on; paint covered, water at hand: brake fluid strips paint and burns eyes.',
  'Old gritty fluid is let out of the line before a new unit is pumped: open the line at the unit and let it run.',
  ...(dryLever
    ? ['Dry hand-lever master: a thumb over its outlet, pull and let go until the thumb is pushed off with fluid, then join the line.']
    : ['On the bench: the new master is filled through loop lines back into its reservoir until no bubble comes.']),
];
/** Draws out what is old. */
export const RENEW_STEP = 'Draw the old fluid out of the reservoir, wipe it, fill it with fluid from a closed bottle.';
/** After the last end. */
export const LAST_STEP =
  'Last, the outlet at the master: a rag around it, press gently, slacken the union a little, tighten before the pedal is let go. Rinse with water.';
