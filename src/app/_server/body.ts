import { fail, ok, type Result } from '@/core/result';
import { problem } from './request';

/** So much of a body that is too large is still taken off its line, so that the connection lives on, bytes. */
const MOST_DROPPED = 256 * 1024 * 1024;

/** The whole body of a request, counted while it arrives: of one that is too large nothing is kept. @param mostMb in 1024² bytes */
export async function bodyOf(request: Request, mostMb: number): Promise<Result<Uint8Array<ArrayBuffer>, Response>> {
  const most = mostMb * 1024 * 1024;
  let pieces: Uint8Array[] = [];
  let length = 0;
  try {
    for await (const piece of (request.body ?? []) as AsyncIterable<Uint8Array>) {
      length += piece.length;
      if (length <= most) pieces.push(piece);
      else pieces = [];
      if (length > MOST_DROPPED) break;
    }
  } catch {
    // Whoever sent it is gone.
    return fail(problem(400, 'It did not arrive whole; send it again.'));
  }
  if (length > most) return fail(problem(413, `The body is larger than ${mostMb} MB.`));
  const whole = new Uint8Array(length);
  let at = 0;
  for (const piece of pieces) {
    whole.set(piece, at);
    at += piece.length;
  }
  return ok(whole);
}
