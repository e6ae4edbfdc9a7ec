import { NextResponse } from 'next/server';
import { fittingAddressOf } from '../../../../../_server/fitting-address';
import { unitOrRefusal } from '../../../../../_server/unit-request';

/** To the fitting sheet of a unit, for whoever works here. */
export async function GET(request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const found = await unitOrRefusal(params);
  return found instanceof Response ? found : NextResponse.redirect(await fittingAddressOf(found.db, found.record, request.headers));
}
