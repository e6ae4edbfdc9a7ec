import { inPool } from '@/pool/pool';
import { fittingAtKey } from '../../../../_server/fitting-now';
import { paperAnswer } from '../../../../_server/paper-answer';
import { problem, shopOrigin } from '../../../../_server/request';

/** The fitting sheet on paper, for whoever has its address. */
export async function GET(request: Request, { params }: { params: Promise<{ tag: string; key: string }> }): Promise<Response> {
  const at = await params;
  const found = await fittingAtKey(at, new URL(request.url).searchParams.get('units'), request.headers);
  if (found.kind === 'too-many') return problem(429, 'Too much was asked from your address at once. Wait a minute.');
  if (found.kind === 'none') return problem(404, 'There is no such fitting sheet.');
  return paperAnswer(await inPool('fitting-sheet', [found.sheet, `${shopOrigin(request.headers)}/fitting/${at.tag}/${at.key}`]));
}
