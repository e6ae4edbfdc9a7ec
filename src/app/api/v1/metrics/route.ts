import { theDb } from '@/db/engine/connection';
import { shopFigures } from '@/db/shop/figures';
import { tokenOpens } from '@/db/shop/tokens';
import { theMetrics } from '@/metrics';
import { healthNow } from '../../../_server/health';
import { bearerOf, problem } from '../../../_server/request';

/** Figures of the running program and its shop, in the text form of Prometheus, for who has a token to read them. */
export async function GET(request: Request): Promise<Response> {
  const [db, now, token] = [await theDb(), Date.now(), bearerOf(request.headers)];
  if (token === undefined || !(await tokenOpens(db, token, 'read', now))) return problem(401, 'Send a token for reading as a bearer.');
  const [metrics, figures, health] = [theMetrics(), await shopFigures(db, now), await healthNow(now)];
  metrics.units.set(figures.units);
  metrics.sessions.set(figures.sessions);
  metrics.waits.set(figures.waits);
  metrics.backupAge.set(health.backupAgeS ?? -1);
  metrics.disk.set(health.diskFreeBytes);
  return new Response(await metrics.registry.metrics(), { headers: { 'content-type': metrics.registry.contentType } });
}
