import { isPiston } from '../family/carrier';
import type { Family } from '../family/family';
import { roleOf } from '../family/family-name';
import type { PartKind } from '../family/part-kind';
import type { TrayPart } from './tray-schema';

export type GuideDim = { readonly dim: string; readonly label: string };

/** How a part is taken out of its unit. */
export type Removal = {
  readonly todo: string;
  readonly tool?: string;
  readonly flies?: string;
  readonly photo?: string;
  readonly keep?: string;
  readonly measure?: readonly GuideDim[];
};

type Asked = {
  readonly name: string;
  readonly family: Family;
  readonly part: TrayPart;
  /** The piston that a stop holds. */
  readonly held: string;
};
type HowTo = (asked: Asked) => Removal;

const lift: HowTo = ({ name }) => ({ todo: `Take the ${name} out.` });
export const AIR = 'Compressed air drives a piston like a shot: mouth into rag and wood, lowest pressure that moves it, nobody in line.';
const isLever = (family: Family): boolean => family.name === 'master-lever';
const isWheel = (family: Family): boolean => roleOf(family) === 'wheel';
const hasRod = (family: Family): boolean => family.slots.some((s) => s.kind === 'pushrod');

/** @source design, domain, "Families and their anatomy" and "Cautions" */
const REMOVAL: { readonly [K in PartKind]: HowTo } = {
  boot: ({ name, family }) => ({
    todo: isLever(family)
      ? `Work the bead of the ${name} out of the first groove; the clip lies in the second, behind it.`
      : isWheel(family)
        ? `Peel the ${name} off its end. Nothing else keeps the piston in: hold a hand over it.`
        : `Peel the ${name} back off the body${hasRod(family) ? ' and along the rod' : ''}.`,
    tool: 'blunt plastic lever',
    photo: 'how wet it is behind the boot',
    ...(isWheel(family) ? { flies: 'Where only the boot holds the piston, the spring pushes it out.' } : {}),
  }),
  circlip: ({ name, family }) => ({
    todo: `Press the piston in by a few millimetres and hold it; squeeze the eyes of the ${name} and lift it out${isLever(family) ? ' of the second groove' : ''}, a hand over the mouth.`,
    tool: 'internal circlip pliers, wooden or brass rod to press',
    flies: 'Circlips fly: glasses on, hand over the mouth; the spring follows.',
    photo: 'which groove it sits in, and where its gap lies',
    keep: 'the clip: thickness decides which new one fits',
  }),
  'wire-ring': ({ name, part }) =>
    part.slotId === 'boot-clip'
      ? { todo: `Lift the ${name} off the boot’s neck with a hook.`, tool: 'small hook', flies: 'A wire ring jumps: glasses on.' }
      : {
          todo: `Press the piston in and hold it; walk one end of the ${name} out of its groove with a hook. It has no eyes.`,
          tool: 'small hook, wooden rod to press',
          flies: 'A wire ring jumps: glasses on, hand over the mouth.',
        },
  'nylon-ring': ({ name }) => ({
    todo: `Press the piston in; lift the lugs of the ${name} one after another with a thin blade, and draw it out square. The bobbin follows.`,
    tool: 'two thin plastic blades',
    flies: 'It cracks when it is forced: glasses on.',
    keep: 'the ring and its bobbin, if it has one',
  }),
  'tanged-clip': ({ name }) => ({
    todo: `Press the piston in; bend nothing: lift the tangs of the ${name} inward a little each, turn by turn, until it slides.`,
    tool: 'narrow blade',
    flies: 'Tangs spring back and cut: gloves.',
  }),
  'stop-washer': ({ name }) => ({
    todo: `Let the piston come up slowly; lift the ${name} out.`,
    keep: 'which face was worn by the piston',
  }),
  'dished-washer': ({ name }) => ({
    todo: `Let the spring come up slowly; lift the ${name} out and note which way its dish lay.`,
    photo: 'the dish, as it lay',
  }),
  'concave-washer': ({ name }) => ({ todo: `Lift the ${name} out and note where its bowl faced.`, photo: 'the bowl, as it lay' }),
  'wave-washer': ({ name }) => ({
    todo: `Pick the ${name} off the stem.`,
    keep: 'the wave washer: it is thin and sticks to a finger',
    photo: 'order of spacer, wave washer and seal on the stem',
  }),
  'protector-washer': ({ name }) => ({
    todo: `Take the ${name} off.`,
    keep: 'the thin washer: it sticks to the cup and goes into the bin with it',
  }),
  'sealing-washer': ({ name }) => ({
    todo: `Take off the ${name}.`,
    keep: 'sealing washers, until new ones lie beside them: thickness sets how deep the thread goes',
  }),
  'stop-pin': ({ name, held }) => ({
    todo: `Press the ${held} in with a wooden rod until the ${name} is free, and draw it out of its hole.`,
    tool: 'wooden rod, magnet, long pliers',
    keep: 'the pin: it drops into the reservoir port',
  }),
  'set-screw': ({ name, held }) => ({
    todo: `Press the ${held} in with a wooden rod and hold it there: only then does it leave the ${name}. Screw that out.`,
    tool: 'wooden rod, spanner',
    photo: 'where the screw sits',
    keep: 'the copper washer under the screw',
    flies: `Screwed out under load it scores the ${held}: keep pressing.`,
  }),
  'roll-pin': ({ name }) => ({
    todo: `Drive the ${name} out to the side, body held in soft jaws.`,
    tool: 'pin punch of its size',
    flies: 'Glasses: pins jump.',
  }),
  'end-plug': ({ name }) => ({
    todo: `Clamp the body in soft jaws and screw the ${name} out; the spring is behind it.`,
    tool: 'six-point socket',
    flies: 'The spring pushes: last turns by hand.',
  }),
  pushrod: ({ name }) => ({
    todo: `Draw out the ${name}.`,
    measure: [{ dim: 'overallMm', label: 'overall' }],
    keep: 'the lock nut where it was',
  }),
  clevis: ({ name }) => ({
    todo: `Slacken the lock nut, count the turns, and screw the ${name} off.`,
    keep: 'how many turns it took: write it in the note',
  }),
  pin: ({ name }) => ({ todo: `Press out the ${name}.`, photo: 'the wear on it' }),
  'split-pin': ({ name }) => ({
    todo: `Straighten and draw the ${name}; it goes in the bin.`,
    flies: 'A reused split pin can lose the whole brake.',
  }),
  lever: lift,
  piston: ({ name, family }) => ({
    todo: isWheel(family)
      ? `Push the ${name} out at its own end by hand; if it stops at a ridge, dress that first (see “Stuck”).`
      : roleOf(family) === 'caliper'
        ? family.slots.filter(isPiston).length > 1
          ? `Draw the ${name} out square, by hand.`
          : `Bring the ${name} out into a block of wood, with fluid or with low air; see “Stuck” for the force.`
        : `Let the ${name} come out by its spring; if it does not, tap the flange on wood, then see “Stuck”.`,
    flies: AIR,
    photo: 'the piston as it lies, mouth to the left',
  }),
  plunger: ({ name }) => ({
    todo: `Tap the flange on wood; the ${name} comes with thimble, spring and stem as one.`,
    flies: AIR,
    photo: 'the whole plunger, mouth to the left',
  }),
  shuttle: ({ name }) => ({ todo: `Tap the body on wood until the ${name} slides out.`, flies: AIR, photo: 'which end came first' }),
  cup: ({ name }) => ({
    todo: `Take the ${name} out with a blunt hook; say at once which way its lip faced.`,
    tool: 'blunt brass or plastic hook',
  }),
  'plunger-seal': ({ name }) => ({ todo: `Lift the ${name} out of its groove; say which way its lip faced.`, tool: 'blunt plastic pick' }),
  'end-seal': ({ name, family }) =>
    family.name === 'master-valve'
      ? { todo: `Slip the ${name} off the stem’s head.`, photo: 'which face lay on the seat' }
      : { todo: `Take the ${name} out.`, photo: 'which face lay outward' },
  'o-ring': ({ name }) => ({ todo: `Lift out the ${name} with a plastic pick.`, tool: 'plastic pick' }),
  'square-seal': ({ name }) => ({
    todo: `Lift the ${name} out of its groove with wood or plastic: a steel pick scores the groove.`,
    tool: 'wooden or plastic pick',
  }),
  'cross-over-seal': ({ name }) => ({
    todo: `Take the ${name} out of the face.`,
    keep: 'the seat clean: it is the only thing that seals the halves',
  }),
  'dust-seal': ({ name }) => ({ todo: `Lever the ${name} out of its groove.`, tool: 'plastic lever', photo: 'corrosion in the groove' }),
  spring: ({ name }) => ({
    todo: `Take out the ${name}; note which end went to the piston, if its ends differ.`,
    measure: [{ dim: 'freeMm', label: 'free length' }],
  }),
  'spring-seat': ({ name, part }) =>
    part.slotId === 'thimble'
      ? {
          todo: `Lift the bent tab of the ${name} with a small blade, just clear of the plunger’s nose, and draw it off the plunger.`,
          tool: 'small flat blade',
          flies: 'The spring pushes when the tab lets go: hold both ends.',
          photo: 'the tab, before it is lifted',
        }
      : { todo: `Take off the ${name}.` },
  'valve-stem': ({ name }) => ({
    todo: `Compress the spring between finger and bench, turn the ${name} out of the keyhole of the thimble, and let it go slowly.`,
    flies: 'The spring opens: hold both ends.',
    photo: 'the stem with everything on it, in order',
  }),
  spacer: ({ name }) => ({ todo: `Slip the ${name} off the stem.`, photo: 'which way its legs lay' }),
  'check-valve': ({ name }) => ({
    todo: `Take out the ${name}; note which way fluid or air may pass.`,
    keep: 'the valve, its spring and its seat',
    photo: 'as it sat',
  }),
  'residual-valve': ({ name }) => ({
    todo: `Take the ${name} from the bottom of the bore.`,
    keep: 'the valve and its rubber seat: they stay in the bottom unseen',
    photo: 'which way it sat',
  }),
  'bleed-screw': ({ name }) => ({
    todo: `Six-point socket on the ${name}; a little to and fro, then out.`,
    tool: 'six-point socket',
    flies: 'It shears: if it turns springy, see “Stuck”.',
  }),
  'bleed-cap': ({ name }) => ({ todo: `Pull off the ${name}.` }),
  'banjo-bolt': ({ name }) => ({
    todo: `Note the angle of the banjo and screw out the ${name}.`,
    photo: 'the angle of the banjo to the body',
    keep: 'both sealing washers: one sits under the bolt’s head, one under the banjo',
  }),
  grommet: ({ name, family }) =>
    family.bore === 'none'
      ? { todo: `Lift the ${name} out of its hole.` }
      : {
          todo: `Rock the reservoir out and lift the ${name} from their seats.`,
          tool: 'plastic lever',
          keep: 'any screen or valve below them',
        },
  reservoir: ({ name }) => ({ todo: `Rock the ${name} off by hand.` }),
  'reservoir-cap': lift,
  'cap-seal': lift,
  screen: lift,
  adjuster: ({ name }) => ({ todo: `Count its turns and screw the ${name} out.`, keep: 'how many turns it took: write it in the note' }),
  diaphragm: ({ name }) => ({
    todo: `Only where the maker allows it to be opened: mark both shells against each other, turn them apart in a jig, and take out the ${name}.`,
    flies: 'The spring inside is strong: a jig or a press, never by hand.',
  }),
  switch: ({ name }) => ({ todo: `Unscrew the ${name}.`, keep: 'its plunger and seal' }),
  'hard-line': lift,
  'union-nut': ({ name }) => ({
    todo: `Slide the ${name} back and look at the flare behind each.`,
    tool: 'flare-nut spanner',
    photo: 'the form of the flare',
  }),
};

/** How this part comes out of this unit. @param held the piston that it holds, if it is a stop */
export const removalOf = (part: TrayPart, family: Family, held: string): Removal =>
  REMOVAL[part.kind]({ name: part.qty > 1 ? `${part.name} (${part.qty})` : part.name, family, part, held });
