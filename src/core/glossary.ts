/** Words of the bench that a page explains where they stand: what each means, and which drawing shows it. */
export const WORDS = {
  lane: {
    label: 'lane',
    means: 'The stretch of the bore that a seal runs or rests in, and a little to either side. Only what lies in a lane decides.',
    shows: 'lane',
  },
  parked: {
    label: 'parked',
    means: 'Where a seal rests: least may stay there, for the lip takes the shape of what lies under it.',
    shows: 'lane',
  },
  swept: {
    label: 'swept',
    means: 'Where a seal runs over in its stroke: a shallow mark may stay there, its edge polished.',
    shows: 'lane',
  },
  clear: { label: 'clear', means: 'Outside every lane: no seal comes there, and a mark is only noted.', shows: 'lane' },
  limit: {
    label: 'limit',
    means:
      'The widest that the bore may be: the piston and the play that it may have, or the listed bore and what a standard cup still fills, whichever is less.',
    shows: 'limit',
  },
  uncertainty: {
    label: 'uncertainty',
    means: 'How far the gauge may be off. It counts against the bore: what is within the limit only by doubt is not within it.',
    shows: 'limit',
  },
  school: {
    label: 'school',
    means: 'How this shop saves a bore of this metal: hone it to the limit, sleeve it rather than cut, or keep its skin.',
    shows: null,
  },
  target: {
    label: 'target',
    means: 'What the bore is cut to, at its narrowest place in the lanes: until every mark is out that may not stay.',
    shows: 'limit',
  },
  ovality: {
    label: 'ovality',
    means: 'How far the bore is from round at one depth: its widest diameter less its narrowest. A lip follows a little of it, not much.',
    shows: 'form',
  },
  taper: {
    label: 'taper',
    means: 'How far the bore is from straight: the mean diameter at its widest depth less that at its narrowest.',
    shows: 'form',
  },
  gap: {
    label: 'gap',
    means:
      'The play between the rod’s tip and the piston at rest. With none the port stays shut, and the brakes hold themselves on as they warm; with too much the pedal travels for nothing.',
    shows: 'gap',
  },
  compliance: {
    label: 'compliance',
    means: 'How much fluid the unit and its hose take up for each bar: the springiness that a loss of pressure is turned into ml with.',
    shows: null,
  },
  'trapped air': {
    label: 'trapped air',
    means: 'Air that was not bled. It gives way as it is pressed, hides a leak, and makes a pedal soft.',
    shows: null,
  },
  settled: {
    label: 'settled',
    means: 'What new rubber and the hose still gave after the pressure was shut in. It fades, as a leak does not.',
    shows: 'settling',
  },
} as const satisfies {
  readonly [word: string]: {
    readonly label: string;
    readonly means: string;
    readonly shows: 'lane' | 'limit' | 'form' | 'gap' | 'settling' | null;
  };
};
export type Word = keyof typeof WORDS;
