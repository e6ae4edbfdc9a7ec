import type { Family } from '../family/family';
import { roleOf } from '../family/family-name';
import type { PartKind } from '../family/part-kind';
import type { TrayPart } from '../strip/tray-schema';

/** What a part is wetted with: the shop's lubricant in the fluid path, grease on its dust side, or nothing. */
export type Wet = 'fluid-path' | 'dust-side' | 'dry';

/** How a part is put into its unit. */
export type Fitting = {
  readonly todo: string;
  readonly wet: Wet;
  readonly tool?: string;
  /** What jumps, cuts or is crushed. */
  readonly flies?: string;
  /** What is seen or felt when it is right: said by the person who puts it in. */
  readonly home: string;
};

type Asked = {
  readonly name: string;
  readonly family: Family;
  readonly part: TrayPart;
  /** The piston that it came out on, and goes in on. */
  readonly on: string | null;
  /** How it lay, as far as that is known: by a photo from stripping, where one was taken. */
  readonly asItLay: string;
};
type HowTo = (asked: Asked) => Fitting;

const isWheel = (family: Family): boolean => roleOf(family) === 'wheel';
const grooveOf = ({ family, part }: Asked): string => {
  const id = family.slots.find((s) => s.id === part.slotId)?.groove;
  return id === undefined ? 'its groove' : `the ${id} groove`.replace('clip groove', 'clip’s groove');
};
const PRESS = 'Press the piston in by a few millimetres with a wooden or brass rod and hold it there';
const place =
  (wet: Wet): HowTo =>
  ({ name }) => ({ todo: `Put the ${name} in its place.`, wet, home: 'It is in its place' });
const screw =
  (more: string, flies?: string): HowTo =>
  ({ name }) => ({
    todo: `Start the ${name} by hand for three turns, then tighten it as the manual says. ${more}`,
    wet: 'dry',
    tool: 'torque wrench',
    ...(flies === undefined ? {} : { flies }),
    home: 'It started by hand and is tight',
  });

/** @source design, domain, "Families and their anatomy", "Facing", "Cautions"; issue's list of what a close-up guide tells */
const FITTING: { readonly [K in PartKind]: HowTo } = {
  cup: ({ name, on }) =>
    on !== null
      ? {
          todo: `Work the ${name} onto the ${on} outside of the bore: over its land with clean fingers, no edge of a tool, and into its place. It goes in with the piston.`,
          wet: 'fluid-path',
          tool: 'clean fingers, cone of film',
          home: 'It sits on the piston, lip whole all round',
        }
      : {
          todo: `Set the ${name} square, thumbs on opposite sides at 12 and 6, then at 3 and 9; work the lip in all round, then turn it as it goes. Do not push.`,
          wet: 'fluid-path',
          tool: 'slip sleeve or shim, blunt plastic',
          home: 'Its lip is whole all round',
        },
  'plunger-seal': ({ name }) => ({
    todo: `Stretch the ${name} over the plunger’s land with a cone of film, into its groove; roll it once round so that it does not lie twisted.`,
    wet: 'fluid-path',
    tool: 'cone of film, fingers only',
    home: 'It lies in its groove, not twisted',
  }),
  'o-ring': ({ name }) => ({
    todo: `Roll the ${name} into its groove and run a finger round: no twist, no thread crossed dry.`,
    wet: 'fluid-path',
    home: 'It lies flat in its groove',
  }),
  'end-seal': ({ name, family }) => ({
    todo:
      family.name === 'master-valve'
        ? `Slip the ${name} over the stem’s head, its flat face to the seat.`
        : `Press the ${name} into its seat with a thumb.`,
    wet: 'fluid-path',
    home: 'It sits flat on its seat',
  }),
  'square-seal': ({ name, ...a }) => ({
    todo: `Lay the ${name} into ${grooveOf({ name, ...a })} with clean fingers, in two curves and then round; it has no facing, but no twist either.`,
    wet: 'fluid-path',
    tool: 'clean fingers; wood, never steel',
    home: 'It lies in the groove all round, not twisted',
  }),
  'cross-over-seal': ({ name }) => ({
    todo: `Lay the ${name} in its seat, dry mating faces beside it.`,
    wet: 'fluid-path',
    home: 'It stands evenly proud of the face',
  }),
  'dust-seal': ({ name, ...a }) => ({
    todo: `Work the ${name} into ${grooveOf({ name, ...a })}; its case, if it has one, goes in square with a ring of its size.`,
    wet: 'dust-side',
    home: 'It sits square in its groove',
  }),
  boot: (a) => ({
    todo: isWheel(a.family)
      ? `Pull the ${a.name} over its end and into the groove; the rod or shoe link through its hole.`
      : `Draw the ${a.name} along the rod and its bead into ${grooveOf(a)}${a.family.name === 'master-lever' ? '; the clip lies in the other one' : ''}. It hangs free, not twisted.`,
    wet: 'dust-side',
    home: 'Its bead grips all round',
  }),
  circlip: (a) => ({
    todo: `${PRESS}; squeeze the ${a.name} and let it into ${grooveOf(a)}, sharp edge outward. Turn it all the way round: it must click along its groove.`,
    wet: 'dry',
    tool: 'internal circlip pliers, rod to press',
    flies: 'Circlips fly: glasses on, hand over the mouth.',
    home: 'It turned all round in its groove: it is home',
  }),
  'wire-ring': (a) =>
    a.part.slotId === 'boot-clip'
      ? {
          todo: `Snap the ${a.name} round the boot’s neck.`,
          wet: 'dry',
          flies: 'A wire ring jumps: glasses on.',
          home: 'It grips the neck all round',
        }
      : {
          todo: `${PRESS}; walk the ${a.name} into ${grooveOf(a)} from one end to the other. It has no eyes: push it round and see that it moves in the groove.`,
          wet: 'dry',
          tool: 'small blunt blade, rod to press',
          flies: 'A wire ring jumps: glasses on, hand over the mouth.',
          home: 'It moved round in its groove: it is home',
        },
  'nylon-ring': ({ name }) => ({
    todo: `${PRESS}; draw the ${name} in square, one lug after another, until each snaps behind its step.`,
    wet: 'dry',
    flies: 'It cracks when it is forced: warm it in the hand.',
    home: 'Every lug snapped home',
  }),
  'tanged-clip': ({ name }) => ({
    todo: `${PRESS}; push the ${name} in square with a tube of its size until all tangs bite.`,
    wet: 'dry',
    tool: 'tube of its size',
    flies: 'Tangs cut: gloves.',
    home: 'Pulled at, it does not move',
  }),
  'stop-washer': ({ name }) => ({
    todo: `Lay the ${name} on the piston, the face that the piston wore toward it, before the clip.`,
    wet: 'dry',
    home: 'It lies flat',
  }),
  'dished-washer': ({ name, asItLay }) => ({
    todo: `Lay the ${name} in with its dish ${asItLay}.`,
    wet: 'dry',
    home: 'Its dish lies as it came out',
  }),
  'concave-washer': ({ name }) => ({ todo: `Lay the ${name} against its seal.`, wet: 'fluid-path', home: 'It lies against the seal' }),
  'wave-washer': ({ name }) => ({
    todo: `Put the ${name} on the stem, between spacer and seal. It is thin: count it.`,
    wet: 'fluid-path',
    home: 'It is on, and only once',
  }),
  'protector-washer': ({ name }) => ({
    todo: `Lay the ${name} flat against the piston’s face, before the cup: without it the cup is pushed into the holes of the piston.`,
    wet: 'fluid-path',
    home: 'It lies flat on the piston',
  }),
  'sealing-washer': ({ name }) => ({
    todo: `Put the ${name} on, faces clean and dry: one under each face that seals.`,
    wet: 'dry',
    home: 'One lies under each face',
  }),
  spring: ({ name }) => ({
    todo: `Set the ${name} in, its end seated all round.`,
    wet: 'fluid-path',
    home: 'It is seated at its end',
  }),
  'spring-seat': ({ name, part }) =>
    part.slotId === 'thimble'
      ? {
          todo: `Push the ${name} over the plunger’s nose against its spring and bend the tab down behind the shoulder; try to draw it off.`,
          wet: 'fluid-path',
          flies: 'The spring pushes: hold both ends until the tab is down.',
          home: 'The tab is down and holds',
        }
      : { todo: `Put the ${name} into its spring.`, wet: 'fluid-path', home: 'It sits in the spring' },
  'valve-stem': ({ name }) => ({
    todo: `Press the spring together and turn the head of the ${name} into the keyhole of the thimble; let it up slowly.`,
    wet: 'fluid-path',
    flies: 'The spring opens: hold both ends.',
    home: 'The head hangs in the keyhole',
  }),
  spacer: ({ name }) => ({
    todo: `Slip the ${name} on the stem, legs as they came out.`,
    wet: 'fluid-path',
    home: 'Its legs lie as they came out',
  }),
  piston: ({ name, family }) => ({
    todo: isWheel(family)
      ? `Slide the ${name} in from its own end with its slot to the shoe; it goes by hand.`
      : roleOf(family) === 'caliper'
        ? `Press the ${name} in square with both thumbs, until it starts in the seal; then with even force.`
        : `Slide the ${name} in square and turn it slowly as it goes; stop when it binds, and find out why.`,
    wet: 'fluid-path',
    flies: 'A piston that is forced cuts what sits on it.',
    home: 'It went in by hand and springs back',
  }),
  plunger: ({ name }) => ({
    todo: `Slide the ${name} with thimble, spring and stem in as one, square, turning it slowly.`,
    wet: 'fluid-path',
    flies: 'A plunger that is forced cuts its seal.',
    home: 'It went in by hand and springs back',
  }),
  shuttle: ({ name }) => ({ todo: `Slide the ${name} in by its own weight.`, wet: 'fluid-path', home: 'It slides by its own weight' }),
  pushrod: ({ name }) => ({
    todo: `Set the tip of the ${name} into the piston’s socket; its washer lies under the clip.`,
    wet: 'dust-side',
    home: 'Its tip sits in the socket and swivels',
  }),
  'stop-pin': ({ name }) => ({
    todo: `Press the pistons in past it and drop the ${name} into its hole; let the piston come back onto it.`,
    wet: 'fluid-path',
    tool: 'wooden rod, long pliers',
    home: 'The piston comes to rest on it',
  }),
  'set-screw': ({ name }) => ({
    todo: `Press the pistons in with a wooden rod and hold them; start the ${name} by hand on its own washer, tighten it, let the piston come back onto it.`,
    wet: 'dry',
    tool: 'wooden rod, torque wrench',
    flies: 'Screwed in against the piston it scores it: keep pressing.',
    home: 'The piston comes to rest on it',
  }),
  'roll-pin': ({ name }) => ({
    todo: `Drive the ${name} home from the side, body held in soft jaws.`,
    wet: 'dry',
    flies: 'Glasses: pins jump.',
    home: 'It is flush on both sides',
  }),
  'end-plug': screw('Its washer lies under its face.', 'The spring pushes: first turns by hand.'),
  'bleed-screw': screw('Only until its cone seats: it shears easily.'),
  'banjo-bolt': (a) => screw(`Hold the banjo at its angle ${a.asItLay}.`)(a),
  switch: screw('By hand to the seal, then a little.'),
  'union-nut': screw('Behind its flare; the line runs straight into the port.'),
  'bleed-cap': ({ name }) => ({ todo: `Push on the ${name}.`, wet: 'dry', home: 'It is on' }),
  grommet: ({ name }) => ({
    todo: `Press the ${name} into place, wet, with a thumb.`,
    wet: 'fluid-path',
    home: 'Its lip is out all round',
  }),
  reservoir: ({ name }) => ({
    todo: `Rock the ${name} into its grommets, straight down.`,
    wet: 'fluid-path',
    home: 'It sits down to its shoulder',
  }),
  'reservoir-cap': place('dry'),
  'cap-seal': place('dry'),
  screen: place('dry'),
  'check-valve': ({ name, asItLay }) => ({
    todo: `Put the ${name} in so that it passes ${asItLay}; blow through it once.`,
    wet: 'fluid-path',
    home: 'It passes the right way only',
  }),
  'residual-valve': ({ name }) => ({
    todo: `Set the ${name} on the bottom of the bore, its rubber to the seat; the spring stands on it.`,
    wet: 'fluid-path',
    home: 'It lies flat on the bottom',
  }),
  adjuster: ({ name }) => ({
    todo: `Screw in the ${name} by the turns it took to come out.`,
    wet: 'dust-side',
    home: 'It is in by as many turns',
  }),
  clevis: ({ name }) => ({
    todo: `Screw the ${name} on by the turns it took to come off; lock nut after the gap is set.`,
    wet: 'dry',
    home: 'It is on by as many turns',
  }),
  pin: ({ name }) => ({ todo: `Push the ${name} through, thinly greased.`, wet: 'dust-side', home: 'It turns in its hole without play' }),
  'split-pin': ({ name }) => ({
    todo: `Fit a new ${name} and bend both legs back.`,
    wet: 'dry',
    flies: 'A split pin that has been used can lose the whole brake: always a new one.',
    home: 'New, and both legs are bent back',
  }),
  lever: place('dust-side'),
  diaphragm: ({ name }) => ({
    todo: `Lay the ${name} in by its marks, bead in its groove all round; the shells go together in the jig only.`,
    wet: 'dry',
    flies: 'The spring inside is strong: a jig or a press, never by hand.',
    home: 'Its bead lies in the groove all round',
  }),
  'hard-line': place('dry'),
};

/**
 * How this part goes into this unit.
 * @param on the piston that it came out on
 * @param photographed whether a photo from stripping shows it
 */
export const fittingOf = (part: TrayPart, family: Family, on: TrayPart | null, photographed: boolean): Fitting =>
  FITTING[part.kind]({
    name: part.qty > 1 ? `${part.name} (${part.qty})` : part.name,
    family,
    part,
    on: on?.name ?? null,
    asItLay: photographed ? 'as the photo from stripping shows' : 'as it came out; the tray and its note say what is known of that',
  });
