import type { Person } from '@/core/people/role';
import { shopDb } from '@/db/engine/connection';
import { isStillIn } from '@/db/people/people';
import { problem } from './request';

/** So that nothing between server and page takes the line for dead; and as often it is asked whether its person is still signed in, ms. */
const ALIVE_EVERY_MS = 15_000;
/** Lines that one person's pages hold open at once; a browser holds fewer. */
const MOST_LINES = 12;
const open = new Map<string, number>();
const count = (personId: string, by: number): void => {
  const n = (open.get(personId) ?? 0) + by;
  if (n > 0) open.set(personId, n);
  else open.delete(personId);
};

/**
 * Server-sent events until the page goes or its person signs out.
 * @param follow is given what sends one event, and gives back what ends the following
 */
export function eventStream(request: Request, person: Person, follow: (send: (event: unknown) => void) => () => void): Response {
  if ((open.get(person.id) ?? 0) >= MOST_LINES) return problem(429, 'Too many pages of yours follow along: close some.');
  const text = new TextEncoder();
  count(person.id, 1);
  let end = (): void => count(person.id, -1);
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const leave = follow((event) => controller.enqueue(text.encode(`data: ${JSON.stringify(event)}\n\n`)));
      controller.enqueue(text.encode(': here\n\n'));
      let over = false;
      end = (): void => {
        if (over) return;
        over = true;
        clearInterval(alive);
        leave();
        count(person.id, -1);
        try {
          controller.close();
        } catch {
          // Its reader has gone, and closed it already.
        }
      };
      const alive = setInterval(async () => {
        const still = await shopDb()
          .then((db) => isStillIn(db, request.headers, person.id, Date.now()))
          .catch(() => false);
        if (over) return;
        if (!still) end();
        else controller.enqueue(text.encode(': alive\n\n'));
      }, ALIVE_EVERY_MS);
      if (request.signal.aborted) end();
      else request.signal.addEventListener('abort', end);
    },
    cancel: () => end(),
  });
  return new Response(stream, { headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' } });
}
