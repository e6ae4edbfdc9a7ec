import { sayCovers } from '@/core/judge/say-covers';
import { currentGauging, currentVerdict } from '@/core/unit/facts-of';
import { lookedOf } from '@/core/unit/looked-of';
import { sayUnit, tagOf } from '@/core/unit/unit-record';
import { instrumentName } from '@/db/gauge/instruments';
import { everyone } from '@/db/people/people';
import { rulesInForce, rulesOf } from '@/db/rules/rules';
import { inPool } from '@/pool/pool';
import { paperAnswer } from '../../../../../_server/paper-answer';
import { problem } from '../../../../../_server/request';
import { boreOrRefusal } from '../../../../../_server/unit-request';

/** The verdict on the unit's bore as it is now, on one sheet. */
export async function GET(request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const found = await boreOrRefusal(request, params);
  if (found instanceof Response) return found;
  const { record, geometry, db } = found;
  const verdict = currentVerdict(record);
  if (verdict === undefined) return problem(404, 'This bore has not been judged as it is now.');
  const { rules } = await rulesInForce(db);
  const gauging = currentGauging(record);
  const gauge = gauging?.instrumentId == null ? undefined : await instrumentName(db, gauging.instrumentId);
  const looked = lookedOf(record, rules);
  const sheet = await inPool('verdict', {
    record,
    geometry,
    rules,
    sheet: {
      tag: tagOf(record.unit),
      unit: sayUnit(record),
      machine: record.job.machine,
      customer: record.job.customer,
      judgedAt: verdict.at,
      judgedBy: (await everyone(db)).find((p) => p.id === verdict.personId)?.name ?? verdict.personId,
      rulesVersion: (await rulesOf(db, verdict.id)) ?? null,
      gauge: gauge === undefined ? '' : `Gauged with ${gauge}.`,
      answer: verdict.answer,
      covers: looked === undefined ? [] : sayCovers(looked),
    },
  });
  return paperAnswer(sheet);
}
