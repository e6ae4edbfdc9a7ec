/** Tests that a counter can ask for on the telephone or a bench can make. A yes speaks for the causes that name it. */
export const TESTS = {
  'clamp-hoses': 'Clamp or plug every line at the master and press: does the pedal still sink?',
  'wet-elsewhere': 'Is a line, a union or a wheel wet anywhere?',
  'boot-wet': 'Is there fluid behind the boot when it is lifted?',
  'pump-up': 'Does the pedal come up and firm when it is pumped fast?',
  'vacuum-held': 'Engine off, pump out the vacuum, hold the pedal and start: does it stay where it is, and not drop a little?',
  'open-bleeder': 'Dragging: open the bleed screw at the wheel. Does it free at once?',
  'slack-master': 'Dragging: slacken the master from its flange by a few millimetres. Does it free?',
  'spurt-port': 'Cap off, press gently: is the small spurt at the compensating port missing?',
  'fluid-test': 'A drop of its fluid in water: does it stand apart as oil, or has rubber in the reservoir cap swollen?',
  'boil-point': 'Is the fluid over two years old, dark, or of low boiling point on a tester?',
  'pedal-play': 'Hold the rod and rock the pedal by hand: is there play at the clevis?',
  'first-push': 'Is only the first push after a rest long, with drum brakes?',
  'piston-by-hand': 'Can the piston not be pushed in by hand or a small lever?',
  'spring-look': 'Does the piston stay in when it is pushed and let go, bore free?',
  'hone-look': 'With a light in the clean bore: is there a mark where a cup runs or rests?',
  'shoe-look': 'Are shoes or pads worn, out of adjustment, wet or glazed on one side?',
  'cup-way': 'Does a lip face away from its pressure on the tray?',
  'booster-wet': 'Is there fluid in the booster or its vacuum hose?',
  'reservoir-rise': 'Cap off, press and hold: does fluid stir or rise in one half of the reservoir?',
  'drops-a-little': 'Does it drop by a finger’s width only when the engine starts, and then stay?',
  'wheel-turned': 'Wheel off the ground and turned: does the pedal pulse, does a dial on the disc or drum move?',
  'wheel-rocked': 'Wheel off the ground and rocked at its top: is there play in its bearing?',
} as const;
export type TestName = keyof typeof TESTS;
export const TEST_NAMES = Object.keys(TESTS) as [TestName, ...TestName[]];

/** What a test costs: asked on the telephone, made on the machine, or only once the unit is off and open. */
export const TEST_COSTS: { readonly [T in TestName]: 'asked' | 'on-machine' | 'unit-off' } = {
  'clamp-hoses': 'on-machine',
  'wet-elsewhere': 'asked',
  'boot-wet': 'on-machine',
  'pump-up': 'asked',
  'vacuum-held': 'asked',
  'open-bleeder': 'on-machine',
  'slack-master': 'on-machine',
  'spurt-port': 'on-machine',
  'fluid-test': 'on-machine',
  'boil-point': 'asked',
  'pedal-play': 'asked',
  'first-push': 'asked',
  'piston-by-hand': 'on-machine',
  'spring-look': 'unit-off',
  'hone-look': 'unit-off',
  'shoe-look': 'on-machine',
  'cup-way': 'unit-off',
  'booster-wet': 'on-machine',
  'reservoir-rise': 'on-machine',
  'drops-a-little': 'asked',
  'wheel-turned': 'on-machine',
  'wheel-rocked': 'on-machine',
};
/** Tests that need the unit open: not for the counter to ask. */
export const NEEDS_OPEN: readonly TestName[] = TEST_NAMES.filter((t) => TEST_COSTS[t] === 'unit-off');
