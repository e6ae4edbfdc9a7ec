import type { Instrumentation } from 'next';
import type { Db } from './db/engine/connection';

const MINUTE_MS = 60_000;
const HOUR_MS = 60 * MINUTE_MS;
const POST_MS = 3000;

/** Once at start: the environment is checked, the tables are brought up to date, the key of certificates is there, runs that a stopped server left behind are marked, and what is past is swept away. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || process.env.NEXT_PHASE === 'phase-production-build') return;
  const { configFaults } = await import('./config');
  const faults = configFaults(process.env);
  if (faults.length > 0) {
    process.stderr.write(`✗ The environment cannot be used:\n${faults.map((f) => `  ${f}`).join('\n')}\n`);
    process.exit(1);
  }
  const { finishRestore } = await import('./db/backup/restore');
  const { dataFolder, ownersAlone, shopDb } = await import('./db/engine/connection');
  const { theLog } = await import('./log');
  // What a restore had begun is finished before anything opens the shop.
  finishRestore(dataFolder());
  await ownersAlone();
  const db = await shopDb();
  await bringForward(db);
  const { breakLostRuns } = await import('./db/prove/prove');
  const { theShopKey } = await import('./db/release/shop-key');
  const { deliverRules } = await import('./db/rules/deliver');
  const { isOpened, makeOpeningKey } = await import('./db/shop/open-shop');
  const { takeLocale } = await import('./db/shop/settings');
  const { photoStore } = await import('./db/photo/photo-store');
  const { sweepSessions } = await import('./db/people/people');
  const { backupByNight, sweepBackups } = await import('./db/backup/run-backup');
  const { thePools } = await import('./pool/pool');
  const { theMetrics } = await import('./metrics');
  // Begun here: what answers requests writes to it, and counts.
  theLog();
  thePools();
  theMetrics();
  await deliverRules(db, Date.now());
  await theShopKey(db, Date.now());
  await takeLocale(db);
  if (!(await isOpened(db))) globalThis.eddrinTellOpening?.(makeOpeningKey(Date.now()));
  const lost = await breakLostRuns(db, Date.now());
  if (lost > 0) theLog().warn({ lost }, 'runs that the last stop left behind are marked as interrupted');
  await photoStore().sweep();
  await sweepBackups(Date.now());
  const { makeFirstPlans } = await import('./app/_server/day-now');
  makeFirstPlans().catch((error: unknown) => theLog().error({ err: error }, 'the first plan could not be made'));
  await every(HOUR_MS, 'old sessions were not swept', () => sweepSessions(db, Date.now()));
  const { postDue } = await import('./app/_server/post');
  await every(POST_MS, 'messages were not posted', () => postDue(db));
  await every(MINUTE_MS, 'the backup of the night was not made', () => backupByNight(db, Date.now()));
}

/** Does something now, and again and again; what goes wrong is logged, and tried again at its next turn. */
const every = async (ms: number, failed: string, work: () => Promise<unknown>): Promise<void> => {
  const { theLog } = await import('./log');
  const turn = () => work().catch((error: unknown) => theLog().error({ err: error }, failed));
  void turn();
  setInterval(turn, ms).unref();
};

/** Brings the tables up to date. Where that cannot be, the program says why and ends, and the old state stands. */
const bringForward = async (db: Db): Promise<void> => {
  const { upgrade } = await import('./db/backup/upgrade');
  const upgraded = await upgrade(db, Date.now(), (line) => process.stdout.write(`· ${line}\n`));
  if (upgraded.ok) return;
  process.stderr.write(`✗ ${upgraded.error}\n`);
  process.exit(1);
};

declare global {
  // Requests whose action could not even be read, by number: `scripts/serve.mjs` answers them as badly written.
  var eddrinUnread: Set<string> | undefined;
  // Says the key that opens a new shop: `scripts/serve.mjs` knows the address.
  var eddrinTellOpening: ((key: string) => void) | undefined;
}

/** A page or a route that threw: logged under the number that its error page shows. Our actions throw nothing, so that what threw there is the reading of what was sent. */
export const onRequestError: Instrumentation.onRequestError = async (error, request, context) => {
  const { theLog } = await import('./log');
  const { digest } = error as { digest?: string };
  const id = String(request.headers['x-request-id']);
  if (context.routeType === 'action') {
    globalThis.eddrinUnread ??= new Set();
    globalThis.eddrinUnread.add(id);
    return theLog().warn({ id, path: request.path }, 'an action was called that could not be read');
  }
  theLog().error({ err: error, digest, id, path: request.path, route: context.routePath }, 'a page failed');
};
