import type { LiveRun } from '@/core/prove/live-run';
import { type RigRun, theRig } from '@/ports/rig-run';
import { problem } from '../../../../_server/door';
import { currentPerson } from '../../../../_server/who';

/** How often at the most a page is told, ms. */
const TELL_EVERY_MS = 200;
const ALIVE_EVERY_MS = 15_000;

/** The rig's run as server-sent events: all of it first, then what is new. */
export async function GET(request: Request): Promise<Response> {
  if ((await currentPerson()) === undefined) return problem(401, 'Sign in first.');
  const rig = theRig();
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const text = new TextEncoder();
      let [sent, sentRun, latest]: [number, string, RigRun | undefined] = [0, '', undefined];
      const tell = (): void => {
        if (latest === undefined) return;
        if (sentRun !== latest.order.runId) [sent, sentRun] = [0, latest.order.runId];
        const live = liveOf(latest, sent);
        sent = latest.samples.length;
        latest = undefined;
        controller.enqueue(text.encode(`data: ${JSON.stringify(live)}\n\n`));
      };
      const pace = setInterval(tell, TELL_EVERY_MS);
      const alive = setInterval(() => controller.enqueue(text.encode(': alive\n\n')), ALIVE_EVERY_MS);
      const leave = rig.follow((run) => {
        latest = run;
      });
      request.signal.addEventListener('abort', () => {
        clearInterval(pace);
        clearInterval(alive);
        leave();
        controller.close();
      });
    },
  });
  return new Response(stream, { headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' } });
}

const liveOf = (run: RigRun, from: number): LiveRun => ({
  ...run.order,
  rig: run.rig,
  speed: run.speed,
  state: run.state,
  because: run.because,
  samples: run.samples.slice(from),
  analysis: run.analysis,
});
