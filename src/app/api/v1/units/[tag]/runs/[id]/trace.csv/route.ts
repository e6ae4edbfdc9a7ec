import { sayStep } from '@/core/prove/programme/say-step';
import { RUN_WAYS } from '@/core/prove/run-way';
import { METRIC } from '@/core/quantity/units';
import { tagOf } from '@/core/unit/unit-record';
import { writeTrace } from '@/csv/trace-csv';
import { runOf } from '@/db/prove/prove';
import { problem } from '../../../../../../../_server/request';
import { unitOrRefusal } from '../../../../../../../_server/unit-request';

type Params = { params: Promise<{ tag: string; id: string }> };

/** One run of the unit as a table, with what it is of in comment lines. */
export async function GET(_: Request, { params }: Params): Promise<Response> {
  const unit = await unitOrRefusal(params);
  if (unit instanceof Response) return unit;
  const run = await runOf(unit.db, (await params).id);
  if (run === undefined || run.unitId !== unit.record.unit.id) return problem(404, 'This unit has no such run.');
  const tag = tagOf(unit.record.unit);
  const comments = [
    `unit ${tag}`,
    `step ${sayStep(run.step, METRIC)}, programme version ${run.programme}`,
    `${RUN_WAYS[run.way]}, ${run.state}, ${new Date(run.startedAt).toISOString()}`,
    ...(run.sentence === '' ? [] : [run.sentence]),
  ];
  return new Response(writeTrace(run.samples, comments), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="${tag}-${run.stepId}.csv"`,
    },
  });
}
