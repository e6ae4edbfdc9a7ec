import { z } from 'zod';
import { readRecordOf } from '@/core/book/read-unit';
import { tagNumber } from '@/core/unit/unit-record';
import { unitOfTag } from '@/db/engine/cached-units';
import { readOrRefusal } from '../../../../_server/read-request';
import { problem } from '../../../../_server/request';

/** One unit with its record. */
export async function GET(request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const read = await readOrRefusal(request, z.object({}));
  if (read instanceof Response) return read;
  const number = tagNumber((await params).tag);
  const record = number === undefined ? undefined : await unitOfTag(read.db, number);
  return record === undefined ? problem(404, 'There is no such unit.') : Response.json(readRecordOf(record));
}
