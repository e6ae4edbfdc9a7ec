/** Kinds of parts in hydraulic units, and what may happen to them. @source design, domain, "Part kinds" and "reuse policy" */
export type ReusePolicy = 'never' | 'last-resort' | 'inspect' | 'ok';
/** What it is made of, as a drawing shows it and a cleaning fluid meets it. */
export type Stuff = 'rubber' | 'metal' | 'plastic';

/** All that is asked of a kind as such. Whoever adds one answers each column; nothing else lists kinds by what they are. */
type KindInfo = {
  readonly label: string;
  readonly policy: ReusePolicy;
  readonly stuff: Stuff;
  /** Rubber in the fluid’s path: a lip that faces pressure, a square section in a pot, a ring on what it seals, an end on a seat, or a joint between two bodies. */
  readonly seal: 'lip' | 'square' | 'ring' | 'end' | 'joint' | null;
  /** Where it sits: in the wall, and straight out of it; or in line with the bore. */
  readonly in: 'wall' | 'line';
  /** When it is taken out: below 0 before what is in line, 0 in line, above 0 after it, the smaller first; a stop just before the piston that it holds. */
  readonly out: number | 'stop';
  /** What it bears on once it is in: where the piston rests and what holds pressure, the pressure alone, or neither. */
  readonly bears: 'gap-and-proof' | 'proof' | 'nothing';
  /** A joint that can leak: tightened itself, held tight by another part, or a union, which is the line's as much as the unit's. */
  readonly joint: 'fastened' | 'held' | 'union' | null;
  /** It runs in the bore and carries seals: a piston, which is measured against the bore, or a shuttle. */
  readonly carries: 'piston' | 'shuttle' | null;
  /** What to look at before it is used again. */
  readonly look: string;
};

// biome-ignore format: one kind a line, so that a column can be read down.
export const PART_KINDS = {
  cup: { label: 'cup', policy: 'never', stuff: 'rubber', seal: 'lip', in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: '' },
  'o-ring': { label: 'O-ring', policy: 'never', stuff: 'rubber', seal: 'ring', in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: '' },
  'square-seal': { label: 'square seal', policy: 'never', stuff: 'rubber', seal: 'square', in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: '' },
  'plunger-seal': { label: 'plunger seal', policy: 'never', stuff: 'rubber', seal: 'lip', in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: '' },
  'end-seal': { label: 'end seal', policy: 'never', stuff: 'rubber', seal: 'end', in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: '' },
  'cap-seal': { label: 'cap seal', policy: 'never', stuff: 'rubber', seal: 'joint', in: 'wall', out: -7, bears: 'nothing', joint: null, carries: null, look: '' },
  'cross-over-seal': { label: 'cross-over seal', policy: 'never', stuff: 'rubber', seal: 'joint', in: 'wall', out: 4, bears: 'proof', joint: 'held', carries: null, look: '' },
  'split-pin': { label: 'split pin', policy: 'never', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: '' },
  boot: { label: 'boot', policy: 'last-resort', stuff: 'rubber', seal: null, in: 'line', out: 0, bears: 'nothing', joint: null, carries: null, look: 'No split, not swollen, still grips its groove.' },
  'dust-seal': { label: 'dust seal', policy: 'last-resort', stuff: 'rubber', seal: null, in: 'line', out: 0, bears: 'nothing', joint: null, carries: null, look: 'No split, not swollen.' },
  grommet: { label: 'grommet', policy: 'last-resort', stuff: 'rubber', seal: null, in: 'wall', out: -4, bears: 'nothing', joint: null, carries: null, look: 'No split, not hard.' },
  'sealing-washer': { label: 'sealing washer', policy: 'last-resort', stuff: 'metal', seal: null, in: 'line', out: -2, bears: 'proof', joint: 'held', carries: null, look: 'Refaced flat on fine paper.' },
  'wire-ring': { label: 'wire ring', policy: 'last-resort', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: 'Not sprung open.' },
  piston: { label: 'piston', policy: 'inspect', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: 'piston', look: 'No score and no pit on a land.' },
  plunger: { label: 'plunger', policy: 'inspect', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: 'piston', look: 'No score and no pit on a land.' },
  pushrod: { label: 'pushrod', policy: 'inspect', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: 'Straight, tip round, thread clean.' },
  circlip: { label: 'circlip, eyed', policy: 'inspect', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: 'No set: it springs back, edges sharp.' },
  'nylon-ring': { label: 'nylon ring', policy: 'inspect', stuff: 'plastic', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: 'No crack.' },
  'tanged-clip': { label: 'tanged clip', policy: 'inspect', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: 'All tangs there, none bent.' },
  'stop-washer': { label: 'stop washer', policy: 'inspect', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: 'Flat, no burr.' },
  'dished-washer': { label: 'dished washer', policy: 'inspect', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: 'Not flattened.' },
  'wave-washer': { label: 'wave washer', policy: 'inspect', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: 'Not flattened.' },
  'protector-washer': { label: 'thin protector washer', policy: 'inspect', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: 'Flat, no burr, not cracked.' },
  'valve-stem': { label: 'valve stem', policy: 'inspect', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: 'Straight, head not worn by the thimble.' },
  spacer: { label: 'spacer', policy: 'inspect', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: 'Legs whole.' },
  'concave-washer': { label: 'concave washer', policy: 'inspect', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: 'No burr; bowl toward the seal.' },
  spring: { label: 'spring', policy: 'inspect', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: 'Free length as it should be, no rust at the coils, bend test.' },
  'spring-seat': { label: 'spring seat', policy: 'inspect', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: 'Tab not broken.' },
  'stop-pin': { label: 'stop pin', policy: 'inspect', stuff: 'metal', seal: null, in: 'wall', out: 'stop', bears: 'gap-and-proof', joint: 'held', carries: null, look: 'Not bent, not worn.' },
  'set-screw': { label: 'stop screw', policy: 'inspect', stuff: 'metal', seal: null, in: 'wall', out: 'stop', bears: 'gap-and-proof', joint: 'fastened', carries: null, look: 'Thread and tip whole.' },
  'roll-pin': { label: 'roll pin', policy: 'inspect', stuff: 'metal', seal: null, in: 'wall', out: -9, bears: 'nothing', joint: null, carries: null, look: 'Not cracked.' },
  'end-plug': { label: 'end plug', policy: 'inspect', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: 'fastened', carries: null, look: 'Thread and face whole.' },
  'check-valve': { label: 'check valve', policy: 'inspect', stuff: 'metal', seal: null, in: 'wall', out: 1, bears: 'proof', joint: 'held', carries: null, look: 'Holds one way, passes the other.' },
  'residual-valve': { label: 'residual valve', policy: 'inspect', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: 'Seat clean, rubber whole.' },
  'bleed-screw': { label: 'bleed screw', policy: 'inspect', stuff: 'metal', seal: null, in: 'wall', out: 3, bears: 'proof', joint: 'fastened', carries: null, look: 'Tip not grooved, drilling open.' },
  'banjo-bolt': { label: 'banjo bolt', policy: 'inspect', stuff: 'metal', seal: null, in: 'line', out: -3, bears: 'proof', joint: 'fastened', carries: null, look: 'Drilling open, thread whole.' },
  adjuster: { label: 'adjuster', policy: 'inspect', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: 'Turns freely.' },
  clevis: { label: 'clevis', policy: 'inspect', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: 'Hole round.' },
  pin: { label: 'pin', policy: 'inspect', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: 'Round, no step worn in it.' },
  lever: { label: 'lever', policy: 'inspect', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: 'Hole round, not bent.' },
  diaphragm: { label: 'diaphragm', policy: 'inspect', stuff: 'rubber', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: 'No split, no hard fold.' },
  shuttle: { label: 'shuttle', policy: 'inspect', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: 'shuttle', look: 'No score on a land, slides by its own weight.' },
  switch: { label: 'switch', policy: 'inspect', stuff: 'plastic', seal: null, in: 'wall', out: -1, bears: 'proof', joint: 'fastened', carries: null, look: 'Tip free, no fluid in the plug.' },
  'hard-line': { label: 'hard line', policy: 'inspect', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: null, carries: null, look: 'Flare even and whole, no rust pit, not crushed.' },
  'union-nut': { label: 'union nut', policy: 'inspect', stuff: 'metal', seal: null, in: 'line', out: 0, bears: 'gap-and-proof', joint: 'union', carries: null, look: 'Flats and thread whole.' },
  reservoir: { label: 'reservoir', policy: 'inspect', stuff: 'plastic', seal: null, in: 'wall', out: -5, bears: 'nothing', joint: null, carries: null, look: 'No crack, clean.' },
  'reservoir-cap': { label: 'reservoir cap', policy: 'ok', stuff: 'plastic', seal: null, in: 'wall', out: -8, bears: 'nothing', joint: null, carries: null, look: '' },
  'bleed-cap': { label: 'bleed cap', policy: 'ok', stuff: 'rubber', seal: null, in: 'wall', out: 2, bears: 'nothing', joint: null, carries: null, look: '' },
  screen: { label: 'screen', policy: 'ok', stuff: 'plastic', seal: null, in: 'line', out: -6, bears: 'nothing', joint: null, carries: null, look: '' },
} as const satisfies { readonly [name: string]: KindInfo };

export type PartKind = keyof typeof PART_KINDS;
export const PART_KIND_NAMES = Object.keys(PART_KINDS) as [PartKind, ...PartKind[]];

/** Is a part of this kind never used again? A name that is no kind of ours is not. */
export const neverReused = (kind: string): boolean => {
  const known = partKind(kind);
  return known !== undefined && PART_KINDS[known].policy === 'never';
};
/** A seal that is sold by the bore that it fits, and needs a place along it. */
export const isBoreSeal = (kind: PartKind): boolean => ['lip', 'square'].includes(PART_KINDS[kind].seal ?? '');
/** A seal that parts two chambers. */
export const partsChambers = (kind: PartKind): boolean => ['lip', 'square', 'ring', 'end'].includes(PART_KINDS[kind].seal ?? '');
export const isRadial = (kind: PartKind): boolean => PART_KINDS[kind].in === 'wall';
/** Seals that sit on a piston and come out on it. */
export const ridesOnPiston = (kind: PartKind): boolean => ['lip', 'ring'].includes(PART_KINDS[kind].seal ?? '');
export const isStop = (kind: PartKind): boolean => PART_KINDS[kind].out === 'stop';
export const isFastener = (kind: PartKind): boolean => ['fastened', 'union'].includes(PART_KINDS[kind].joint ?? '');
/** What may leak when it is not tight; a union is told by itself. */
export const isJoint = (kind: PartKind): boolean => ['fastened', 'held'].includes(PART_KINDS[kind].joint ?? '');
/** A kind by the name that a file or a request gives; undefined when there is none. */
export const partKind = (name: string): PartKind | undefined => (name in PART_KINDS ? (name as PartKind) : undefined);
