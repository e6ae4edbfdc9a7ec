import { boreMapAnswer } from '../../../../../_server/bore-map-answer';

export const GET = (_: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> => boreMapAnswer(params, 'png');
