type KindInfo = {
  readonly label: string;
  /** Whether it weeps or drags by a pressure that stays in its line. */
  readonly rests: 'weeps-without' | 'tight-without' | 'drags-with' | 'not-asked';
};

/** What a bleed screw sits on. */
export const END_KINDS = {
  drum: { label: 'wheel cylinder, cups alone', rests: 'weeps-without' },
  'drum-expander': { label: 'wheel cylinder, cups with an expander', rests: 'tight-without' },
  disc: { label: 'caliper', rests: 'drags-with' },
  clutch: { label: 'clutch slave', rests: 'not-asked' },
} as const satisfies { readonly [name: string]: KindInfo };
export type EndKind = keyof typeof END_KINDS;
export const END_KIND_NAMES = Object.keys(END_KINDS) as [EndKind, ...EndKind[]];

/** What pushes the fluid. */
export const MASTER_KINDS = { pedal: 'pedal', lever: 'hand lever', coupling: 'overrun or actuator' } as const;
export type MasterKind = keyof typeof MASTER_KINDS;
export const MASTER_KIND_NAMES = Object.keys(MASTER_KINDS) as [MasterKind, ...MasterKind[]];

type OddInfo = { readonly label: string; readonly says: string; readonly toDo: string };

/** What is odd about how an end sits, and what is done about it. @source design, issue “To the machine”, and bench practice */
export const ODDITIES = {
  'upside-down': {
    label: 'mounted upside down',
    says: 'its screw lies below its inlet: air stays over it for good',
    toDo: 'See whether left and right were changed over. Where it belongs so, take it off, hold it with the screw up, bleed it with the piston held in, and put it back.',
  },
  'two-screws': {
    label: 'two screws on one body',
    says: 'each bleeds a part of its own',
    toDo: 'The lower or inner one first, then the upper; with two lines into it, as its maker orders them.',
  },
  'above-line': {
    label: 'lies above its line',
    says: 'the line runs down and up again: a bubble comes back to it as soon as the pedal rests',
    toDo: 'Push fluid up from the screw with a syringe, so that air leaves by the reservoir, which must have room for it; or quick full strokes that carry it over.',
  },
} as const satisfies { readonly [name: string]: OddInfo };
export type Odd = keyof typeof ODDITIES;
export const ODD_NAMES = Object.keys(ODDITIES) as [Odd, ...Odd[]];

/** A screw that is not the highest point of its cylinder. */
export const SCREW_LOW_TO_DO =
  'Turn or tilt the cylinder until the screw is its highest point, or take it off and bleed it in the hand with the piston held in.';
