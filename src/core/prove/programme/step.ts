/** A figure of a step, as a form asks for it and a schema checks it. `blank`: what it is when nobody gives one. */
type FigureInfo = { readonly label: string; readonly unit: string; readonly min: number; readonly max: number; readonly blank?: string };
const figure = (label: string, unit: string, min: number, max: number, blank?: string): FigureInfo => ({
  label,
  unit,
  min,
  max,
  ...(blank === undefined ? {} : { blank }),
});

export const FIGURES = {
  targetBar: figure('Pressure', 'bar', 0.2, 200),
  rampS: figure('Ramp', 's', 2, 120),
  holdS: figure('Hold', 's', 15, 1800),
  limitMlPerMin: figure('Limit', 'ml/min', 0.001, 10, 'as the rules say'),
  dropBar: figure('May fall by', 'bar', 0.01, 1),
  withinS: figure('Gone within', 's', 0.2, 10),
  keepsMinBar: figure('Keeps at least', 'bar', 0.1, 5),
  keepsMaxBar: figure('at most', 'bar', 0.1, 5),
  travelMm: figure('May sink by', 'mm', 0.1, 20),
  strokes: figure('Strokes', '', 1, 5000),
  hours: figure('Stands for', 'h', 1, 72),
} as const satisfies Record<string, FigureInfo>;
export type FigureName = keyof typeof FIGURES;

/**
 * Kinds of step, by how much they can hurt, the least first. `by`: a run with a pressure trace, something seen or read by hand, or both.
 * @source design, issue “Prove and release”
 */
export const STEPS = {
  'dry-stroke': { label: 'dry stroke', by: 'seen', figures: [] },
  'bench-fill': { label: 'bench fill', by: 'seen', figures: [] },
  'air-hold': { label: 'air hold', by: 'seen', figures: ['targetBar', 'holdS', 'dropBar'] },
  hold: { label: 'hold', by: 'run', figures: ['targetBar', 'rampS', 'holdS', 'limitMlPerMin'] },
  port: { label: 'port opens', by: 'both', figures: ['targetBar', 'rampS', 'withinS'] },
  residual: { label: 'residual valve', by: 'run', figures: ['targetBar', 'rampS', 'holdS', 'keepsMinBar', 'keepsMaxBar'] },
  sink: { label: 'slow sink', by: 'seen', figures: ['targetBar', 'holdS', 'travelMm'] },
  cycles: { label: 'cycles, then hold', by: 'run', figures: ['targetBar', 'rampS', 'strokes', 'holdS', 'limitMlPerMin'] },
  weep: { label: 'overnight weep', by: 'seen', figures: ['hours'] },
} as const satisfies Record<
  string,
  { readonly label: string; readonly by: 'run' | 'seen' | 'both'; readonly figures: readonly FigureName[] }
>;
export type StepKind = keyof typeof STEPS;
export const STEP_KINDS = Object.keys(STEPS) as [StepKind, ...StepKind[]];

type Figures<K extends StepKind> = {
  readonly [F in (typeof STEPS)[K]['figures'][number]]: F extends 'limitMlPerMin' ? number | null : number;
};
/** A step of a programme. `chamber`: the one held alone; null: all that work, together. `may`: it is offered, and the certificate says when it was left out. */
export type StepOf<K extends StepKind> = K extends StepKind ? OneStep<K> : never;
type OneStep<K extends StepKind> = Figures<K> & {
  readonly id: string;
  readonly kind: K;
  readonly need: 'must' | 'may';
  readonly chamber: string | null;
  readonly why: string;
  /** What it means when it fails. */
  readonly means: string;
};
export type Step = StepOf<StepKind>;

/** Steps that make a pressure trace. */
export type RunStep = StepOf<'hold' | 'cycles' | 'port' | 'residual'>;
export const isRunStep = (step: Step): step is RunStep => STEPS[step.kind].by !== 'seen';
/** Steps that a person looks at and answers. */
export type SeenStep = StepOf<'dry-stroke' | 'bench-fill' | 'air-hold' | 'port' | 'sink' | 'weep'>;
export const isSeenStep = (step: Step): step is SeenStep => STEPS[step.kind].by !== 'run';

/** How a family is proved; version 0 as it is delivered, then as the shop made it. */
export type Programme = { readonly version: number; readonly steps: readonly Step[] };
