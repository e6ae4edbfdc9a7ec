import { tagOf } from '@/core/unit/unit-record';
import { writeReadings } from '@/csv/readings-csv';
import { unitOrRefusal } from '../../../../../_server/unit-door';

/** The unit’s newest readings, as a table. */
export async function GET(_: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const unit = await unitOrRefusal(params);
  if (unit instanceof Response) return unit;
  const { record } = unit;
  return new Response(writeReadings(record.gaugings.at(-1)?.readings ?? []), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="${tagOf(record.unit)}-readings.csv"`,
    },
  });
}
