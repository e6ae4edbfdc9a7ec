import type { FamilyRole } from '../family/family-name';

/** What is looked at after fitting, before the road, by what the unit does. @source design, issue “To the machine”, and bench practice */
const EVERY = [
  'Fill to the mark, cap on; rinse what was spilt with water.',
  'Press with the usual force and hold for a minute: it stays where it is.',
  'Under pressure, look at every union, screw and boot with a light: all dry.',
];
export const BEFORE_ROAD: { readonly [R in FamilyRole]: readonly string[] } = {
  master: [
    ...EVERY,
    'With a booster: engine off, pump its vacuum out, hold the pedal, start: it sinks a little and stays.',
    'Let go: every wheel turns free at once. One that drags after the master was changed asks for the pushrod gap again.',
  ],
  slave: [...EVERY, 'The clutch parts fully with the pedal down, and grips with free play at the pedal when it is let go.'],
  wheel: [...EVERY, 'Shoes set, drum on: the wheel turns free, and both wheels of the axle brake alike.'],
  caliper: [...EVERY, 'Pump until the pads lie on the disc before the machine moves; the disc turns free when it is let go.'],
  adjacent: [...EVERY, 'What it works on moves freely and comes back by itself.'],
};

/** How it is filled before it is joined to its line. */
export const BENCH_FILL: { readonly [R in FamilyRole]: string | null } = {
  master:
    'Filled on the bench through loop lines from its outlets back into its reservoir, short slow strokes, until no bubble comes. A hand-lever master: a thumb over its outlet instead.',
  slave: 'Held with the screw up and its piston pushed in, filled from the line until fluid comes at the screw.',
  wheel: 'Its pistons are held in until the line is joined and fluid comes at the screw.',
  caliper: 'Its pistons are pushed in; let fluid come at the open screw by gravity before anything is pumped.',
  adjacent: null,
};
