import { type BenchOf, benchOf, newestOf } from '../bench/bench-record';
import { bearsOnGap, bearsOnProof, lastIn } from '../close-up/bearing';
import { goesBack } from '../close-up/order';
import type { Wet } from '../prove/programme/seen';
import { isRunStep, isSeenStep, type Step, type StepOf } from '../prove/programme/step';
import { RUN_OUTCOME_WORDS } from '../prove/run';
import type { UnitRecord } from './unit-record';

type Proved = Pick<UnitRecord, 'family' | 'programme' | 'steps' | 'tray' | 'runs' | 'bench'>;

/** Where a step of a programme stands, by what its runs gave. */
export const STAND_WORDS = { open: 'not done', ...RUN_OUTCOME_WORDS };

/** Where a unit stands with one step of its programme. */
export type StepStand = {
  readonly step: Step;
  readonly stands: keyof typeof STAND_WORDS;
  readonly at: number | null;
  /** What was found, in the words of its records. */
  readonly texts: readonly string[];
  readonly wet: Wet | null;
};

/** When what bears on the proof was last put in, ms since 1970: what was tried before counts no more. Undefined: it is not closed up. */
export const provableSince = ({ steps, tray }: Pick<UnitRecord, 'steps' | 'tray'>): number | undefined => {
  const closedUp = steps.find((s) => s.station === 'close-up');
  return closedUp === undefined ? undefined : lastIn(tray, bearsOnProof, closedUp.at);
};

/** Steps that such a unit is to be proved by: a residual valve only where it goes back in. */
export const stepsFor = ({ family, programme, tray }: Pick<UnitRecord, 'family' | 'programme' | 'tray'>): readonly Step[] =>
  programme.steps.filter(
    (s) => s.kind !== 'residual' || tray.some((p) => p.kind === 'residual-valve' && goesBack(family, p) && p.found !== 'absent'),
  );

/** Pressure that a residual valve of the unit may keep, bar; 0 without one. */
export const keptBarOf = (r: Pick<UnitRecord, 'family' | 'programme' | 'tray'>): number =>
  Math.max(0, ...stepsFor(r).map((s) => (s.kind === 'residual' ? s.keepsMaxBar : 0)));

/** Every step of the programme with the newest that was found of it since the unit was closed up. A step that is run and looked at stands as the worse of the two. */
export const provingOf = (r: Proved): readonly StepStand[] => {
  const since = provableSince(r) ?? Number.POSITIVE_INFINITY;
  return stepsFor(r).map((step) => {
    if (step.kind === 'dry-stroke') return dryStroke(r, step);
    const run = r.runs.findLast((x) => x.state === 'finished' && x.step.id === step.id && x.startedAt >= since);
    const seen = benchOf(r.bench, 'proof').findLast((b) => b.stepId === step.id && b.at >= since);
    const found = [
      ...(isRunStep(step) ? [run?.outcome ?? null] : []),
      ...(isSeenStep(step) ? [seen?.outcome ?? null] : []),
    ] satisfies readonly (string | null)[];
    const texts = [...(run === undefined ? [] : [run.sentence]), ...(seen === undefined ? [] : [seen.text])];
    const times = [run?.startedAt, seen?.at].filter((t) => t !== undefined);
    return { step, stands: worst(found), at: times.length === 0 ? null : Math.max(...times), texts, wet: seen?.wet ?? null };
  });
};

const worst = (found: readonly ('pass' | 'fail' | 'hold-longer' | null)[]): StepStand['stands'] =>
  found.includes('fail') ? 'fail' : found.includes('hold-longer') ? 'hold-longer' : found.includes(null) ? 'open' : 'pass';

/** The stroke was asked for at Close up; it stands as long as what bears on it. */
const dryStroke = (r: Proved, step: StepOf<'dry-stroke'>): StepStand => {
  const closedUp = r.steps.find((s) => s.station === 'close-up');
  const stroked = closedUp === undefined ? undefined : newestOf(r.bench, 'stroked', lastIn(r.tray, bearsOnGap, closedUp.at));
  if (stroked === undefined) return { step, stands: 'open', at: null, texts: [], wet: null };
  const good = stroked.returns === 'by-itself';
  const text = good ? 'It strokes freely and returns by itself.' : 'It sticks.';
  return { step, stands: good ? 'pass' : 'fail', at: stroked.at, texts: [text], wet: null };
};

/** A unit that stands for a step, and has not been looked at since; undefined where none does. */
export const openStanding = (r: Proved, stepId: string): BenchOf<'standing'> | undefined => {
  const since = provableSince(r) ?? Number.POSITIVE_INFINITY;
  const standing = benchOf(r.bench, 'standing').findLast((b) => b.stepId === stepId && b.at >= since);
  const answered = benchOf(r.bench, 'proof').findLast((b) => b.stepId === stepId);
  return standing !== undefined && (answered === undefined || answered.at < standing.at) ? standing : undefined;
};

/** The step whose turn it is: the first that must be done and has not passed, or that failed; undefined when only what may be left out is left. */
export const nextStep = (stands: readonly StepStand[]): StepStand | undefined =>
  stands.find((s) => s.stands !== 'pass' && (s.step.need === 'must' || s.stands !== 'open'));

/** What was found last. */
export const newestStand = (stands: readonly StepStand[]): StepStand | undefined =>
  stands.reduce<StepStand | undefined>((a, b) => (b.at !== null && (a === undefined || b.at > (a.at ?? 0)) ? b : a), undefined);

/** The step that failed last, as the unit is closed up now; undefined where none does. */
export const failedNow = (r: Proved): StepStand | undefined => newestStand(provingOf(r).filter((s) => s.stands === 'fail'));
