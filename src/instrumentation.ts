import type { Instrumentation } from 'next';

const HOUR_MS = 3_600_000;

/** Once at start: the environment is checked, the tables are brought up to date, the key of certificates is there, runs that a stopped server left behind are marked, and what is past is swept away. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || process.env.NEXT_PHASE === 'phase-production-build') return;
  const { configFaults } = await import('./config');
  const faults = configFaults(process.env);
  if (faults.length > 0) {
    process.stderr.write(`✗ The environment cannot be used:\n${faults.map((f) => `  ${f}`).join('\n')}\n`);
    process.exit(1);
  }
  const { migrateDb, ownersAlone, theDb } = await import('./db/engine/connection');
  await ownersAlone();
  const { breakLostRuns } = await import('./db/prove/prove');
  const { theShopKey } = await import('./db/release/shop-key');
  const { deliverRules } = await import('./db/rules/deliver');
  const { sweepPhotos } = await import('./db/unit/photos');
  const { sweepSessions } = await import('./db/people/people');
  const { theLog } = await import('./log');
  const { thePools } = await import('./pool/pool');
  thePools();
  const db = await theDb();
  await migrateDb(db);
  await deliverRules(db, Date.now());
  await theShopKey(db, Date.now());
  const lost = await breakLostRuns(db, Date.now());
  if (lost > 0) theLog().warn({ lost }, 'runs that the last stop left behind are marked as interrupted');
  await sweepPhotos();
  const sweep = () =>
    sweepSessions(db, Date.now()).catch((error: unknown) => theLog().error({ err: error }, 'old sessions were not swept'));
  await sweep();
  setInterval(sweep, HOUR_MS).unref();
}

declare global {
  // Requests whose action could not even be read, by number: `scripts/serve.mjs` answers them as badly written.
  var eddrinUnread: Set<string> | undefined;
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
