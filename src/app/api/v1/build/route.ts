import { buildId } from '../../../_server/build-id';

/** Which build answers; open to everybody, as the scripts of a page are. */
export const GET = (): Response => Response.json({ build: buildId() }, { headers: { 'cache-control': 'no-store' } });
