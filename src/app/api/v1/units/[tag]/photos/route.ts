import { unitOrRefusal } from '../../../../../_server/unit-request';

/** All photos of a unit, oldest first, for who asks to see more than the page shows. */
export async function GET(_: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const unit = await unitOrRefusal(params);
  return unit instanceof Response ? unit : Response.json(unit.record.photos);
}
