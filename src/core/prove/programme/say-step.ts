import type { Family } from '../../family/family';
import { fixed, upTo } from '../../quantity/figure';
import { pressureIn } from '../../quantity/say';
import type { Units } from '../../quantity/units';
import { isRunStep, STEPS, type Step } from './step';
import { isMaster } from './usual';

const bar = (value: number, units: Units): string =>
  `${units.pressure === 'bar' ? upTo(value, 1) : fixed(pressureIn(value, units), 0)} ${units.pressure}`;

/** A step in the fewest words that tell it from its neighbours: "hold, 80 bar, rear". */
export const sayStep = (step: Step, units: Units): string =>
  [
    STEPS[step.kind].label,
    ...('strokes' in step ? [`${step.strokes} strokes`] : []),
    ...('targetBar' in step && step.kind !== 'port' ? [bar(step.targetBar, units)] : []),
    ...('hours' in step ? [`${step.hours} h`] : []),
    ...(step.chamber === null ? [] : [step.chamber.replaceAll('-', ' ')]),
  ].join(', ');

/** What is done at a step, in one line. */
export const sayDoing = (step: Step, units: Units): string => {
  switch (step.kind) {
    case 'dry-stroke':
      return 'Stroke it by hand, dry: is it free, and does it return by itself?';
    case 'bench-fill':
      return 'Fill it on the bench through loop lines back to the reservoir, slow strokes, until no bubble comes.';
    case 'air-hold':
      return `Air of ${bar(step.targetBar, units)} and no more, under water or on a low gauge, for ${step.holdS} s.`;
    case 'hold':
      return `To ${bar(step.targetBar, units)} in ${step.rampS} s, then held for ${step.holdS} s without pumping.`;
    case 'port':
      return `To ${bar(step.targetBar, units)}, then the rod is let go: the pressure is gone within ${step.withinS} s, and a drop is seen at the port.`;
    case 'residual':
      return `To ${bar(step.targetBar, units)}, then the rod is let go: after ${step.holdS} s it still keeps ${bar(step.keepsMinBar, units)} to ${bar(step.keepsMaxBar, units)}.`;
    case 'sink':
      return `A light steady push, about ${bar(step.targetBar, units)}, for ${step.holdS} s: the rod sinks by ${step.travelMm} mm at most.`;
    case 'cycles':
      return `${step.strokes} strokes to ${bar(step.targetBar, units)}, then held for ${step.holdS} s.`;
    case 'weep':
      return `Filled, on clean dry paper, for ${step.hours} h: photo before and after.`;
  }
};

/** What can hurt someone at a step; undefined where nothing is pressed. @source design, domain, "Cautions" */
export const cautionOf = (step: Step, family: Pick<Family, 'name'>): string | undefined => {
  if (step.kind === 'air-hold') return 'Air drives a piston like a shot: pistons held in, face it into rag and wood, nobody in line.';
  if (!isRunStep(step)) return undefined;
  return isMaster(family)
    ? 'The rod is held by the rig or a stop, never by hand.'
    : 'Pistons are clamped in: pressure drives them out like a shot.';
};
