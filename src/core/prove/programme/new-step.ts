import type { Family } from '../../family/family';
import { FIGURES, type FigureName, STEPS, type Step, type StepKind } from './step';
import { usualSteps } from './usual';

/** What a step of a kind starts with where no usual programme has one. */
const START: { readonly [F in FigureName]: number | null } = {
  targetBar: 10,
  rampS: 5,
  holdS: 60,
  limitMlPerMin: null,
  dropBar: 0.05,
  withinS: 1,
  keepsMinBar: 0.4,
  keepsMaxBar: 1.5,
  travelMm: 0.5,
  strokes: 50,
  hours: 14,
};

/** A new step of a kind: as the family's usual programme has it, else by the start of each figure. @param id its own among the programme's steps */
export const newStep = (family: Family, kind: StepKind, id: string): Step => {
  const usual = usualSteps(family).find((s) => s.kind === kind);
  if (usual !== undefined) return { ...usual, id };
  const figures = Object.fromEntries(STEPS[kind].figures.map((f) => [f, START[f]]));
  // The figures of its kind and no others: the table says which.
  return { id, kind, need: 'may', chamber: null, why: '', means: '', ...figures } as Step;
};

/** A step with one figure changed; a figure that its kind has not is left alone. */
export const withFigure = (step: Step, name: FigureName, value: number | null): Step =>
  (STEPS[step.kind].figures as readonly FigureName[]).includes(name) && (value !== null || 'blank' in FIGURES[name])
    ? ({ ...step, [name]: value } as Step)
    : step;

/** A figure of a step; undefined where its kind has none such. */
export const figureOf = (step: Step, name: FigureName): number | null | undefined =>
  (step as { readonly [F in FigureName]?: number | null })[name];
