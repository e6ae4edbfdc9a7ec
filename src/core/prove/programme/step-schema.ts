import { z } from 'zod';
import { text } from '../../schema/text';
import { FIGURES, type FigureName, isRunStep, type RunStep, STEP_KINDS, STEPS, type Step, type StepKind } from './step';

const figureSchema = (name: FigureName) => {
  const { min, max, unit } = FIGURES[name];
  const number = z.number().min(min, `is at least ${min} ${unit}`).max(max, `is at most ${max} ${unit}`);
  return 'blank' in FIGURES[name] ? number.nullable() : number;
};

const Text = text().trim().max(400);
const stepSchema = (kind: StepKind) =>
  z.strictObject({
    id: text().min(1).max(60),
    kind: z.literal(kind),
    need: z.enum(['must', 'may']),
    chamber: text().min(1).max(60).nullable(),
    why: Text,
    means: Text,
    ...Object.fromEntries(STEPS[kind].figures.map((name) => [name, figureSchema(name)])),
  });

/** A step as it is stored and sent: its kind's figures, all of them and no others. */
export const StepSchema = z.discriminatedUnion('kind', STEP_KINDS.map(stepSchema) as [ReturnType<typeof stepSchema>]) as z.ZodType<
  // The figures are put into each kind by a loop over the same table that the type is made from.
  unknown
> as z.ZodType<Step>;

/** A step that makes a pressure trace. */
export const RunStepSchema = StepSchema.refine(isRunStep, 'is no step that is run') as z.ZodType<RunStep>;

export const StepsSchema = z.array(StepSchema).min(1, 'a programme has one step at least').max(40);
