import { runOnRig } from '@/app/_server/run-on-rig';
import { openDb } from '@/db/engine/connection';
import { loadUnit } from '@/db/engine/load-unit';
import { runStepOf, startRun } from '@/db/prove/prove';
import { theRig } from '@/ports/rig-run';

// Runs one step of a unit as the server does, and says when it holds; killed by its test in the middle.
const [, , unitId = '', stepId = ''] = process.argv;
const db = await openDb();
const person = { id: 'tess', name: 'Tess', role: 'technician', bench: null } as const;
const record = await loadUnit(db, unitId);
if (record === undefined) throw new Error('no unit');
const step = runStepOf(record, stepId);
if (!step.ok) throw new Error(JSON.stringify(step.error));
const runId = `held-${unitId}`;
const change = { eventId: runId, unitId, person, at: Date.now(), version: null, kind: 'run-started', note: '', digest: '' } as const;
await startRun(db, change, { runId, stepId, way: 'rig' });
theRig().follow('page', (run) => {
  if (run.state === 'holding' && run.samples.filter((s) => s.phase === 'hold').length === 200) process.stdout.write('holding\n');
});
await runOnRig(db, { record, step: step.value, runId, holder: 'page', person });
