import { UnitsAsked } from '@/core/book/read-schemas';
import { unitsAfter } from '@/db/book/read-units';
import { readOrRefusal } from '../../../_server/read-request';

/** All units, or those in the shop, or those that left, a page at a time. */
export async function GET(request: Request): Promise<Response> {
  const read = await readOrRefusal(request, UnitsAsked);
  return read instanceof Response ? read : Response.json(await unitsAfter(read.db, read.asked));
}
