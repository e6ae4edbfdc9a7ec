import { airCheck } from '../../prove/air-check';
import { holdTest } from '../../prove/hold-test';
import { wasSeenDown } from '../../prove/live-run';
import { fixed } from '../../quantity/figure';
import { STANDARD_RULES } from '../../rules/rule-set';
import type { Random } from '../../statistics/random';
import { between, oneOf, shuffled } from '../draw';
import type { Exercise, Level } from '../exercise';

const COMPLIANCE = 0.05;
const [HOLD_S, DOWN_S, STEP_S] = [120, 12, 2];
type Story = 'sound' | 'leaks' | 'emptied' | 'low' | 'warms' | 'begins' | 'rig';
const WORDS: { readonly [S in Story]: string } = {
  sound: 'It holds: the rubber settles, and then it stands.',
  leaks: 'It leaks: it goes on falling when the rubber has settled.',
  emptied: 'It has lost half of its pressure: whatever the end looks like, it fails.',
  low: 'It was never at the pressure that the step asks for: pump it up again.',
  warms: 'It rises: it warms, and that could hide a leak. Wait until its temperature stands.',
  begins: 'It held, and begins to leak at the end: hold it longer.',
  rig: 'The rig does not let its pressure down: nothing is opened before that is put right.',
};
const STORIES: { readonly [L in Level]: readonly Story[] } = {
  1: ['sound', 'leaks'],
  2: ['sound', 'leaks', 'emptied', 'low', 'warms'],
  3: ['sound', 'leaks', 'emptied', 'low', 'warms', 'begins', 'rig'],
};

type Point = { readonly tS: number; readonly pBar: number };

/** Pressures over a hold and, after it, as it is let down, by a model of its own: rubber settles, a leak drains, warmth presses. */
const traceOf = (story: Story, random: Random, noiseBar: number): { readonly hold: readonly Point[]; readonly down: readonly Point[] } => {
  const p0 = story === 'low' ? 60 + random.below(8) : 79 + random.next() * 2;
  const settle = 1 + random.next();
  const tau = 6 + random.next() * 8;
  const leakMlPerMin =
    story === 'leaks' ? 0.22 + random.next() * 0.3 : story === 'emptied' ? 5 + random.next() * 3 : story === 'begins' ? 0.6 : 0.002;
  const fromS = story === 'begins' ? HOLD_S * 0.72 : 0;
  const risesBarPerS = story === 'warms' ? 0.03 + random.next() * 0.04 : 0;
  let p = p0;
  const hold = Array.from({ length: HOLD_S / STEP_S + 1 }, (_, i) => {
    const tS = i * STEP_S;
    if (i > 0 && tS > fromS) p = Math.max(0, p - ((leakMlPerMin / 60) * STEP_S * Math.sqrt(p / p0)) / COMPLIANCE);
    return {
      tS,
      pBar: Math.max(0, p + risesBarPerS * tS - settle * (1 - Math.exp(-tS / tau)) + noiseBar * random.normal()),
    };
  });
  const end = hold.at(-1)?.pBar ?? 0;
  const keeps = story === 'rig' ? end * (0.3 + 0.3 * random.next()) : 0;
  const down = Array.from({ length: DOWN_S / STEP_S }, (_, i) => ({
    tS: HOLD_S + (i + 1) * STEP_S,
    pBar: keeps + (end - keeps) * Math.exp(-2.2 * (i + 1)),
  }));
  return { hold, down };
};

/** A trace to be read: leak or settling, warmth, a rig at fault, and what may not be taken for a hold. */
export const readTrace = (random: Random, level: Level): Exercise => {
  for (;;) {
    const story = oneOf(random, STORIES[level]);
    const { hold, down } = traceOf(story, random, level === 3 ? 0.05 : 0.02);
    const test = holdTest({ trace: hold, complianceMlPerBar: COMPLIANCE, stepBar: 80 }, STANDARD_RULES);
    const letDown = level === 3 ? down : [];
    const stays = letDown.length > 0 && !wasSeenDown(letDown.map((s) => ({ t: s.tS, p: s.pBar, ml: 0, phase: 'down' as const })));
    const told = stays ? 'rig' : storyOf(test);
    // What the judge of real holds does not call by one of these names is no exercise.
    if (told !== story) continue;
    const options = shuffled(random, STORIES[level]);
    return {
      asks: level === 3 ? 'What does this run say first of all?' : 'What does this hold say?',
      facts: [
        `The step asks for 80 bar over ${HOLD_S} s${level === 3 ? ', and is let down after it' : ''}. This unit takes ${COMPLIANCE} ml a bar; the limit is ${STANDARD_RULES.limitMlPerMin} ml/min.`,
      ],
      picture: { kind: 'trace', points: [...hold, ...letDown] },
      form: { kind: 'choose', options: options.map((s) => WORDS[s]) },
      right: options.indexOf(told),
      hints: [
        'Look at where it starts, then at its second half: is it still falling there, or rising?',
        ...(level === 3 ? ['Then at what is left once it was let down.'] : []),
      ],
      because: [
        WORDS[told],
        told === 'rig'
          ? `${fixed(down.at(-1)?.pBar ?? 0, 1)} bar are left ${DOWN_S} s after it was let down.`
          : `From ${fixed(hold[0]?.pBar ?? 0, 1)} to ${fixed(hold.at(-1)?.pBar ?? 0, 1)} bar; worked out, it loses ${fixed(test.leakMlPerMin, 3)} ml/min, between ${fixed(test.leakCi[0], 3)} and ${fixed(test.leakCi[1], 3)}.`,
      ],
    };
  }
};

/** The story that the judgement of a real hold tells; undefined where it decides nothing. */
const storyOf = (test: ReturnType<typeof holdTest>): Story | undefined => {
  switch (test.because) {
    case 'emptied':
      return 'emptied';
    case 'low':
      return 'low';
    case 'rising':
      return 'warms';
    case 'late':
      return 'begins';
    case 'falls':
      return 'leaks';
    case null:
      return test.outcome === 'fail' ? 'leaks' : 'sound';
    case 'undecided':
    case 'still-settling':
      return undefined;
  }
};

const AIR_WORDS = {
  ok: 'There is hardly air in it: go on.',
  repeat: 'It cannot be told from this filling: fill it again.',
  'bleed-again': 'There is air in it: bleed it again.',
} as const;
type AirTold = keyof typeof AIR_WORDS;
const AIRS: { readonly [L in Level]: readonly (readonly [least: number, most: number])[] } = {
  1: [
    [0.02, 0.08],
    [1.2, 2.5],
  ],
  2: [
    [0.02, 0.12],
    [0.6, 1.2],
  ],
  3: [
    [0.05, 0.2],
    [0.26, 0.34],
    [0.45, 0.8],
  ],
};

/** A filling to be read: fluid pushed in against the pressure that it made. Air gives way first and is hard later. */
export const readFilling = (random: Random, level: Level): Exercise => {
  for (;;) {
    const [least, most] = oneOf(random, AIRS[level]);
    const airMl = between(random, least, most, 0.01);
    const complianceMlPerBar = between(random, 0.02, 0.06, 0.005);
    const noiseMl = level === 3 ? 0.02 : 0.006;
    const fill = Array.from({ length: 17 }, (_, i) => {
      const pBar = i === 0 ? 0.2 : i * 2.5;
      // The volume that air gives up as it is pressed together, by Boyle.
      const mlIn = complianceMlPerBar * pBar + airMl * (1 - 1.01325 / (1.01325 + pBar)) + noiseMl * random.normal();
      return { pBar, mlIn: Math.max(0, mlIn) };
    });
    const checked = airCheck(fill, STANDARD_RULES);
    const told: readonly AirTold[] = level === 3 ? ['ok', 'repeat', 'bleed-again'] : ['ok', 'bleed-again'];
    if (!told.includes(checked.outcome)) continue;
    return {
      asks: 'What does this filling say?',
      facts: [`More air than ${fixed(STANDARD_RULES.airMaxMl, 1)} ml hides a leak. Fluid pushed in, against the pressure that it made.`],
      picture: { kind: 'filling', points: fill },
      form: { kind: 'choose', options: told.map((t) => AIR_WORDS[t]) },
      right: told.indexOf(checked.outcome),
      hints: ['Rubber and metal give in a straight line. Air gives most below a few bar: how high does that line start?'],
      because: [
        AIR_WORDS[checked.outcome],
        `Laid back to no pressure, the straight part starts at ${fixed(checked.airMl, 2)} ml, ± ${fixed(2 * checked.airSe, 2)}: that is the air.`,
      ],
    };
  }
};
