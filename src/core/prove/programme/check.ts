import type { Family } from '../../family/family';
import { METRIC } from '../../quantity/units';
import { sayStep } from './say-step';
import { FIGURES, type FigureName, STEPS, type Step } from './step';
import { workingChambers } from './usual';

/** Everything that makes a programme unfit to be worked by, in words; empty when nothing does. */
export const programmeFaults = (family: Family, steps: readonly Step[]): readonly string[] => {
  const chambers = workingChambers(family);
  const twice = steps.filter((s, i) => steps.findIndex((o) => o.id === s.id) !== i);
  return [
    ...(steps.some((s) => s.need === 'must') ? [] : ['Nothing in it must be done: a unit would be proved by nothing.']),
    ...twice.map((s) => `${nameOf(s, steps)} has the name of another.`),
    ...steps.flatMap((s) => [
      ...(s.chamber === null || chambers.includes(s.chamber)
        ? []
        : [`${nameOf(s, steps)}: there is no chamber “${s.chamber}” that is pressed to work.`]),
      ...STEPS[s.kind].figures.flatMap((f) => figureFault(s, f, steps)),
      ...(s.kind === 'air-hold' && s.targetBar > MOST_AIR_BAR
        ? [`${nameOf(s, steps)}: air of more than ${MOST_AIR_BAR} bar bursts what it does not prove.`]
        : []),
      ...(s.kind === 'residual' && !(s.keepsMinBar < s.keepsMaxBar)
        ? [`${nameOf(s, steps)}: what it keeps at least lies below what it keeps at most.`]
        : []),
      ...(s.means.trim() === '' || s.why.trim() === '' ? [`${nameOf(s, steps)}: say why it is done, and what a failure means.`] : []),
    ]),
  ];
};

/** Pressed air stores what fluid does not: a plug that lets go flies. */
const MOST_AIR_BAR = 2;

/** What a practitioner would order otherwise; a programme may keep it so. */
export const programmeCautions = (steps: readonly Step[]): readonly string[] => {
  const pressed = steps.flatMap((s) => ('targetBar' in s ? [s] : []));
  return pressed.flatMap((s, i) => {
    const before = pressed[i - 1];
    return before === undefined || before.targetBar <= s.targetBar
      ? []
      : [`${nameOf(s, steps)} comes after ${nameOf(before, steps)}: less pressure first tells more and endangers less.`];
  });
};

const nameOf = (step: Step, steps: readonly Step[]): string => `Step ${steps.indexOf(step) + 1}, ${sayStep(step, METRIC)}`;

const figureFault = (step: Step, name: FigureName, steps: readonly Step[]): readonly string[] => {
  const value = (step as { readonly [F in FigureName]?: number | null })[name];
  const info = FIGURES[name];
  if (value === null && 'blank' in info) return [];
  return typeof value === 'number' && value >= info.min && value <= info.max
    ? []
    : [`${nameOf(step, steps)}: ${info.label.toLowerCase()} lies between ${info.min} and ${info.max} ${info.unit}.`];
};
