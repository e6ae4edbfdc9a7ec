import { holdTest } from '../../prove/hold-test';
import { fixed } from '../../quantity/figure';
import { STANDARD_RULES } from '../../rules/rule-set';
import type { Random } from '../../statistics/random';
import { oneOf, shuffled } from '../draw';
import type { Exercise, Level } from '../exercise';

const COMPLIANCE = 0.05;
const [HOLD_S, STEP_S] = [120, 2];
type Story = 'sound' | 'leaks' | 'emptied' | 'low';
const WORDS: { readonly [S in Story]: string } = {
  sound: 'It holds: the rubber settles, and then it stands.',
  leaks: 'It leaks: it goes on falling when the rubber has settled.',
  emptied: 'It has lost half of its pressure: whatever the end looks like, it fails.',
  low: 'It was never at the pressure that the step asks for: pump it up again.',
};

/** Pressures over a hold, by a model of its own: rubber settles and a leak drains. */
const trace = (story: Story, random: Random, noiseBar: number): readonly { readonly tS: number; readonly pBar: number }[] => {
  const p0 = story === 'low' ? 60 + random.below(8) : 79 + random.next() * 2;
  const settle = 1 + random.next();
  const tau = 6 + random.next() * 8;
  const leakMlPerMin = story === 'leaks' ? 0.22 + random.next() * 0.3 : story === 'emptied' ? 5 + random.next() * 3 : 0.002;
  let p = p0;
  return Array.from({ length: HOLD_S / STEP_S + 1 }, (_, i) => {
    const tS = i * STEP_S;
    if (i > 0) p = Math.max(0, p - ((leakMlPerMin / 60) * STEP_S * Math.sqrt(p / p0)) / COMPLIANCE);
    return { tS, pBar: Math.max(0, p - settle * (1 - Math.exp(-tS / tau)) + noiseBar * random.normal()) };
  });
};

/** A trace to be read: leak or settling, and what may not be taken for a hold. */
export const readTrace = (random: Random, level: Level): Exercise => {
  const stories: readonly Story[] = level === 1 ? ['sound', 'leaks'] : ['sound', 'leaks', 'emptied', 'low'];
  const story = oneOf(random, stories);
  const points = trace(story, random, level === 3 ? 0.05 : 0.02);
  const test = holdTest({ trace: points, complianceMlPerBar: COMPLIANCE, stepBar: 80 }, STANDARD_RULES);
  const options = shuffled(random, stories);
  return {
    asks: 'What does this hold say?',
    facts: [
      `The step asks for 80 bar over ${HOLD_S} s. This unit takes ${COMPLIANCE} ml a bar; the limit is ${STANDARD_RULES.limitMlPerMin} ml/min.`,
    ],
    picture: { kind: 'trace', points },
    form: { kind: 'choose', options: options.map((s) => WORDS[s]) },
    right: options.indexOf(storyOf(test)),
    hints: ['Look at where it starts, then at its second half: is it still falling there?'],
    because: [
      WORDS[storyOf(test)],
      `From ${fixed(points[0]?.pBar ?? 0, 1)} to ${fixed(points.at(-1)?.pBar ?? 0, 1)} bar; worked out, it loses ${fixed(test.leakMlPerMin, 3)} ml/min, between ${fixed(test.leakCi[0], 3)} and ${fixed(test.leakCi[1], 3)}.`,
    ],
  };
};

/** The story that the judgement of a real hold tells. */
const storyOf = (test: ReturnType<typeof holdTest>): Story =>
  test.because === 'emptied' ? 'emptied' : test.because === 'low' ? 'low' : test.outcome === 'fail' ? 'leaks' : 'sound';
