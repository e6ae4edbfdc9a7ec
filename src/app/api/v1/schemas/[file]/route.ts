import { unitFileSchema } from '@/core/book/unit-file';
import { problem } from '../../../../_server/request';

/** What our files are described by: `unit.json`. Open to anybody, as the files themselves tell who reads them. */
export async function GET(_: Request, { params }: { params: Promise<{ file: string }> }): Promise<Response> {
  return (await params).file === 'unit.json' ? Response.json(unitFileSchema()) : problem(404, 'There is no such schema.');
}
