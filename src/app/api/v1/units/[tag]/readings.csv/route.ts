import { writeReadings } from '@/csv/readings-csv';
import { boreOrRefusal } from '../../../../../_server/unit-request';

/** The unit’s newest readings, as a table. */
export async function GET(request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const bore = await boreOrRefusal(request, params);
  if (bore instanceof Response) return bore;
  const { record, file } = bore;
  return new Response(writeReadings(record.gaugings.at(-1)?.readings ?? []), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="${file}-readings.csv"`,
    },
  });
}
