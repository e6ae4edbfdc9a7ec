import { causesOfUnit } from '@/core/unit/unit-causes';
import { causeModel, finishedUnits } from '@/db/book-in/findings';
import { unitOrRefusal } from '../../../../../_server/unit-request';

/** What may be behind the complaint of a unit, as the shop's likelihoods and the tests made so far have it. */
export async function GET(_: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const unit = await unitOrRefusal(params);
  if (unit instanceof Response) return unit;
  const [model, finished] = await Promise.all([causeModel(unit.db), finishedUnits(unit.db)]);
  return Response.json(causesOfUnit(unit.record, model.likelihoods, finished));
}
