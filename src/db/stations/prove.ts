import { and, desc, eq, lt } from 'drizzle-orm';
import { z } from 'zod';
import type { Person } from '@/core/people/role';
import { RigSample, RunAnalysis } from '@/core/prove/run-analysis';
import { ok, type Result } from '@/core/result';
import { whyNotNow } from '@/core/route/route';
import { routeOfUnit } from '@/core/unit/facts-of';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../change-unit';
import type { Db, Reader } from '../connection';
import { put } from '../event-payload';
import { people, rigRuns } from '../tables';

export type RunStart = { readonly runId: string; readonly targetBar: number; readonly holdS: number };
export type RunEnd = {
  readonly runId: string;
  readonly rig: string;
  readonly state: 'finished' | 'aborted' | 'broken';
  readonly because: string;
  readonly samples: readonly RigSample[];
  readonly analysis: RunAnalysis | null;
};

/** Notes that a run begins, so that one which never ends is seen. */
export const startRun = (db: Db, change: Change, s: RunStart): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, (record, at) => {
    const notNow = whyNotNow('prove', routeOfUnit(record));
    if (notNow.length > 0) return refused(...notNow);
    const row = {
      id: s.runId,
      unitId: record.unit.id,
      rig: '',
      personId: change.person.id,
      startedAt: at,
      endedAt: null,
      because: '',
      outcome: null,
      samples: [],
      analysis: null,
    };
    return ok([put('rigRuns', { ...row, state: 'running', targetBar: s.targetBar, holdS: s.holdS })]);
  });

/** Stores a run whole, whatever its end. Only a finished one has an outcome. */
export const endRun = (db: Db, change: Change, e: RunEnd): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (_, at, tx) => {
    const [row] = await tx.select().from(rigRuns).where(eq(rigRuns.id, e.runId));
    if (row === undefined) return refused('There is no such run.');
    const outcome = e.state === 'finished' ? (e.analysis?.outcome ?? null) : null;
    return ok([
      put('rigRuns', {
        ...row,
        rig: e.rig,
        endedAt: at,
        state: e.state,
        because: e.because,
        outcome,
        samples: e.samples,
        analysis: e.analysis,
      }),
    ]);
  });

/** Runs that a stopped server left behind are marked broken; called once at start. */
export async function breakLostRuns(db: Db, at: number): Promise<number> {
  const lost = await db
    .select({ runId: rigRuns.id, unitId: rigRuns.unitId, personId: rigRuns.personId, rig: rigRuns.rig })
    .from(rigRuns)
    .where(eq(rigRuns.state, 'running'));
  for (const { runId, unitId, personId, rig } of lost) {
    const [person] = await db
      .select({ id: people.id, name: people.name, role: people.role, bench: people.bench })
      .from(people)
      .where(eq(people.id, personId));
    const change = { eventId: `${runId}-lost`, unitId, person: person as Person, at, version: null, kind: 'run-ended' as const, note: '' };
    await endRun(db, change, { runId, rig, state: 'broken', because: 'the server stopped during the run', samples: [], analysis: null });
  }
  return lost.length;
}

const Samples = z.array(RigSample);

/** A stored run with its samples. */
export async function runOf(db: Reader, runId: string) {
  const [row] = await db.select().from(rigRuns).where(eq(rigRuns.id, runId));
  return row === undefined
    ? undefined
    : { ...row, samples: Samples.parse(row.samples), analysis: RunAnalysis.nullable().parse(row.analysis) };
}

/** Whole holds of a unit before one of its runs, at the same pressure, the newest first; a few, for drawing beside it. */
export async function earlierHolds(
  db: Reader,
  run: Pick<NonNullable<Awaited<ReturnType<typeof runOf>>>, 'unitId' | 'startedAt' | 'targetBar'>,
) {
  const rows = await db
    .select({ samples: rigRuns.samples })
    .from(rigRuns)
    .where(
      and(
        eq(rigRuns.unitId, run.unitId),
        eq(rigRuns.state, 'finished'),
        eq(rigRuns.targetBar, run.targetBar),
        lt(rigRuns.startedAt, run.startedAt),
      ),
    )
    .orderBy(desc(rigRuns.startedAt))
    .limit(3);
  return rows.map((r) => Samples.parse(r.samples));
}

/** The newest run of a unit. */
export async function lastRunOf(db: Reader, unitId: string) {
  const [row] = await db
    .select({ id: rigRuns.id })
    .from(rigRuns)
    .where(eq(rigRuns.unitId, unitId))
    .orderBy(desc(rigRuns.startedAt))
    .limit(1);
  return row === undefined ? undefined : runOf(db, row.id);
}
