import { renderToBuffer } from '@react-pdf/renderer';
import { sayCovers } from '@/core/judge/say-covers';
import { currentGauging, currentVerdict } from '@/core/unit/facts-of';
import { lookedOf } from '@/core/unit/looked-of';
import { sayUnit, tagOf } from '@/core/unit/unit-record';
import { instrumentName } from '@/db/gauge/instruments';
import { everyone } from '@/db/people/people';
import { rulesInForce, rulesOf } from '@/db/rules/rules';
import { boreMapSvg, profileSvg } from '@/ui/print/bore-svg';
import { verdictPdf } from '@/ui/print/verdict-pdf';
import { problem } from '../../../../../_server/door';
import { pngOf } from '../../../../../_server/drawing-answer';
import { unitOrRefusal } from '../../../../../_server/unit-door';

/** The verdict on the unit's bore as it is now, on one sheet. */
export async function GET(_: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const found = await unitOrRefusal(params);
  if (found instanceof Response) return found;
  const { record, db } = found;
  const verdict = currentVerdict(record);
  const { geometry } = record.unit;
  if (verdict === undefined || geometry === null) return problem(404, 'This bore has not been judged as it is now.');
  const { rules } = await rulesInForce(db);
  const gauging = currentGauging(record);
  const gauge = gauging?.instrumentId == null ? undefined : await instrumentName(db, gauging.instrumentId);
  const looked = lookedOf(record, rules);
  const profile = await profileSvg(record, geometry, rules);
  const pdf = await renderToBuffer(
    verdictPdf({
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
      map: await pngOf(await boreMapSvg(record, geometry, rules)),
      profile: profile === undefined ? null : await pngOf(profile),
    }),
  );
  return new Response(new Uint8Array(pdf), { headers: { 'content-type': 'application/pdf', 'cache-control': 'private, no-store' } });
}
