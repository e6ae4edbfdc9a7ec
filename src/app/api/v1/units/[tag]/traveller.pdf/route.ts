import { travellerOf } from '@/core/release/traveller';
import { boreDrawings } from '@/core/unit/bore-drawing';
import { drawnParts } from '@/core/unit/drawn-parts';
import { unitAddress } from '@/papers/label';
import { inPool } from '@/pool/pool';
import { paperAnswer } from '../../../../../_server/paper-answer';
import { shopOrigin } from '../../../../../_server/request';
import { unitOrRefusal } from '../../../../../_server/unit-request';

/** The sheet that travels with the unit, as it stands. */
export async function GET(request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const found = await unitOrRefusal(params);
  if (found instanceof Response) return found;
  const { record } = found;
  const { family, unit } = record;
  const traveller = await inPool('traveller', {
    sheet: travellerOf(record),
    section: unit.geometry === null ? null : { family, bores: boreDrawings(family, unit), parts: drawnParts(record), view: 'together' },
    paper: { address: unitAddress(record, shopOrigin(request.headers)), printedAt: Date.now() },
  });
  return paperAnswer(traveller);
}
