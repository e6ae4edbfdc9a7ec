import { CAUSES } from '../../book-in/cause';
import { COMPLAINT_NAMES, COMPLAINTS } from '../../book-in/complaint';
import { STANDARD_LIKELIHOODS } from '../../book-in/likelihoods';
import { likelyCauses } from '../../book-in/reason';
import { FAMILIES } from '../../family/families';
import { FAMILY_NAMES } from '../../family/family-name';
import { fixed } from '../../quantity/figure';
import { STANDARD_RULES } from '../../rules/rule-set';
import type { Random } from '../../statistics/random';
import { ladderFor } from '../../strip/stuck';
import { METHODS } from '../../strip/treatment';
import { oneOf, shuffled, someOf } from '../draw';
import type { Exercise, Level } from '../exercise';

const NOBODY_YET = { units: 0, behind: {}, heard: {} };
/** How many times likelier the right one is than the next that is offered, so that no two can be argued for. */
const TIMES: { readonly [L in Level]: number } = { 1: 4, 2: 2.5, 3: 1.8 };

/** The likeliest cause of a complaint. */
export const likeliestCause = (random: Random, level: Level): Exercise => {
  for (;;) {
    const kind = oneOf(random, FAMILY_NAMES);
    const complaints = someOf(random, COMPLAINT_NAMES, level === 1 ? 1 : 2);
    const likely = likelyCauses({ kind, complaints, tests: [] }, STANDARD_LIKELIHOODS, NOBODY_YET);
    const [first, ...rest] = likely;
    if (first === undefined) continue;
    const others = rest.filter((c) => c.probability * TIMES[level] < first.probability);
    if (others.length < 3) continue;
    const offered = shuffled(random, [first, ...someOf(random, others, 3)]);
    return {
      asks: 'Which of these is the likeliest?',
      facts: [`${FAMILIES[kind].label}. The customer says: ${complaints.map((c) => COMPLAINTS[c]).join(', ')}.`],
      picture: null,
      form: { kind: 'choose', options: offered.map((c) => CAUSES[c.cause].label) },
      right: offered.indexOf(first),
      hints: ['What would each do to the pedal, the fluid, the return? Which of these does what is said?'],
      because: [
        `${CAUSES[first.cause].label}: ${fixed(100 * first.probability, 0)} % by the shop’s odds. ${first.reasons.join('; ')}.`,
        CAUSES[first.cause].look,
      ],
    };
  }
};

/** What is done first when it is stuck, and what never in this state. */
export const stuckFirst = (random: Random, level: Level): Exercise => {
  const plasticOrRubber = random.below(2) === 0;
  const body = {
    boreMm: oneOf(random, [19.05, 22.225, 25.4]),
    pots: 1,
    bore: 'blind' as const,
    material: oneOf(random, ['cast-iron', 'alloy'] as const),
    portBehind: true,
    straightPort: random.below(2) === 0,
    plasticOrRubber,
  };
  const ladder = ladderFor('seized', body, STANDARD_RULES);
  const words = (m: keyof typeof METHODS): string => METHODS[m].label;
  const facts = [
    `Seized piston in a ${body.material === 'alloy' ? 'light alloy' : 'cast iron'} body of ${fixed(body.boreMm, 2)} mm${plasticOrRubber ? ', reservoir and boots still on it' : ', all rubber and plastic off'}.`,
  ];
  if (level === 1) {
    const [first, ...rest] = ladder;
    if (first === undefined) throw new Error('a seized piston has a ladder');
    const offered = shuffled(random, [first, ...someOf(random, rest, 3)]);
    return {
      asks: 'What is tried first?',
      facts,
      picture: null,
      form: { kind: 'choose', options: offered.map((r) => words(r.method)) },
      right: offered.indexOf(first),
      hints: ['The mildest first: what costs nothing if it does not help.'],
      because: [`${words(first.method)}: ${first.how}`],
    };
  }
  const all = ['push-inward', 'soak-fluid', 'soak-penetrant', 'warm', 'tap-wood', 'low-air', 'push-fluid', 'grease-gun'] as const;
  const items = shuffled(random, all);
  const never = items.flatMap((m, i) => (ladder.some((r) => r.method === m) ? [] : [i]));
  return {
    asks: 'Which of these are not done while it is as it is? None, if all may be.',
    facts,
    picture: null,
    form: { kind: 'pick', items: items.map(words) },
    right: never,
    hints: ['Petroleum and heat ruin rubber and plastic that stay on.'],
    because: [
      never.length === 0
        ? 'All of these are on the ladder for a bare body, the mildest first.'
        : `Petroleum and heat wait until rubber and plastic are off: ${never.map((i) => words(items[i] as keyof typeof METHODS)).join(', ')}.`,
    ],
  };
};
