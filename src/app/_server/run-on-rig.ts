import type { Person } from '@/core/people/role';
import { FINE } from '@/core/prove/hold-analysis';
import type { RunStep } from '@/core/prove/programme/step';
import { fail, type Result } from '@/core/result';
import { keptBarOf } from '@/core/unit/proving';
import type { SaveError } from '@/core/unit/save-error';
import { tagOf, type UnitRecord } from '@/core/unit/unit-record';
import type { Db } from '@/db/engine/connection';
import { endRun, keepPiece, type RunEnd } from '@/db/prove/prove';
import { rulesInForce } from '@/db/rules/rules';
import { theLog } from '@/log';
import { analysed } from './analysed';
import { changeOf } from './change-of';
import { rigHere } from './rig-here';

/** Has the rig run a step whose beginning is stored, and stores what comes of it, whoever looks. */
export async function runOnRig(
  db: Db,
  r: { readonly record: UnitRecord; readonly step: RunStep; readonly runId: string; readonly holder: string; readonly person: Person },
): Promise<Result<void, SaveError>> {
  const { rules } = await rulesInForce(db);
  const { record, step, runId, holder, person } = r;
  const stored = (e: Omit<RunEnd, 'runId'>) => {
    const target = { eventId: `${runId}-end`, unitId: record.unit.id, version: null };
    return endRun(db, changeOf(target, person, Date.now(), 'run-ended', e.because), { ...e, runId });
  };
  // A piece that is still being written when the run ends would be left behind: the end waits for it.
  let writing: Promise<unknown> = Promise.resolve();
  const order = { runId, unitId: record.unit.id, tag: tagOf(record.unit), by: person.name, holder, step };
  const started = rigHere().start(
    order,
    (asRun, samples) => analysed(asRun, samples, { rules, keptBar: keptBarOf(record), readTo: FINE, way: 'rig' }),
    {
      piece: (samples) => {
        writing = writing.then(() => keepPiece(db, runId, samples)).catch(notStored);
      },
      end: ({ rig, state, because, samples, analysis, order: { step: asRun } }) => {
        writing = writing
          .then(() => stored({ rig, state: state as RunEnd['state'], because, step: asRun, samples, analysis }))
          .catch(notStored);
      },
    },
  );
  if (started.ok) return started;
  const because = `the rig was busy with ${started.error.tag}`;
  await stored({ rig: '', state: 'broken', because, step, samples: [], analysis: null });
  return fail({ code: 'refused', reasons: [`The rig is busy with ${started.error.tag}.`] });
}

const notStored = (error: unknown): void => theLog().error({ err: error }, 'a run, or a piece of it, could not be stored');
