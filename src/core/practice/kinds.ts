import type { FamilyName } from '../family/family-name';
import { randomFrom } from '../statistics/random';
import type { Exercise, Level } from './exercise';
import { hiddenBore, planCut } from './kind/bore-kinds';
import { likeliestCause, stuckFirst } from './kind/counter-kinds';
import { touches } from './kind/fluid-kinds';
import { judgeDrawn } from './kind/judge-kinds';
import { coversTray } from './kind/kit-kinds';
import { bleedOrder, whichFlare } from './kind/machine-kinds';
import { dirtOrPit, whichDecides, whichTarget } from './kind/mark-kinds';
import { readFilling, readTrace } from './kind/prove-kinds';
import { readDial, readVernier } from './kind/reading-kinds';
import { faceCups, hasLips, isLaidOut, labelSection, orderParts } from './kind/section-kinds';
import { gapFromDepths } from './kind/set-kinds';
import { clipInGroove, hasGrooves, whereToLook, wrongInStack } from './kind/stack-kinds';

type KindInfo = {
  readonly label: string;
  /** What one can do who can do these. */
  readonly teaches: string;
  readonly make: (random: ReturnType<typeof randomFrom>, level: Level, of?: FamilyName) => Exercise;
  /** There for what can be asked of one family: of which. */
  readonly askedOf?: (family: FamilyName) => boolean;
};
const any = (): boolean => true;

/** What is practised, in the order in which a beginner meets it. Each is made afresh from a seed, and judged by what judges real work. */
export const PRACTICE_KINDS = {
  label: { label: 'Names of parts', teaches: 'names what lies in a section', make: labelSection, askedOf: any },
  order: { label: 'In order', teaches: 'lays a unit out from its open end', make: orderParts, askedOf: isLaidOut },
  facing: { label: 'Which way it faces', teaches: 'turns each lip, bowl and spring the right way', make: faceCups, askedOf: hasLips },
  clips: { label: 'Which clip in which groove', teaches: 'puts each ring into its own groove', make: clipInGroove, askedOf: hasGrooves },
  vernier: { label: 'Caliper and depth gauge', teaches: 'reads a vernier and its zero', make: readVernier },
  dial: { label: 'Bore gauge', teaches: 'reads a dial that turns back', make: readDial },
  hidden: { label: 'Gauge a hidden bore', teaches: 'finds a bore’s shape with few readings', make: hiddenBore },
  pit: { label: 'Dirt or pit', teaches: 'cleans before judging', make: dirtOrPit },
  stuck: { label: 'When it won’t', teaches: 'knows what is first, and what never', make: stuckFirst },
  judge: { label: 'Judge a bore', teaches: 'says what a bore is good for', make: judgeDrawn },
  decides: { label: 'Which mark decides', teaches: 'sees what a verdict hangs on', make: whichDecides },
  target: { label: 'To which diameter', teaches: 'says how far a mark has to be cut out', make: whichTarget },
  cut: { label: 'Plan a cut', teaches: 'says how many strokes, and where to stop', make: planCut },
  covers: { label: 'Does the bag cover it', teaches: 'holds a bag against a tray', make: coversTray },
  stack: { label: 'What is wrong in it', teaches: 'sees what may not be closed', make: wrongInStack, askedOf: any },
  gap: { label: 'Pushrod gap', teaches: 'gets from four depths to a gap and its turns', make: gapFromDepths },
  touches: { label: 'What touches what', teaches: 'knows fluids, rubbers, greases', make: touches },
  trace: { label: 'Read a trace', teaches: 'tells a leak from settling', make: readTrace },
  filling: { label: 'Air in it', teaches: 'reads a filling', make: readFilling },
  look: { label: 'Where to look', teaches: 'knows what a failed step points to', make: whereToLook, askedOf: any },
  causes: { label: 'Likely causes', teaches: 'hears what a complaint points to', make: likeliestCause },
  bleed: { label: 'Bleed', teaches: 'orders the ends and tops up in time', make: bleedOrder },
  flare: { label: 'Flares and seats', teaches: 'knows which end a port takes', make: whichFlare },
} as const satisfies { readonly [name: string]: KindInfo };
export type PracticeKind = keyof typeof PRACTICE_KINDS;
export const PRACTICE_KIND_NAMES = Object.keys(PRACTICE_KINDS) as [PracticeKind, ...PracticeKind[]];

/** One exercise: the same seed gives the same one. @param of one family, where its kind is asked of it */
export const exerciseOf = (kind: PracticeKind, level: Level, seed: number, of?: FamilyName): Exercise => {
  const { make }: KindInfo = PRACTICE_KINDS[kind];
  return make(randomFrom(seed), level, of);
};

/** What is asked of one family, in the order in which a beginner meets it. */
export const kindsOf = (family: FamilyName): readonly PracticeKind[] =>
  PRACTICE_KIND_NAMES.filter((kind) => {
    const { askedOf }: KindInfo = PRACTICE_KINDS[kind];
    return askedOf?.(family) === true;
  });
