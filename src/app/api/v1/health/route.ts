import { healthNow } from '../../../_server/health';

/** How the program stands, for whatever watches it: 503 while it cannot do its work. */
export async function GET(): Promise<Response> {
  const health = await healthNow(Date.now());
  return Response.json(health, { status: health.status === 'down' ? 503 : 200, headers: { 'cache-control': 'no-store' } });
}
