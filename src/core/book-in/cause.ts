import { FAMILY_NAMES, type UnitKind } from '../family/family-name';
import type { TestName } from './cause-test';
import type { Does } from './effect';

type Where = 'unit' | 'outside';
/** What may be behind a complaint. `look`: what shows it when the unit is stripped, or on the machine. `test`: what tells it from the others. */
type CauseInfo = {
  readonly label: string;
  readonly where: Where;
  readonly kinds: readonly UnitKind[];
  readonly look: string;
  readonly test: TestName;
  /** What it does; how often each complaint is heard with it follows from that. */
  readonly does: Does;
  /** How often it is behind a unit, beside the others. */
  readonly prior: number;
  /** Kinds of units that are brought in for nothing else so often. */
  readonly ownTo?: readonly UnitKind[];
};

const MASTERS: readonly UnitKind[] = ['master-single', 'master-valve', 'master-lever', 'master-tandem'];
const WHEELS: readonly UnitKind[] = ['wheel-double', 'wheel-single'];
/** What holds fluid: a linkage and a booster do not. */
const HYDRAULIC: readonly UnitKind[] = [...FAMILY_NAMES, 'distribution-valve', 'hard-line'];

/** @source design, issue “Strip”, and bench practice: what each looks like once it is open */
export const CAUSES = {
  'worn-primary': {
    label: 'worn or nicked primary cup',
    where: 'unit',
    kinds: MASTERS,
    look: 'The lip of the primary cup: a nick, a flat, a hardened edge.',
    test: 'clamp-hoses',
    does: { often: ['passes-inside', 'sinks'], sometimes: ['gone', 'drops-on-start'], seldom: ['soft', 'black'] },
    prior: 0.12,
  },
  'bore-marked': {
    label: 'pit or score where a cup of the master runs',
    where: 'unit',
    kinds: MASTERS,
    look: 'The clean bore under the resting cups and along their way.',
    test: 'hone-look',
    does: { often: ['passes-inside', 'sinks'], sometimes: ['gone', 'lost-at-boot'], seldom: ['lets-go', 'drops-on-start'] },
    prior: 0.12,
  },
  'wheel-bore-marked': {
    label: 'pit in the bore where a cup rests',
    where: 'unit',
    kinds: [...WHEELS, 'slave'],
    look: 'The clean bore where the cups stand at rest: fluid and damp stand there.',
    test: 'boot-wet',
    does: { often: ['lost-at-wheel'], sometimes: ['weeps-at-rest', 'uneven'], seldom: ['sinks'] },
    prior: 0.06,
  },
  'secondary-leaks': {
    label: 'secondary cup leaks',
    where: 'unit',
    kinds: MASTERS,
    look: 'Wet behind the boot; rust at the mouth; the secondary cup’s lip.',
    test: 'boot-wet',
    does: { often: ['lost-at-boot'], sometimes: ['weeps-at-rest'], seldom: ['soft'] },
    prior: 0.07,
  },
  'cup-leaks': {
    label: 'cup leaks',
    where: 'unit',
    kinds: [...WHEELS, 'slave'],
    look: 'Wet behind a boot; the cup’s lip; pits where fluid stood.',
    test: 'boot-wet',
    does: { often: ['lost-at-wheel'], sometimes: ['uneven', 'weeps-at-rest'], seldom: ['soft', 'sinks', 'long-until-pumped', 'lets-go'] },
    prior: 0.1,
  },
  'square-seal-worn': {
    label: 'pressure seal worn or its groove corroded',
    where: 'unit',
    kinds: ['caliper-half'],
    look: 'Salts in the seal’s groove; the piston’s plating.',
    test: 'boot-wet',
    does: { often: ['lost-at-wheel'], sometimes: ['uneven'], seldom: ['soft', 'weeps-at-rest'] },
    prior: 0.06,
  },
  'floating-leaks': {
    label: 'floating piston leaks across',
    where: 'unit',
    kinds: ['master-tandem'],
    look: 'The back-to-back cups, and the bore between them.',
    test: 'reservoir-rise',
    does: { often: ['passes-inside', 'sinks'], sometimes: ['gone'], seldom: ['drops-on-start'] },
    prior: 0.05,
  },
  'end-seal-leaks': {
    label: 'end seal leaks back to the reservoir',
    where: 'unit',
    kinds: ['master-valve'],
    look: 'End seal, its seat in the bottom, the wave washer.',
    test: 'reservoir-rise',
    does: { often: ['passes-inside', 'sinks', 'lets-go'], sometimes: ['gone'], seldom: ['soft'] },
    prior: 0.06,
  },
  'port-blocked': {
    label: 'compensating port blocked',
    where: 'unit',
    kinds: MASTERS,
    look: 'A wire of its size through the port; a cup that has swollen over it.',
    test: 'spurt-port',
    does: { often: ['stays-on'], sometimes: ['slow-back', 'hard'], seldom: ['black'] },
    prior: 0.05,
  },
  'rubber-swollen': {
    label: 'rubber swollen by a wrong fluid',
    where: 'unit',
    kinds: FAMILY_NAMES,
    look: 'Cups that are soft and too large; a cap seal that no longer fits.',
    test: 'fluid-test',
    does: { often: ['stays-on', 'slow-back'], sometimes: ['hard', 'stuck'], seldom: ['black', 'sinks'] },
    prior: 0.04,
  },
  'rubber-perished': {
    label: 'old rubber breaks up',
    where: 'unit',
    kinds: FAMILY_NAMES,
    look: 'Black on a wiped finger; soft, shiny lips.',
    test: 'boil-point',
    does: { often: ['black'], sometimes: ['sinks'], seldom: ['lost-at-boot', 'soft'] },
    prior: 0.06,
  },
  'piston-seized': {
    label: 'piston seized by corrosion',
    where: 'unit',
    kinds: FAMILY_NAMES,
    look: 'A ridge at the mouth, rust or salts round the piston.',
    test: 'piston-by-hand',
    does: { often: ['stuck', 'slow-back'], sometimes: ['stays-on', 'uneven'], seldom: ['hard'] },
    prior: 0.08,
  },
  'spring-weak': {
    label: 'return spring weak or broken',
    where: 'unit',
    kinds: [...MASTERS, ...WHEELS, 'slave'],
    look: 'Its free length against a new one; a broken coil.',
    test: 'spring-look',
    does: { often: ['slow-back'], sometimes: ['stays-on'], seldom: ['soft'] },
    prior: 0.03,
  },
  'cup-backwards': {
    label: 'a cup fitted the wrong way round',
    where: 'unit',
    kinds: FAMILY_NAMES,
    look: 'Each lip as it came out, against the drawing.',
    test: 'cup-way',
    does: { often: ['gone'], sometimes: ['lost-at-boot', 'lost-at-wheel'], seldom: ['soft', 'sinks'] },
    prior: 0.02,
  },
  'rear-seal-into-booster': {
    label: 'rear seal leaks into the booster',
    where: 'unit',
    kinds: ['master-tandem', 'master-single', 'booster'],
    look: 'Fluid on the booster’s side of the flange.',
    test: 'booster-wet',
    does: { often: ['lost-into-booster'], sometimes: ['hard'], seldom: ['sinks'] },
    prior: 0.04,
  },
  air: {
    label: 'air in the system',
    where: 'outside',
    kinds: HYDRAULIC,
    look: 'Nothing in the unit: ask when and how it was bled.',
    test: 'pump-up',
    does: { often: ['soft'], sometimes: ['long-until-pumped', 'gone', 'drops-on-start'], seldom: ['long', 'lets-go'] },
    prior: 0.12,
  },
  'vacuum-valve': {
    label: 'vacuum check valve or booster leaks',
    where: 'outside',
    kinds: [...MASTERS, 'booster'],
    look: 'Nothing in the unit: the hose, its valve and grommet.',
    test: 'vacuum-held',
    does: { often: ['hard'] },
    prior: 0.05,
    ownTo: ['booster'],
  },
  'booster-helps': {
    label: 'the booster begins to help, as it should',
    where: 'outside',
    kinds: [...MASTERS, 'booster'],
    look: 'Nothing: every brake with a booster drops a little when the vacuum comes.',
    test: 'drops-a-little',
    does: { often: ['drops-on-start'] },
    prior: 0.04,
  },
  'no-gap': {
    label: 'no pushrod gap',
    where: 'outside',
    kinds: MASTERS,
    look: 'The stop washer’s mark on the piston; the rod’s length as it came.',
    test: 'slack-master',
    does: { often: ['stays-on'], sometimes: ['slow-back'], seldom: ['hard'] },
    prior: 0.05,
  },
  'residual-missing': {
    label: 'residual valve missing or stuck',
    where: 'outside',
    kinds: [...MASTERS, ...WHEELS],
    look: 'Whether a valve is in the outlet, and how its seat looks.',
    test: 'first-push',
    does: { often: ['weeps-at-rest', 'long-until-pumped'], sometimes: ['soft', 'long'] },
    prior: 0.02,
  },
  'linkage-worn': {
    label: 'worn clevis hole or pin',
    where: 'outside',
    kinds: [...MASTERS, 'linkage'],
    look: 'The clevis hole against its pin.',
    test: 'pedal-play',
    does: { often: ['long'], sometimes: ['gone'], seldom: ['slow-back'] },
    prior: 0.04,
    ownTo: ['linkage'],
  },
  'hose-collapsed': {
    label: 'hose collapsed or line crushed inside',
    where: 'outside',
    kinds: [...WHEELS, 'caliper-half', 'slave', 'hard-line'],
    look: 'Nothing in the unit: the hose beside it.',
    test: 'open-bleeder',
    does: { often: ['stays-on', 'slow-back'], sometimes: ['uneven', 'hard'] },
    prior: 0.05,
    ownTo: ['hard-line'],
  },
  adjustment: {
    label: 'shoes or pads worn, wet or out of adjustment',
    where: 'outside',
    kinds: [...MASTERS, ...WHEELS, 'caliper-half', 'distribution-valve'],
    look: 'How far out the pistons stood.',
    test: 'shoe-look',
    does: { often: ['uneven', 'long', 'long-until-pumped'], sometimes: ['soft'], seldom: ['stays-on', 'gone'] },
    prior: 0.06,
  },
  'knock-back': {
    label: 'a loose bearing or a disc knocks the pistons back',
    where: 'outside',
    kinds: [...MASTERS, 'caliper-half'],
    look: 'How far the pistons stood in; nothing in the unit.',
    test: 'wheel-rocked',
    does: { often: ['long-until-pumped'], sometimes: ['pulses', 'long'] },
    prior: 0.02,
  },
  'disc-runs-out': {
    label: 'a disc runs out or a drum is not round',
    where: 'outside',
    kinds: [...MASTERS, ...WHEELS, 'caliper-half'],
    look: 'Nothing in the unit: the disc or drum.',
    test: 'wheel-turned',
    does: { often: ['pulses'], seldom: ['uneven', 'long-until-pumped'] },
    prior: 0.03,
  },
  'line-leaks': {
    label: 'a line, union or wheel leaks elsewhere',
    where: 'outside',
    kinds: HYDRAULIC,
    look: 'A unit that is dry: look further down the line.',
    test: 'wet-elsewhere',
    does: { often: ['lost-elsewhere'], sometimes: ['gone'], seldom: ['soft', 'long-until-pumped'] },
    prior: 0.05,
    ownTo: ['hard-line'],
  },
  'fluid-boils': {
    label: 'old fluid boils when hot',
    where: 'outside',
    kinds: FAMILY_NAMES,
    look: 'Dark fluid, water in it.',
    test: 'boil-point',
    does: { often: ['soft'], sometimes: ['gone', 'long-until-pumped'], seldom: ['black'] },
    prior: 0.03,
  },
} as const satisfies { readonly [name: string]: CauseInfo };

export type CauseName = keyof typeof CAUSES;
export const CAUSE_NAMES = Object.keys(CAUSES) as [CauseName, ...CauseName[]];
/** All that is known of a cause. */
export const causeInfo = (name: CauseName): CauseInfo => CAUSES[name];
/** The trade's words for where a cause lies. */
export const WHERE_WORDS: { readonly [W in Where]: string } = { unit: 'in the unit', outside: 'outside the unit' };
