import { z } from 'zod';
import { text } from '../../schema/text';
import { FIGURES, type FigureName, isRunStep, type RunStep, STEP_KINDS, STEPS, type Step, type StepKind } from './step';

const figureDoor = (name: FigureName) => {
  const { min, max, unit } = FIGURES[name];
  const number = z.number().min(min, `is at least ${min} ${unit}`).max(max, `is at most ${max} ${unit}`);
  return 'blank' in FIGURES[name] ? number.nullable() : number;
};

const Text = text().trim().max(400);
const stepDoor = (kind: StepKind) =>
  z.strictObject({
    id: text().min(1).max(60),
    kind: z.literal(kind),
    need: z.enum(['must', 'may']),
    chamber: text().min(1).max(60).nullable(),
    why: Text,
    means: Text,
    ...Object.fromEntries(STEPS[kind].figures.map((name) => [name, figureDoor(name)])),
  });

/** A step as it is stored and sent: its kind's figures, all of them and no others. */
export const StepDoor = z.discriminatedUnion('kind', STEP_KINDS.map(stepDoor) as [ReturnType<typeof stepDoor>]) as z.ZodType<
  // The figures are put into each kind by a loop over the same table that the type is made from.
  unknown
> as z.ZodType<Step>;

/** A step that makes a pressure trace. */
export const RunStepDoor = StepDoor.refine(isRunStep, 'is no step that is run') as z.ZodType<RunStep>;

export const StepsDoor = z.array(StepDoor).min(1, 'a programme has one step at least').max(40);
