import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { cpus, tmpdir } from 'node:os';
import { join } from 'node:path';
import { databaseUrl, migrateDb, theDb } from '@/db/engine/connection';
import { seedDemo } from '../../demo/seed';
import { boreLines } from './bores';
import { coverLine } from './cover';
import { dayLines } from './day';
import { findLine } from './find';
import { historyLine } from './history-size';
import { honeLines } from './hone';
import { judgeLine } from './judge';
import { largeLines } from './large';
import { pageLines } from './pages';
import { proveLines } from './prove';
import { remoteLines } from './remote';
import { saveLine } from './saves';
import { sessionCookie } from './served';
import { simulateLine } from './simulate';

const folder = mkdtempSync(join(tmpdir(), 'eddrin-bench-'));
process.env.EDDRIN_DATA = folder;
const db = await theDb();
await migrateDb(db);
await seedDemo(db, Date.now());
const cookie = await sessionCookie();
const lines = [
  await judgeLine(),
  ...boreLines(),
  ...honeLines(),
  await simulateLine(),
  await coverLine(),
  await findLine(),
  ...proveLines(),
  ...(await dayLines()),
  ...(await pageLines(db, cookie)),
  await historyLine(db),
  ...(await largeLines(db, cookie)),
  await saveLine(db, databaseUrl()),
  ...(await remoteLines(db, cookie)),
];
const table = [
  '| what | here | peer or floor, same run | bar | holds |',
  '|---|---|---|---|---|',
  ...lines.map((l) => `| ${l.what} | ${l.ours} | ${l.peer} | ${l.bar} | ${l.holds ? 'yes' : 'no'} |`),
].join('\n');
console.log(`\n${table}\n`);
writeFileSync(
  'docs/benchmarks.md',
  `# Benchmarks\n\nMade by \`npm run bench\`, ${new Date().toISOString().slice(0, 10)}, on ${cpus().length} cores, Node ${process.versions.node}. Medians of one run; read the ratios, not the lone times.\n\n${table}\n`,
);
rmSync(folder, { recursive: true, force: true });
process.exit(0);
