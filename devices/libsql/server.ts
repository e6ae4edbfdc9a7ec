import { randomUUID } from 'node:crypto';
import { createServer, type IncomingMessage } from 'node:http';
import Database from 'libsql';
import { z } from 'zod';
import { Stream, StreamRequest } from './stream';

// The stand-in database server: speaks Hrana over HTTP (pipelines, with a baton from each to the next) over a libSQL file of its own.
// EDDRIN_LIBSQL_FILE, EDDRIN_LIBSQL_PORT (0 for any), EDDRIN_LIBSQL_DELAY_MS: so long each answer takes on its way; EDDRIN_LIBSQL_IDLE_MS: a
// stream that nobody goes on with for so long is closed, and what it had begun undone.

const {
  EDDRIN_LIBSQL_FILE: file = '',
  EDDRIN_LIBSQL_PORT: port = '0',
  EDDRIN_LIBSQL_DELAY_MS: delay = '0',
  EDDRIN_LIBSQL_IDLE_MS: idle = '10000',
} = process.env;

const Pipeline = z.object({ baton: z.string().nullish(), requests: z.array(StreamRequest) });
type Held = { readonly stream: Stream; readonly clock: NodeJS.Timeout };
const held = new Map<string, Held>();

const first = new Database(file);
first.pragma('journal_mode = WAL');
first.close();

const hold = (stream: Stream): string => {
  const baton = randomUUID();
  const clock = setTimeout(() => {
    held.delete(baton);
    stream.close();
  }, Number(idle));
  held.set(baton, { stream, clock });
  return baton;
};

/** The stream that a baton stands for, or a new one; undefined where the baton is none. */
const taken = (baton: string | null | undefined): Stream | undefined => {
  if (baton == null) return new Stream(file);
  const known = held.get(baton);
  held.delete(baton);
  clearTimeout(known?.clock);
  return known?.stream;
};

const pipeline = async (body: unknown): Promise<{ readonly status: number; readonly answer: object }> => {
  const asked = Pipeline.safeParse(body);
  if (!asked.success) return { status: 400, answer: { message: asked.error.message } };
  const stream = taken(asked.data.baton);
  if (stream === undefined) return { status: 400, answer: { message: 'that stream has ended', code: 'STREAM_EXPIRED' } };
  const results: object[] = [];
  for (const request of asked.data.requests) results.push(await stream.answer(request));
  const ends = asked.data.requests.some((r) => r.type === 'close');
  if (ends) stream.close();
  return { status: 200, answer: { baton: ends ? null : hold(stream), base_url: null, results } };
};

const bodyOf = async (request: IncomingMessage): Promise<unknown> => {
  const parts: Buffer[] = [];
  for await (const part of request) parts.push(part as Buffer);
  return JSON.parse(Buffer.concat(parts).toString('utf8'));
};

const server = createServer(async (request, response) => {
  const known = request.url === '/v2' || request.url === '/v2/pipeline';
  const { status, answer } =
    request.method === 'POST' && request.url === '/v2/pipeline'
      ? await pipeline(await bodyOf(request))
      : { status: known ? 200 : 404, answer: {} };
  setTimeout(() => {
    response.writeHead(status, { 'content-type': 'application/json' });
    response.end(JSON.stringify(answer));
  }, Number(delay));
});
server.listen(Number(port), '127.0.0.1', () => {
  console.log(`the stand-in database listens on http://127.0.0.1:${(server.address() as { port: number }).port}`);
});
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => process.exit(0));
