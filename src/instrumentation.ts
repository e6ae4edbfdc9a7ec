/** Once at start: the tables are brought up to date, and runs that a stopped server left behind are marked. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || process.env.NEXT_PHASE === 'phase-production-build') return;
  const { migrateDb, theDb } = await import('./db/engine/connection');
  const { breakLostRuns } = await import('./db/prove/prove');
  const db = await theDb();
  await migrateDb(db);
  const { deliverRules } = await import('./db/rules/deliver');
  await deliverRules(db, Date.now());
  await breakLostRuns(db, Date.now());
  const { sweepPhotos } = await import('./db/unit/photos');
  await sweepPhotos();
}
