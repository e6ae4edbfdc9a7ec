import { sectionAnswer } from '../../../../../_server/section-answer';

export const GET = (request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> =>
  sectionAnswer(request, params, 'png');
