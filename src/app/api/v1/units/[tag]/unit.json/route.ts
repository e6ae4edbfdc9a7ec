import { tagOf } from '@/core/unit/unit-record';
import { unitFileOf } from '@/db/book/unit-file';
import { shopNow } from '../../../../../_server/shop-now';
import { unitOrRefusal } from '../../../../../_server/unit-request';

/** The unit with its whole history as one file, as `/api/v1/schemas/unit.json` describes it. */
export async function GET(_: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const found = await unitOrRefusal(params);
  if (found instanceof Response) return found;
  const { settings } = await shopNow();
  const file = await unitFileOf(found.db, found.record, settings.name, Date.now());
  return new Response(JSON.stringify(file), {
    headers: {
      'content-type': 'application/json',
      'content-disposition': `attachment; filename="${tagOf(found.record.unit)}.json"`,
      'cache-control': 'private, no-store',
    },
  });
}
