/** Kinds of parts in hydraulic units, and what may happen to them. @source design, domain, "Part kinds" and "reuse policy" */
export type ReusePolicy = 'never' | 'last-resort' | 'inspect' | 'ok';
/** What it is made of, as a drawing shows it and a cleaning fluid meets it. */
export type Stuff = 'rubber' | 'metal' | 'plastic';

type KindInfo = { readonly label: string; readonly policy: ReusePolicy; readonly look: string; readonly stuff: Stuff };

const kind = (label: string, policy: ReusePolicy, look = '', stuff: Stuff = 'metal'): KindInfo => ({ label, policy, look, stuff });
const rubber = (label: string, policy: ReusePolicy, look = ''): KindInfo => kind(label, policy, look, 'rubber');
const plastic = (label: string, policy: ReusePolicy, look = ''): KindInfo => kind(label, policy, look, 'plastic');

export const PART_KINDS = {
  cup: rubber('cup', 'never'),
  'o-ring': rubber('O-ring', 'never'),
  'square-seal': rubber('square seal', 'never'),
  'plunger-seal': rubber('plunger seal', 'never'),
  'end-seal': rubber('end seal', 'never'),
  'cap-seal': rubber('cap seal', 'never'),
  'cross-over-seal': rubber('cross-over seal', 'never'),
  'split-pin': kind('split pin', 'never'),
  boot: rubber('boot', 'last-resort', 'No split, not swollen, still grips its groove.'),
  'dust-seal': rubber('dust seal', 'last-resort', 'No split, not swollen.'),
  grommet: rubber('grommet', 'last-resort', 'No split, not hard.'),
  'sealing-washer': kind('sealing washer', 'last-resort', 'Refaced flat on fine paper.'),
  'wire-ring': kind('wire ring', 'last-resort', 'Not sprung open.'),
  piston: kind('piston', 'inspect', 'No score and no pit on a land.'),
  plunger: kind('plunger', 'inspect', 'No score and no pit on a land.'),
  pushrod: kind('pushrod', 'inspect', 'Straight, tip round, thread clean.'),
  circlip: kind('circlip, eyed', 'inspect', 'No set: it springs back, edges sharp.'),
  'nylon-ring': plastic('nylon ring', 'inspect', 'No crack.'),
  'tanged-clip': kind('tanged clip', 'inspect', 'All tangs there, none bent.'),
  'stop-washer': kind('stop washer', 'inspect', 'Flat, no burr.'),
  'dished-washer': kind('dished washer', 'inspect', 'Not flattened.'),
  'wave-washer': kind('wave washer', 'inspect', 'Not flattened.'),
  'protector-washer': kind('thin protector washer', 'inspect', 'Flat, no burr, not cracked.'),
  'valve-stem': kind('valve stem', 'inspect', 'Straight, head not worn by the thimble.'),
  spacer: kind('spacer', 'inspect', 'Legs whole.'),
  'concave-washer': kind('concave washer', 'inspect', 'No burr; bowl toward the seal.'),
  spring: kind('spring', 'inspect', 'Free length as it should be, no rust at the coils, bend test.'),
  'spring-seat': kind('spring seat', 'inspect', 'Tab not broken.'),
  'stop-pin': kind('stop pin', 'inspect', 'Not bent, not worn.'),
  'set-screw': kind('stop screw', 'inspect', 'Thread and tip whole.'),
  'roll-pin': kind('roll pin', 'inspect', 'Not cracked.'),
  'end-plug': kind('end plug', 'inspect', 'Thread and face whole.'),
  'check-valve': kind('check valve', 'inspect', 'Holds one way, passes the other.'),
  'residual-valve': kind('residual valve', 'inspect', 'Seat clean, rubber whole.'),
  'bleed-screw': kind('bleed screw', 'inspect', 'Tip not grooved, drilling open.'),
  'banjo-bolt': kind('banjo bolt', 'inspect', 'Drilling open, thread whole.'),
  adjuster: kind('adjuster', 'inspect', 'Turns freely.'),
  clevis: kind('clevis', 'inspect', 'Hole round.'),
  pin: kind('pin', 'inspect', 'Round, no step worn in it.'),
  lever: kind('lever', 'inspect', 'Hole round, not bent.'),
  diaphragm: rubber('diaphragm', 'inspect', 'No split, no hard fold.'),
  shuttle: kind('shuttle', 'inspect', 'No score on a land, slides by its own weight.'),
  switch: plastic('switch', 'inspect', 'Tip free, no fluid in the plug.'),
  'hard-line': kind('hard line', 'inspect', 'Flare even and whole, no rust pit, not crushed.'),
  'union-nut': kind('union nut', 'inspect', 'Flats and thread whole.'),
  reservoir: plastic('reservoir', 'inspect', 'No crack, clean.'),
  'reservoir-cap': plastic('reservoir cap', 'ok'),
  'bleed-cap': rubber('bleed cap', 'ok'),
  screen: plastic('screen', 'ok'),
} as const satisfies { readonly [name: string]: KindInfo };

export type PartKind = keyof typeof PART_KINDS;
export const PART_KIND_NAMES = Object.keys(PART_KINDS) as [PartKind, ...PartKind[]];
