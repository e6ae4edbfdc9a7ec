/** Where it is wet, and what is seen there: the questions that tell leaks at a union apart. */
export const UNION_QUESTIONS = {
  where: {
    asks: 'Dry it, press, look again: where does it come first?',
    answers: {
      thread: 'at the nut’s thread in the port',
      tube: 'between tube and nut',
      washer: 'at a washer',
      along: 'out of the tube itself',
    },
  },
  nut: {
    asks: 'How did the nut go in by hand?',
    answers: { 'by-hand': 'four turns and more', hard: 'hard after a turn or two', wobbles: 'it wobbles' },
  },
  seat: {
    asks: 'Union open, light in the port: what is on the seat?',
    answers: {
      clean: 'bright and even',
      dirt: 'grit, paint or a shaving',
      scored: 'a score or a dent across it',
      ring: 'a ring off to one side',
    },
  },
  flare: {
    asks: 'The flare under a glass?',
    answers: { even: 'even and whole', split: 'a split or a fold', aside: 'wider on one side', other: 'not the form for this seat' },
  },
  before: {
    asks: 'What was done to it before?',
    answers: { new: 'a new line or new washers', again: 'the same one tightened again', 'much-tighter': 'tightened harder, and no better' },
  },
} as const;
export type UnionQuestion = keyof typeof UNION_QUESTIONS;
export const UNION_QUESTION_NAMES = Object.keys(UNION_QUESTIONS) as readonly UnionQuestion[];
export type UnionAnswers = { readonly [Q in UnionQuestion]?: keyof (typeof UNION_QUESTIONS)[Q]['answers'] | undefined };

type Suspect = {
  readonly label: string;
  readonly toDo: string;
  readonly prior: number;
  /** Answers that go with it, by question: how often each is given; the rest is shared by the others. */
  readonly gives: { readonly [Q in UnionQuestion]?: Readonly<Record<string, number>> };
};

/** What makes a union leak. Chances are rough, from bench practice, stated so that they can be argued with. @source design, issue “To the machine” */
export const UNION_SUSPECTS = {
  dirt: {
    label: 'dirt on the seat',
    toDo: 'Open it, wipe seat and flare with a lint-free cloth and fresh fluid, look, close it to its torque once.',
    prior: 0.25,
    gives: { where: { tube: 0.5, thread: 0.4 }, nut: { 'by-hand': 0.9 }, seat: { dirt: 0.8 }, flare: { even: 0.85 }, before: { new: 0.5 } },
  },
  'wrong-form': {
    label: 'a flare of the wrong form for the seat',
    toDo: 'See what the port asks for: a cone that stands up takes a double flare, a funnel a bubble. Make the end anew; never tighten it until it stops.',
    prior: 0.15,
    gives: {
      where: { tube: 0.5, thread: 0.45 },
      nut: { 'by-hand': 0.8 },
      flare: { other: 0.85 },
      before: { new: 0.6, 'much-tighter': 0.3 },
    },
  },
  'cracked-flare': {
    label: 'a split flare',
    toDo: 'Cut it off and flare anew, tube square and deburred; a second time in the same place, use a new line.',
    prior: 0.2,
    gives: { where: { tube: 0.75 }, nut: { 'by-hand': 0.9 }, flare: { split: 0.85 }, before: { 'much-tighter': 0.5, again: 0.3 } },
  },
  'aside-flare': {
    label: 'a flare made out of square',
    toDo: 'Cut it off and flare anew: clamp it tighter and square, as much standing out as the tool states.',
    prior: 0.1,
    gives: { where: { tube: 0.6 }, seat: { ring: 0.6 }, flare: { aside: 0.8 }, before: { new: 0.6 } },
  },
  'crossed-thread': {
    label: 'a crossed or wrong thread',
    toDo: 'Do not drive it further. Take it out, read nut and port by Thread help; a port that is torn goes back to the bench.',
    prior: 0.1,
    gives: { where: { thread: 0.8 }, nut: { hard: 0.6, wobbles: 0.3 }, seat: { clean: 0.7 }, before: { new: 0.6 } },
  },
  washer: {
    label: 'a washer used again, or a face that is scored',
    toDo: 'New washers on both sides, faces wiped; a scored face is refaced flat, a banjo with it.',
    prior: 0.15,
    gives: { where: { washer: 0.93 }, seat: { scored: 0.5 }, before: { again: 0.5 } },
  },
  tube: {
    label: 'a tube that is cracked or rusted through',
    toDo: 'A new line. A brake line is not brazed, sleeved or patched.',
    prior: 0.05,
    gives: { where: { along: 0.85, tube: 0.1 } },
  },
  'scored-seat': {
    label: 'a seat that is scored',
    toDo: 'A brass seat that is pressed in is changed; one cut into the body goes back to the bench, and is not filed.',
    prior: 0.1,
    gives: { where: { tube: 0.5, thread: 0.4 }, seat: { scored: 0.7, ring: 0.15 }, before: { 'much-tighter': 0.4, again: 0.4 } },
  },
} as const satisfies { readonly [name: string]: Suspect };
export type UnionSuspect = keyof typeof UNION_SUSPECTS;
const SUSPECT_NAMES = Object.keys(UNION_SUSPECTS) as readonly UnionSuspect[];

export type LikelySuspect = { readonly suspect: UnionSuspect; readonly chance: number };

/** Chance of an answer with a suspect: what it gives, else an even share of what that leaves. */
const chanceOf = (suspect: UnionSuspect, question: UnionQuestion, answer: string): number => {
  const gives: Readonly<Record<string, number>> = (UNION_SUSPECTS[suspect] as Suspect).gives[question] ?? {};
  const others = Object.keys(UNION_QUESTIONS[question].answers).filter((a) => gives[a] === undefined).length;
  const left = 1 - Object.values(gives).reduce((sum, c) => sum + c, 0);
  return gives[answer] ?? left / others;
};

/** What a union's leak comes from, the likeliest first: Bayes' rule, answers independent once the cause is known. Unasked questions say nothing. */
export const unionSuspects = (answers: UnionAnswers): readonly LikelySuspect[] => {
  const weighed = SUSPECT_NAMES.map((suspect) => ({
    suspect,
    weight: UNION_QUESTION_NAMES.reduce<number>((w, q) => {
      const answer = answers[q];
      return answer === undefined ? w : w * chanceOf(suspect, q, answer);
    }, UNION_SUSPECTS[suspect].prior),
  }));
  const all = weighed.reduce((total, w) => total + w.weight, 0);
  return weighed.map(({ suspect, weight }) => ({ suspect, chance: weight / all })).sort((a, b) => b.chance - a.chance);
};

/** What an answer costs beside the others: looking, asking, or opening the union. */
const COST: { readonly [Q in UnionQuestion]: number } = { where: 1, before: 1, nut: 2, seat: 3, flare: 3 };

/** The open question whose answer is expected to tell most for what it costs, by the entropy that it leaves. */
export const nextQuestion = (answers: UnionAnswers): UnionQuestion | undefined => {
  const open = UNION_QUESTION_NAMES.filter((q) => answers[q] === undefined);
  const now = unionSuspects(answers);
  const leftAfter = (q: UnionQuestion): number =>
    Object.keys(UNION_QUESTIONS[q].answers).reduce<number>((sum, a) => {
      const chance = now.reduce((c, s) => c + s.chance * chanceOf(s.suspect, q, a), 0);
      return sum + chance * entropy(unionSuspects({ ...answers, [q]: a }));
    }, 0);
  const worth = (q: UnionQuestion): number => (entropy(now) - leftAfter(q)) / COST[q];
  return [...open].sort((a, b) => worth(b) - worth(a))[0];
};

const entropy = (all: readonly LikelySuspect[]): number =>
  all.reduce((h, { chance }) => (chance > 0 ? h - chance * Math.log2(chance) : h), 0);
