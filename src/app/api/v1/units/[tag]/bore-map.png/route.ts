import { boreMapAnswer } from '../../../../../_server/bore-map-answer';

export const GET = (request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> =>
  boreMapAnswer(request, params, 'png');
