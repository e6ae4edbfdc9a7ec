import type { Seat } from '../quantity/thread';

type FlareInfo = {
  readonly label: string;
  /** Seats that it seals on. */
  readonly fits: readonly Seat[];
  /** What it looks like from the side. */
  readonly looks: string;
  readonly made: readonly string[];
  readonly judged: readonly string[];
};

const CUT = 'Cut it square with a tube cutter, not a saw; deburr inside and out, blow it clean.';
const NUT = 'Put the nut on, the right way round, before the second end is flared.';
const EVEN = 'Even all round: its rim as wide on one side as on the other.';
const SPLIT = 'No split, fold or score on the face that seals; look with a glass.';

/** What is made at the end of a tube, and which seat it is for. @source design, chapter 14, and bench practice */
export const FLARES = {
  double: {
    label: 'double (inverted) flare',
    fits: ['cone-out'],
    looks: 'a funnel, folded back on itself',
    made: [
      CUT,
      NUT,
      'Clamp the tube in the bar: what stands out is the height of the die’s shoulder, no more.',
      'First stroke, with the die: the end bulges to a mushroom.',
      'Second stroke, with the cone and without the die: the mushroom folds into itself to a funnel of two walls.',
    ],
    judged: [
      EVEN,
      SPLIT,
      'Stand-out as the tool states: too much folds aside, too little leaves one wall.',
      'The funnel lies on a cone of 45° all round.',
    ],
  },
  bubble: {
    label: 'bubble flare',
    fits: ['cone-in'],
    looks: 'a mushroom with a flat back',
    made: [
      CUT,
      NUT,
      'Clamp the tube with as much standing out as the tool states.',
      'One stroke, with the die: the end bulges to a mushroom, and there one stops.',
    ],
    judged: [EVEN, SPLIT, 'Its back is flat, where the nut presses on it.', 'Its opening is round and not closed in.'],
  },
  universal: {
    label: 'form made for both cones',
    fits: ['cone-out', 'cone-in'],
    looks: 'a mushroom with a funnel in its mouth',
    made: [
      CUT,
      NUT,
      'Clamp the tube as the tool for this form states.',
      'Its own die in one stroke; a bubble pressed on a cone is not the same.',
    ],
    judged: [EVEN, SPLIT, 'Both faces that seal are whole: the outer round and the inner cone.'],
  },
  none: {
    label: 'no flare',
    fits: ['flat'],
    looks: 'a plain end, or a banjo',
    made: ['A banjo is soldered or pressed on by whoever makes it; on site nothing is flared.'],
    judged: ['Both faces of the banjo are flat and without a score across them; reface them on fine paper on a plate.'],
  },
} as const satisfies { readonly [name: string]: FlareInfo };

export type Flare = keyof typeof FLARES;
export const FLARE_NAMES = Object.keys(FLARES) as [Flare, ...Flare[]];

export const flareFits = (flare: Flare, seat: Seat): boolean => (FLARES[flare].fits as readonly Seat[]).includes(seat);

/** The flares that seal on a seat, as they are called on the wire. */
export const flaresFor = (seat: Seat): readonly Flare[] => FLARE_NAMES.filter((f) => flareFits(f, seat));
