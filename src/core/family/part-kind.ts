/** Kinds of parts in hydraulic units, and what may happen to them. @source design, domain, "Part kinds" and "reuse policy" */
export type ReusePolicy = 'never' | 'last-resort' | 'inspect' | 'ok';

type KindInfo = { readonly label: string; readonly policy: ReusePolicy; readonly look: string };

const kind = (label: string, policy: ReusePolicy, look = ''): KindInfo => ({ label, policy, look });

export const PART_KINDS = {
  cup: kind('cup', 'never'),
  'o-ring': kind('O-ring', 'never'),
  'square-seal': kind('square seal', 'never'),
  'plunger-seal': kind('plunger seal', 'never'),
  'end-seal': kind('end seal', 'never'),
  'cap-seal': kind('cap seal', 'never'),
  'split-pin': kind('split pin', 'never'),
  boot: kind('boot', 'last-resort', 'No split, not swollen, still grips its groove.'),
  'dust-seal': kind('dust seal', 'last-resort', 'No split, not swollen.'),
  grommet: kind('grommet', 'last-resort', 'No split, not hard.'),
  'sealing-washer': kind('sealing washer', 'last-resort', 'Refaced flat on fine paper.'),
  'wire-ring': kind('wire ring', 'last-resort', 'Not sprung open.'),
  piston: kind('piston', 'inspect', 'No score and no pit on a land.'),
  plunger: kind('plunger', 'inspect', 'No score and no pit on a land.'),
  pushrod: kind('pushrod', 'inspect', 'Straight, tip round, thread clean.'),
  circlip: kind('circlip, eyed', 'inspect', 'No set: it springs back, edges sharp.'),
  'nylon-ring': kind('nylon ring', 'inspect', 'No crack.'),
  'tanged-clip': kind('tanged clip', 'inspect', 'All tangs there, none bent.'),
  'stop-washer': kind('stop washer', 'inspect', 'Flat, no burr.'),
  'dished-washer': kind('dished washer', 'inspect', 'Not flattened.'),
  'wave-washer': kind('wave washer', 'inspect', 'Not flattened.'),
  'protector-washer': kind('thin protector washer', 'inspect', 'Flat, no burr, not cracked.'),
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
  reservoir: kind('reservoir', 'inspect', 'No crack, clean.'),
  'reservoir-cap': kind('reservoir cap', 'ok'),
  'bleed-cap': kind('bleed cap', 'ok'),
  screen: kind('screen', 'ok'),
} as const satisfies { readonly [name: string]: KindInfo };

export type PartKind = keyof typeof PART_KINDS;
export const PART_KIND_NAMES = Object.keys(PART_KINDS) as [PartKind, ...PartKind[]];
