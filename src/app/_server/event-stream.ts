/** So that nothing between server and page takes the line for dead, ms. */
const ALIVE_EVERY_MS = 15_000;

/** Server-sent events until the page goes. @param follow is given what sends one event, and gives back what ends the following */
export function eventStream(request: Request, follow: (send: (event: unknown) => void) => () => void): Response {
  const text = new TextEncoder();
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const leave = follow((event) => controller.enqueue(text.encode(`data: ${JSON.stringify(event)}\n\n`)));
      controller.enqueue(text.encode(': here\n\n'));
      const alive = setInterval(() => controller.enqueue(text.encode(': alive\n\n')), ALIVE_EVERY_MS);
      request.signal.addEventListener('abort', () => {
        clearInterval(alive);
        leave();
        controller.close();
      });
    },
  });
  return new Response(stream, { headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' } });
}
