import { fixed } from '../../quantity/figure';
import type { SeenStep } from './step';

/** Where it was wet when it failed; it narrows down what to look at. */
export const WET = {
  nowhere: 'nothing drips',
  'open-end': 'at the open end or a boot',
  screws: 'at a screw, plug, union or washer',
} as const;
export type Wet = keyof typeof WET;
export const WET_NAMES = Object.keys(WET) as [Wet, ...Wet[]];

/** What a person answers at a step, in the words of its buttons. */
export const ANSWERS: { readonly [K in SeenStep['kind']]: { readonly ask: string; readonly good: string; readonly bad: string } } = {
  'dry-stroke': { ask: 'How does it stroke, dry?', good: 'Free, and returns by itself', bad: 'It sticks' },
  'bench-fill': { ask: 'Do bubbles still come?', good: 'No more bubbles', bad: 'They do not stop' },
  'air-hold': { ask: 'Under water, do bubbles rise?', good: 'No bubbles', bad: 'Bubbles rise' },
  port: { ask: 'Cap off, as the rod is let go: is a drop seen at the port?', good: 'A drop is seen', bad: 'No drop' },
  sink: { ask: 'Where does the rod stand?', good: 'It stays', bad: 'It sinks' },
  weep: { ask: 'How is the paper?', good: 'Dry', bad: 'Wet' },
};

/** What was seen or read at a step. `readings`: before and after, in the step's own unit (bar of an air hold, mm of a rod). */
export type Seen = {
  readonly answer: 'good' | 'bad' | null;
  readonly readings: readonly [number, number] | null;
  readonly wet: Wet | null;
  readonly note: string;
};
export type SeenResult = { readonly outcome: 'pass' | 'fail'; readonly text: string };

/** The result of what was seen, in words. Readings count before an answer. Undefined: it takes one or the other. */
export const judgeSeen = (step: SeenStep, seen: Seen): SeenResult | undefined => {
  const read = seen.readings === null ? undefined : ofReadings(step, seen.readings);
  const answered =
    seen.answer === null || step.kind === 'sink'
      ? undefined
      : ({ outcome: seen.answer === 'good' ? 'pass' : 'fail', text: `${ANSWERS[step.kind][seen.answer]}.` } as const);
  const result = read ?? answered;
  if (result === undefined) return undefined;
  const wet = result.outcome === 'fail' && seen.wet !== null ? ` Wet: ${WET[seen.wet]}.` : '';
  return { ...result, text: `${result.text}${wet}${seen.note === '' ? '' : ` ${seen.note}`}` };
};

const ofReadings = (step: SeenStep, [from, to]: readonly [number, number]): SeenResult | undefined => {
  if (step.kind === 'air-hold') {
    const drop = from - to;
    return {
      outcome: drop <= step.dropBar + READ_BAR ? 'pass' : 'fail',
      text: `Air fell from ${fixed(from, 2)} to ${fixed(to, 2)} bar in ${step.holdS} s; ${step.dropBar} bar is allowed.`,
    };
  }
  if (step.kind !== 'sink') return undefined;
  const sunk = Math.abs(to - from);
  return {
    outcome: sunk <= step.travelMm + READ_MM ? 'pass' : 'fail',
    text: `The rod sank by ${fixed(sunk, 2)} mm in ${step.holdS} s; ${step.travelMm} mm is allowed.`,
  };
};

/** What a difference of two typed figures is off by in floats, and no more. */
const [READ_BAR, READ_MM] = [1e-9, 1e-9];
