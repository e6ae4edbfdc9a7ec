import { tagOf } from '@/core/unit/unit-record';
import { writeMarks } from '@/csv/marks-csv';
import { unitOrRefusal } from '../../../../../_server/unit-door';

/** The marks of the unit’s bore, as a table. */
export async function GET(_: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const unit = await unitOrRefusal(params);
  if (unit instanceof Response) return unit;
  const { record } = unit;
  return new Response(writeMarks(record.marks), {
    headers: { 'content-type': 'text/csv; charset=utf-8', 'content-disposition': `attachment; filename="${tagOf(record.unit)}-marks.csv"` },
  });
}
