import { fail, ok, type Result } from '@/core/result';
import { problem } from './door';

/** The whole body of a request, counted while it arrives: what is larger is refused when it is, and the rest is not kept. @param mostMb in 1024² bytes */
export async function bodyOf(request: Request, mostMb: number): Promise<Result<Uint8Array<ArrayBuffer>, Response>> {
  const most = mostMb * 1024 * 1024;
  const tooLarge = () => fail(problem(413, `The body is larger than ${mostMb} MB.`));
  if (Number(request.headers.get('content-length') ?? 0) > most) return tooLarge();
  const pieces: Uint8Array[] = [];
  let length = 0;
  for await (const piece of (request.body ?? []) as AsyncIterable<Uint8Array>) {
    length += piece.length;
    if (length > most) return tooLarge();
    pieces.push(piece);
  }
  const whole = new Uint8Array(length);
  let at = 0;
  for (const piece of pieces) {
    whole.set(piece, at);
    at += piece.length;
  }
  return ok(whole);
}
