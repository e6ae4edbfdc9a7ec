import { travellerOf } from '@/core/release/traveller';
import { drawnParts } from '@/core/unit/drawn-parts';
import { inPool } from '@/pool/pool';
import { unitAddress } from '@/ui/print/label';
import { shopOrigin } from '../../../../../_server/door';
import { paperAnswer } from '../../../../../_server/paper-answer';
import { unitOrRefusal } from '../../../../../_server/unit-door';

/** The sheet that travels with the unit, as it stands. */
export async function GET(request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const found = await unitOrRefusal(params);
  if (found instanceof Response) return found;
  const { record } = found;
  const { geometry } = record.unit;
  const { family } = record;
  const traveller = await inPool('traveller', {
    sheet: travellerOf(record),
    section: geometry === null ? null : { family, geometry, parts: drawnParts(record), view: 'together' },
    paper: { address: unitAddress(record, shopOrigin(request.headers)), printedAt: Date.now() },
  });
  return paperAnswer(traveller);
}
