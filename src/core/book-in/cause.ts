import { FAMILY_NAMES, type UnitKind } from '../family/family-name';

type Where = 'unit' | 'outside';
/** What may be behind a complaint. `look`: what shows it when the unit is stripped, or on the machine. `test`: what tells it from the others. */
type CauseInfo = {
  readonly label: string;
  readonly where: Where;
  readonly kinds: readonly UnitKind[];
  readonly look: string;
  readonly test: TestName;
};

const MASTERS: readonly UnitKind[] = ['master-single', 'master-valve', 'master-lever', 'master-tandem'];
const WHEELS: readonly UnitKind[] = ['wheel-double', 'wheel-single'];
const ALL: readonly UnitKind[] = [...FAMILY_NAMES, 'booster', 'distribution-valve', 'linkage', 'hard-line'];

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
} as const;
export type TestName = keyof typeof TESTS;
export const TEST_NAMES = Object.keys(TESTS) as [TestName, ...TestName[]];

const cause = (where: Where, kinds: readonly UnitKind[], label: string, test: TestName, look: string): CauseInfo => ({
  label,
  where,
  kinds,
  look,
  test,
});

/** @source design, issue “Strip”, and bench practice: what each looks like once it is open */
export const CAUSES = {
  'worn-primary': cause(
    'unit',
    MASTERS,
    'worn or nicked primary cup',
    'clamp-hoses',
    'The lip of the primary cup: a nick, a flat, a hardened edge.',
  ),
  'bore-marked': cause(
    'unit',
    FAMILY_NAMES,
    'pit or score where a cup runs',
    'hone-look',
    'The clean bore under the resting cups and along their way.',
  ),
  'secondary-leaks': cause(
    'unit',
    MASTERS,
    'secondary cup leaks',
    'boot-wet',
    'Wet behind the boot; rust at the mouth; the secondary cup’s lip.',
  ),
  'cup-leaks': cause('unit', [...WHEELS, 'slave'], 'cup leaks', 'boot-wet', 'Wet behind a boot; the cup’s lip; pits where fluid stood.'),
  'square-seal-worn': cause(
    'unit',
    ['caliper-half'],
    'pressure seal worn or its groove corroded',
    'boot-wet',
    'Salts in the seal’s groove; the piston’s plating.',
  ),
  'floating-leaks': cause(
    'unit',
    ['master-tandem'],
    'floating piston leaks across',
    'reservoir-rise',
    'The back-to-back cups, and the bore between them.',
  ),
  'end-seal-leaks': cause(
    'unit',
    ['master-valve'],
    'end seal leaks back to the reservoir',
    'reservoir-rise',
    'End seal, its seat in the bottom, the wave washer.',
  ),
  'port-blocked': cause(
    'unit',
    MASTERS,
    'compensating port blocked',
    'spurt-port',
    'A wire of its size through the port; a cup that has swollen over it.',
  ),
  'rubber-swollen': cause(
    'unit',
    FAMILY_NAMES,
    'rubber swollen by a wrong fluid',
    'fluid-test',
    'Cups that are soft and too large; a cap seal that no longer fits.',
  ),
  'rubber-perished': cause('unit', FAMILY_NAMES, 'old rubber breaks up', 'boil-point', 'Black on a wiped finger; soft, shiny lips.'),
  'piston-seized': cause(
    'unit',
    FAMILY_NAMES,
    'piston seized by corrosion',
    'piston-by-hand',
    'A ridge at the mouth, rust or salts round the piston.',
  ),
  'spring-weak': cause(
    'unit',
    [...MASTERS, ...WHEELS, 'slave'],
    'return spring weak or broken',
    'spring-look',
    'Its free length against a new one; a broken coil.',
  ),
  'cup-backwards': cause(
    'unit',
    FAMILY_NAMES,
    'a cup fitted the wrong way round',
    'cup-way',
    'Each lip as it came out, against the drawing.',
  ),
  'rear-seal-into-booster': cause(
    'unit',
    ['master-tandem', 'master-single', 'booster'],
    'rear seal leaks into the booster',
    'booster-wet',
    'Fluid on the booster’s side of the flange.',
  ),
  air: cause('outside', ALL, 'air in the system', 'pump-up', 'Nothing in the unit: ask when and how it was bled.'),
  'vacuum-valve': cause(
    'outside',
    [...MASTERS, 'booster'],
    'vacuum check valve or booster leaks',
    'vacuum-held',
    'Nothing in the unit: the hose, its valve and grommet.',
  ),
  'no-gap': cause(
    'outside',
    MASTERS,
    'no pushrod gap',
    'slack-master',
    'The stop washer’s mark on the piston; the rod’s length as it came.',
  ),
  'residual-missing': cause(
    'outside',
    [...MASTERS, ...WHEELS],
    'residual valve missing or stuck',
    'first-push',
    'Whether a valve is in the outlet, and how its seat looks.',
  ),
  'linkage-worn': cause('outside', [...MASTERS, 'linkage'], 'worn clevis hole or pin', 'pedal-play', 'The clevis hole against its pin.'),
  'hose-collapsed': cause(
    'outside',
    [...WHEELS, 'caliper-half', 'slave', 'hard-line'],
    'hose collapsed or line crushed inside',
    'open-bleeder',
    'Nothing in the unit: the hose beside it.',
  ),
  adjustment: cause(
    'outside',
    [...MASTERS, ...WHEELS, 'caliper-half', 'distribution-valve'],
    'shoes or pads worn, wet or out of adjustment',
    'shoe-look',
    'How far out the pistons stood.',
  ),
  'line-leaks': cause(
    'outside',
    ALL,
    'a line, union or wheel leaks elsewhere',
    'wet-elsewhere',
    'A unit that is dry: look further down the line.',
  ),
  'fluid-boils': cause('outside', FAMILY_NAMES, 'old fluid boils when hot', 'boil-point', 'Dark fluid, water in it.'),
} as const satisfies { readonly [name: string]: CauseInfo };

export type CauseName = keyof typeof CAUSES;
export const CAUSE_NAMES = Object.keys(CAUSES) as [CauseName, ...CauseName[]];
/** The trade's words for where a cause lies. */
export const WHERE_WORDS: { readonly [W in Where]: string } = { unit: 'in the unit', outside: 'outside the unit' };

/** Tests that need the unit open: not for the counter to ask. */
export const NEEDS_OPEN: readonly TestName[] = ['hone-look', 'cup-way', 'spring-look'];

/** Causes for which each test says yes; for all others it says no. */
export const YES: { readonly [T in TestName]: readonly CauseName[] } = {
  'clamp-hoses': ['worn-primary', 'bore-marked', 'floating-leaks', 'end-seal-leaks', 'cup-backwards', 'secondary-leaks'],
  'wet-elsewhere': ['line-leaks', 'cup-leaks', 'square-seal-worn'],
  'boot-wet': ['secondary-leaks', 'cup-leaks', 'square-seal-worn', 'bore-marked'],
  'pump-up': ['air', 'adjustment', 'residual-missing', 'fluid-boils'],
  'vacuum-held': ['vacuum-valve'],
  'open-bleeder': ['hose-collapsed', 'port-blocked', 'no-gap', 'rubber-swollen'],
  'slack-master': ['no-gap'],
  'spurt-port': ['port-blocked', 'no-gap', 'rubber-swollen'],
  'fluid-test': ['rubber-swollen'],
  'boil-point': ['fluid-boils', 'rubber-perished'],
  'pedal-play': ['linkage-worn'],
  'first-push': ['residual-missing', 'adjustment'],
  'piston-by-hand': ['piston-seized', 'rubber-swollen'],
  'spring-look': ['spring-weak', 'piston-seized'],
  'hone-look': ['bore-marked'],
  'shoe-look': ['adjustment'],
  'cup-way': ['cup-backwards'],
  'booster-wet': ['rear-seal-into-booster'],
  'reservoir-rise': ['floating-leaks', 'end-seal-leaks', 'worn-primary'],
};
