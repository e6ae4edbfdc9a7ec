import { writeMarks } from '@/csv/marks-csv';
import { boreOrRefusal } from '../../../../../_server/unit-request';

/** The marks of the unit’s bore, as a table. */
export async function GET(request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const bore = await boreOrRefusal(request, params);
  if (bore instanceof Response) return bore;
  const { record, file } = bore;
  return new Response(writeMarks(record.marks), {
    headers: { 'content-type': 'text/csv; charset=utf-8', 'content-disposition': `attachment; filename="${file}-marks.csv"` },
  });
}
