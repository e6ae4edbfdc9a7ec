import { openDb } from '@/db/engine/connection';
import { startWait } from '@/db/unit/waits';

// Saves changes to one unit for ever and prints the id of each once it is acknowledged; killed by its test.
const [, , unitId = '', run = ''] = process.argv;
const db = await openDb();
const person = { id: 'tess', name: 'Tess', role: 'technician', bench: null } as const;
// However a run of tests ends, this ends with it, also where that was before this began.
const [parent, most] = [process.ppid, 2000];
for (let i = 0; process.ppid === parent && i < most; i++) {
  const change = {
    eventId: `run-${run}-${i}`,
    unitId,
    person,
    at: Date.now(),
    version: null,
    kind: 'wait-started',
    note: '',
    digest: '',
  } as const;
  const saved = await startWait(db, change, { label: 'soak', minutes: 5 });
  if (saved.ok) process.stdout.write(`${change.eventId}\n`);
}
