import { cpSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { eq } from 'drizzle-orm';
import { isRunStep } from '@/core/prove/programme/step';
import { stepsFor } from '@/core/unit/proving';
import { tagOf } from '@/core/unit/unit-record';
import { databaseUrl, migrateDb, theDb } from '@/db/engine/connection';
import { loadUnit } from '@/db/engine/load-unit';
import { theAuth } from '@/db/people/auth';
import { accounts, people, sessions } from '@/db/tables';
import { historyOf } from '@/db/unit/history';
import { PEOPLE } from '../../demo/people';
import { seedDemo } from '../../demo/seed';
import { type Random, seeded } from '../../devices/hand/random';
import { answers, serve } from '../bench/served';
// @ts-expect-error plain Node, without types
import { SERVE } from '../steps.mjs';
import { actionsOf, tryAction } from './actions';
import { argument } from './argument';
import { tryCompute } from './compute';
import { addresses, tryPage } from './pages';
import { startBadRig } from './rig';
import type { Answer, Target } from './try';
import { tryImport, tryPhoto } from './uploads';

/** How much memory the server may gain while it is tried, after it has warmed up, MB; and tries that warm it. */
const MOST_GAIN_MB = 400;
const WARM_UP = 1500;
/** Tries that go on at once. */
const AT_ONCE = 2;
/** Faults past which it is no use to go on. */
const MOST_FAULTS = 25;

const [minutes, seed, build] = [argument('minutes', 10), argument('seed', 1), process.env.EDDRIN_BUILD ?? '.next'];

const folder = mkdtempSync(join(tmpdir(), 'eddrin-fuzz-'));
process.env.EDDRIN_DATA = folder;
// Where a demo shop is made up already, a copy of it is tried.
const made = process.env.EDDRIN_TEST_SEED;
if (made !== undefined) cpSync(made, folder, { recursive: true });
const db = await theDb();
await migrateDb(db);
if (made === undefined) await seedDemo(db, Date.now());
const [port, token] = [4731, 'a-token-for-fuzzing'];
const rig = await startBadRig(seeded(seed));
const server = serve([...SERVE, String(port)], {
  EDDRIN_BUILD: build,
  EDDRIN_RIG: `127.0.0.1:${rig.port}`,
  EDDRIN_API_TOKEN: token,
  EDDRIN_LOG: 'error',
});
const stop = async (code: number): Promise<never> => {
  server.kill('SIGKILL');
  rig.server.close();
  rmSync(folder, { recursive: true, force: true });
  process.exit(code);
};
await answers(port);

const cookieOf = async (id: string, pin: string): Promise<string> => {
  const { headers } = await (await theAuth()).api.signInUsername({ body: { username: id, password: pin }, returnHeaders: true });
  return headers
    .getSetCookie()
    .map((c) => c.split(';')[0])
    .join('; ');
};
const cookies = new Map<string, string>();
for (const { id, pin } of PEOPLE) cookies.set(id, await cookieOf(id, pin));
/** What people are and sign in by, as it was before anything was sent. */
const [peopleBefore, accountsBefore] = [await db.select().from(people), await db.select().from(accounts)];
const wasEnded = async (personId: string, cookie: string): Promise<'ended' | 'open'> => {
  const token = decodeURIComponent(/session_token=([^.;]+)/.exec(cookie)?.[1] ?? '');
  if ((await db.select().from(sessions).where(eq(sessions.token, token))).length > 0) return 'open';
  if (cookies.get(personId) !== cookie) return 'ended';
  for (const row of peopleBefore) await db.insert(people).values(row).onConflictDoUpdate({ target: people.id, set: row });
  for (const row of accountsBefore) await db.insert(accounts).values(row).onConflictDoUpdate({ target: accounts.id, set: row });
  cookies.set(personId, await cookieOf(personId, PEOPLE.find((p) => p.id === personId)?.pin ?? ''));
  return 'ended';
};

// A server's first answers take several times as long: what is timed comes after them.
for (const path of ['/', '/day', '/book-in', '/kits', '/book', '/units/SQ-0044/options'])
  await fetch(`http://localhost:${port}${path}`, { headers: { cookie: cookies.get('maren-oreland') ?? '' } }).then((r) => r.text());

const client = createClient({ url: databaseUrl() });
const rowsOf = async (sql: string) => (await client.execute(sql)).rows as unknown as readonly Record<string, string>[];
const tables = (
  await rowsOf(
    "select name from sqlite_master where type = 'table' and name not like 'sqlite_%' and name not like '%\\_grams%' escape '\\' and name not like '%\\_words%' escape '\\'",
  )
).map((r) => r.name as string);
/** Ids of every row that has one, whosever it is. */
const idsOf = async (): Promise<readonly string[]> => {
  const found: string[] = [];
  for (const table of tables) {
    const columns = (await rowsOf(`pragma table_info("${table}")`)).map((c) => c.name);
    if (columns.includes('id'))
      found.push(...(await rowsOf(`select id from "${table}" order by random() limit 40`)).map((r) => String(r.id)));
  }
  return found;
};
const all = await rowsOf('select id, tag_no, exit, station from units order by tag_no');
const tags = all.map((u) => `SQ-${String(u.tag_no).padStart(4, '0')}`);
/** Units that nobody aims at: whatever is sent, they stay as they are. */
const untouched = ['release', 'judge', 'kit', 'strip'].flatMap(
  (station) => all.find((u) => u.station === station && u.exit === null)?.id ?? [],
);
untouched.push(
  ...all
    .filter((u) => u.exit !== null)
    .slice(0, 3)
    .map((u) => u.id as string),
);
const pictureOf = async (id: string): Promise<string> => {
  const record = await loadUnit(db, id);
  // What a fitment or the shop's rules change for all units is no change of this one.
  return JSON.stringify([
    record?.unit,
    record?.tray,
    record?.marks,
    record?.verdicts,
    record?.setAside,
    record?.runs,
    (await historyOf(db, id, 500)).length,
  ]);
};
const before = new Map(await Promise.all(untouched.map(async (id) => [id, await pictureOf(id)] as const)));

let ids = await idsOf();
const target: Target = {
  origin: `http://localhost:${port}`,
  token,
  cookies,
  wasEnded,
  known: async (random) => {
    const aimed = random.pick(all.filter((u) => !untouched.includes(u.id as string))).id as string;
    const [unit] = await rowsOf(`select id, version from units where id = '${aimed}'`);
    return { ids, unit: { id: aimed, version: Number(unit?.version ?? 1) } };
  },
};
const actions = await actionsOf(build, tags[3] as string);
const pages = addresses();

/** A run on the rig that misbehaves, of a unit that waits to be proved. */
const tryRun = async (random: Random): Promise<Answer> => {
  const start = performance.now();
  const atProve = (await rowsOf("select id from units where station = 'prove' and exit is null")).filter(
    (u) => !untouched.includes(u.id as string),
  );
  const record = atProve.length === 0 ? undefined : await loadUnit(db, random.pick(atProve).id as string);
  const step = record === undefined ? undefined : stepsFor(record).find(isRunStep);
  const action = actions.find((a) => a.name === 'startRunAction');
  if (record === undefined || step === undefined || action === undefined)
    return { what: 'rig', status: 0, ms: 0, code: 'no unit to prove' };
  const value = {
    eventId: crypto.randomUUID(),
    unitId: record.unit.id,
    version: record.unit.version,
    stepId: step.id,
    holder: 'p',
    shield: true,
  };
  await fetch(`${target.origin}${action.path}`, {
    method: 'POST',
    body: JSON.stringify([value]),
    headers: {
      'next-action': action.id,
      'content-type': 'text/plain;charset=UTF-8',
      origin: target.origin,
      cookie: cookies.get('joss-tarrow') ?? '',
    },
  }).then((r) => r.text());
  for (const until = Date.now() + 40_000; Date.now() < until; await new Promise((r) => setTimeout(r, 200))) {
    const [run] = await rowsOf(`select state from runs where id = '${value.eventId}'`);
    if (run === undefined || run.state !== 'running') return { what: 'rig', status: 200, ms: 0, code: run?.state ?? 'refused' };
  }
  return { what: 'rig', status: 200, ms: performance.now() - start, fault: `${tagOf(record.unit)}: a run has not ended after 40 s` };
};

const KINDS: readonly (readonly [share: number, (random: Random) => Promise<Answer>])[] = [
  [30, (random) => tryCompute(target, random)],
  [50, (random) => tryAction(target, random, actions)],
  [25, (random) => tryPage(target, random, pages, tags)],
  [2, (random) => tryImport(target, random)],
  [4, (random) => tryPhoto(target, random)],
];
const wheel = KINDS.flatMap(([share, work]) => Array.from({ length: share }, () => work));

const memoryMb = (): number => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;
const seen = new Map<string, { tried: number; slowest: number; readonly came: Map<string, number> }>();
const faults: string[] = [];
const tell = (n: number, { what, ms, status, code, fault }: Answer): void => {
  const line = seen.get(what) ?? { tried: 0, slowest: 0, came: new Map<string, number>() };
  const came = code === undefined ? String(status) : `${status} ${code}`;
  line.came.set(came, (line.came.get(came) ?? 0) + 1);
  seen.set(what, Object.assign(line, { tried: line.tried + 1, slowest: Math.max(line.slowest, ms) }));
  if (fault === undefined) return;
  faults.push(`${what} (seed ${seed}, try ${n}): ${fault}`);
  console.log(`✗ ${faults.at(-1)}`);
};

const until = Date.now() + minutes * 60_000;
let [tries, warm] = [0, Number.NaN];
const work = async (): Promise<void> => {
  while (Date.now() < until && faults.length < MOST_FAULTS) {
    const n = tries++;
    if (n % 500 === 499) ids = await idsOf();
    if (n === WARM_UP) warm = memoryMb();
    if (n % 2500 === 0) console.log(`· ${n} tries, ${Math.round(memoryMb())} MB`);
    const random = seeded(seed * 1_000_003 + n);
    tell(n, await random.pick(wheel)(random));
  }
};
const runs = async (): Promise<void> => {
  for (let n = 0; Date.now() < until && faults.length < MOST_FAULTS; n++) tell(-n, await tryRun(seeded(seed + n)));
};
await Promise.all([...Array.from({ length: AT_ONCE }, work), runs()]);

// What was tried is past: is the shop whole?
for (const id of untouched)
  if ((await pictureOf(id)) !== before.get(id)) faults.push(`unit ${id}, which nobody aimed at, is not what it was`);
const lead = cookies.get('maren-oreland') ?? '';
const stations = ['strip', 'clean', 'gauge', 'judge', 'hone', 'kit', 'set', 'close-up', 'prove', 'release'];
for (const path of [
  '/',
  '/find?q=a',
  '/book',
  '/kits',
  '/outbox',
  '/rig',
  '/rules',
  ...tags.flatMap((t) => stations.map((s) => `/units/${t}/${s}`)),
]) {
  const { status } = await fetch(`${target.origin}${path}`, { headers: { cookie: lead }, redirect: 'manual' });
  if (status >= 500) faults.push(`${path} answers ${status} afterwards`);
}
const gained = memoryMb() - warm;
if (gained > MOST_GAIN_MB) faults.push(`the server's memory grew by ${Math.round(gained)} MB`);

console.log(`\n| tried | times | slowest | came to |\n|---|---|---|---|`);
for (const [what, { tried, slowest, came }] of [...seen].sort(([a], [b]) => a.localeCompare(b)))
  console.log(`| ${what} | ${tried} | ${Math.round(slowest)} ms | ${[...came].map(([c, n]) => `${c} × ${n}`).join(', ')} |`);
const silent = actions.filter((a) => !seen.has(`action ${a.name}`)).map((a) => a.name);
if (silent.length > 0) console.log(`\nnot tried: ${silent.join(', ')}`);
console.log(
  `\n${tries} tries and ${rig.lines()} lines of a bad rig in ${minutes} minutes, seed ${seed}; memory ${Math.round(warm)} MB warm, ${Math.round(warm + gained)} MB at the end`,
);
console.log(faults.length === 0 ? 'no faults' : `\n${faults.length} faults:\n${faults.map((f) => `  ${f.slice(0, 600)}`).join('\n')}`);
await stop(faults.length === 0 ? 0 : 1);
