import { and, asc, desc, eq, lt, sql } from 'drizzle-orm';
import { z } from 'zod';
import type { Person } from '@/core/people/role';
import { FINE } from '@/core/prove/hold-analysis';
import { isRunStep, type RunStep } from '@/core/prove/programme/step';
import { RunStepSchema } from '@/core/prove/programme/step-schema';
import { RigSample } from '@/core/prove/rig-sample';
import { analyseRun, fallsShort, RunAnalysis, type RunContext } from '@/core/prove/run-analysis';
import type { RunWay } from '@/core/prove/run-way';
import { fail, ok, type Result } from '@/core/result';
import { whyNotNow } from '@/core/route/route';
import { stored } from '@/core/schema/stored';
import { routeOfUnit } from '@/core/unit/facts-of';
import { keptBarOf, stepsFor } from '@/core/unit/proving';
import type { UnitRecord } from '@/core/unit/unit-record';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db, Reader } from '../engine/connection';
import { type Edit, put } from '../engine/edit';
import { loadUnit } from '../engine/load-unit';
import { prepared } from '../engine/prepared';
import { rulesInForce } from '../rules/rules';
import { people, runPieces, runs } from '../tables';
import { leaveRigQueue } from './rig-queue';

export type RunStart = { readonly runId: string; readonly stepId: string; readonly way: RunWay };
export type RunEnd = {
  readonly runId: string;
  readonly rig: string;
  readonly state: 'finished' | 'aborted' | 'broken' | 'interrupted';
  readonly because: string;
  /** The step as it was run: a hold may have been held longer than its programme says. */
  readonly step: RunStep;
  readonly samples: readonly RigSample[];
  readonly analysis: RunAnalysis | null;
};

/** The step of a unit's programme that a run is of; refused while it is not Prove's turn. */
export const runStepOf = (record: UnitRecord, stepId: string): Result<RunStep, ChangeError> => {
  const notNow = whyNotNow('prove', routeOfUnit(record));
  if (notNow.length > 0) return refused(...notNow);
  const step = stepsFor(record).find((s) => s.id === stepId);
  if (step === undefined) return refused('Its programme has no such step.');
  return isRunStep(step) ? ok(step) : refused('That step is seen, not run.');
};

const runRow = (record: UnitRecord, change: Change, at: number, s: RunStart & { readonly step: RunStep }) => ({
  id: s.runId,
  unitId: record.unit.id,
  rig: '',
  readToBar: null,
  readToMl: null,
  personId: change.person.id,
  startedAt: at,
  endedAt: null,
  state: 'running' as const,
  way: s.way,
  programme: record.programme.version,
  stepId: s.step.id,
  step: s.step,
  because: '',
  outcome: null,
  sentence: '',
  samples: [],
  analysis: null,
});

/** Notes that a run begins, so that one which never ends is seen; the unit waits for the rig no more. */
export const startRun = (db: Db, change: Change, s: RunStart): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (record, at, tx) => {
    const step = runStepOf(record, s.stepId);
    if (!step.ok) return step;
    await leaveRigQueue(tx, record.unit.id);
    return ok([put('runs', runRow(record, change, at, { ...s, step: step.value }))]);
  });

/** Stores a run whole, whatever its end. Only a finished one has an outcome. */
export const endRun = (db: Db, change: Change, e: RunEnd): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (_, at, tx) => {
    const [row] = await tx.select().from(runs).where(eq(runs.id, e.runId));
    if (row === undefined) return refused('There is no such run.');
    await tx.delete(runPieces).where(eq(runPieces.runId, e.runId));
    return ok([ended(row, at, e)]);
  });

const ended = (row: typeof runs.$inferSelect, at: number, e: RunEnd): Edit =>
  put('runs', {
    ...row,
    rig: e.rig,
    endedAt: at,
    state: e.state,
    because: e.because,
    step: e.step,
    outcome: e.state === 'finished' ? (e.analysis?.outcome ?? null) : null,
    sentence: e.analysis?.sentence ?? '',
    samples: e.samples,
    analysis: e.analysis,
  });

/** Has a run judged, which may take its time; words where that could not be done. */
type Analysed = (step: RunStep, samples: readonly RigSample[], context: RunContext) => Promise<Result<RunAnalysis | null, string>>;

/** A run that was read by eye or logged: stored whole, judged by the rules in force and as finely as it was read. */
export const storeRun = async (
  db: Db,
  change: Change,
  r: RunStart & { readonly samples: readonly RigSample[]; readonly readTo: { readonly bar: number; readonly ml: number } },
  analysed: Analysed,
): Promise<Result<Changed, ChangeError>> => {
  const { rules } = await rulesInForce(db);
  const ahead = await loadUnit(db, change.unitId);
  if (ahead === undefined) return fail({ code: 'no-such-unit' });
  const toRun = runStepOf(ahead, r.stepId);
  // Before the change begins: nothing else can be written while it goes on. Why it may not be run is the change's to say, which knows a repeat.
  const judged = toRun.ok
    ? await analysed(toRun.value, r.samples, { rules, keptBar: keptBarOf(ahead), readTo: r.readTo, way: r.way })
    : ok(null);
  if (!judged.ok) return refused(judged.error);
  const analysis = judged.value;
  return changeUnit(db, change, (record, at) => {
    const step = runStepOf(record, r.stepId);
    if (!step.ok) return step;
    if (analysis === null)
      return refused(
        'These readings are too few to say anything: three while it is filled, and twenty over ten seconds or more while it is held.',
      );
    const short = fallsShort(step.value, r.samples, analysis);
    if (short !== undefined) return refused(short);
    const row = { ...runRow(record, change, at, { ...r, step: step.value }), readToBar: r.readTo.bar, readToMl: r.readTo.ml };
    return ok([
      ended(row, at, { runId: r.runId, rig: '', state: 'finished', because: '', step: step.value, samples: r.samples, analysis }),
    ]);
  });
};

/** Keeps a piece of a run that goes on. */
export const keepPiece = (db: Db, runId: string, samples: readonly RigSample[]) =>
  db.insert(runPieces).values({ id: `${runId}-${samples[0]?.t}`, runId, fromT: samples[0]?.t ?? 0, samples });

const Samples = stored(z.array(RigSample));
const StoredStep = stored(RunStepSchema);
const StoredAnalysis = stored(RunAnalysis.nullable());
const piecesOf = async (db: Reader, runId: string): Promise<readonly RigSample[]> =>
  (await db.select().from(runPieces).where(eq(runPieces.runId, runId)).orderBy(asc(runPieces.fromT))).flatMap((p) =>
    Samples.parse(p.samples),
  );

/** Runs that a stopped server left behind are marked as interrupted, with what they had; called once at start. */
export async function breakLostRuns(db: Db, at: number): Promise<number> {
  const lost = await db
    .select({
      runId: runs.id,
      unitId: runs.unitId,
      step: runs.step,
      rig: runs.rig,
      person: { id: people.id, name: people.name, role: people.role, bench: people.bench },
    })
    .from(runs)
    .innerJoin(people, eq(runs.personId, people.id))
    .where(eq(runs.state, 'running'));
  const { rules } = lost.length > 0 ? await rulesInForce(db) : { rules: undefined };
  for (const { runId, unitId, rig, person, ...row } of lost) {
    const change = {
      eventId: `${runId}-lost`,
      unitId,
      person: person as Person,
      at,
      version: null,
      kind: 'run-ended' as const,
      note: '',
      digest: '',
    };
    const step = StoredStep.parse(row.step);
    const samples = await piecesOf(db, runId);
    const analysis = rules === undefined ? undefined : analyseRun(step, samples, { rules, keptBar: 0, readTo: FINE, way: 'rig' });
    const because = 'the server stopped during the run';
    await endRun(db, change, { runId, rig, state: 'interrupted', because, step, samples, analysis: analysis ?? null });
  }
  return lost.length;
}

const runQuery = prepared((db: Reader) =>
  db
    .select()
    .from(runs)
    .where(eq(runs.id, sql.placeholder('runId')))
    .prepare(),
);

/** A stored run with its samples. */
export async function runOf(db: Reader, runId: string) {
  const [row] = await runQuery(db).execute({ runId });
  return row === undefined
    ? undefined
    : {
        ...row,
        step: StoredStep.parse(row.step),
        samples: Samples.parse(row.samples),
        analysis: StoredAnalysis.parse(row.analysis),
      };
}
export type StoredRun = NonNullable<Awaited<ReturnType<typeof runOf>>>;

const earlierQuery = prepared((db: Reader) =>
  db
    .select({ samples: runs.samples })
    .from(runs)
    .where(
      and(
        eq(runs.unitId, sql.placeholder('unitId')),
        eq(runs.state, 'finished'),
        eq(runs.stepId, sql.placeholder('stepId')),
        lt(runs.startedAt, sql.placeholder('startedAt')),
      ),
    )
    .orderBy(desc(runs.startedAt))
    .limit(3)
    .prepare(),
);

/** Whole runs of a unit before one of its runs, of the same step, the newest first; a few, for drawing beside it. */
export async function earlierRuns(db: Reader, run: Pick<StoredRun, 'unitId' | 'startedAt' | 'stepId'>) {
  const rows = await earlierQuery(db).execute(run);
  return rows.map((r) => Samples.parse(r.samples));
}

/** The newest run of a step that was made of a unit and is over. */
export const newestRunOf = async (db: Reader, record: Pick<UnitRecord, 'runs'>, stepId: string): Promise<StoredRun | undefined> => {
  const newest = record.runs.findLast((r) => r.step.id === stepId && r.state !== 'running');
  return newest === undefined ? undefined : runOf(db, newest.id);
};
