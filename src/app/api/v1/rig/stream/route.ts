import type { LiveRun } from '@/core/prove/live-run';
import type { RigRun } from '@/ports/rig-run';
import { eventStream } from '../../../../_server/event-stream';
import { problem } from '../../../../_server/request';
import { rigHere } from '../../../../_server/rig-here';
import { currentPerson } from '../../../../_server/who';

/** How often at the most a page is told, ms. */
const TELL_EVERY_MS = 200;

/** The rig's run as server-sent events: all of it first, then what is new. */
export async function GET(request: Request): Promise<Response> {
  const person = await currentPerson();
  if (person === undefined) return problem(401, 'Sign in first.');
  return eventStream(request, person, (send) => {
    let [sent, sentRun, latest]: [number, string, RigRun | undefined] = [0, '', undefined];
    const pace = setInterval(() => {
      if (latest === undefined) return;
      if (sentRun !== latest.order.runId) [sent, sentRun] = [0, latest.order.runId];
      send(liveOf(latest, sent));
      sent = latest.samples.length;
      latest = undefined;
    }, TELL_EVERY_MS);
    const leave = rigHere().follow(new URL(request.url).searchParams.get('page') ?? '', (run) => {
      latest = run;
    });
    return () => {
      clearInterval(pace);
      leave();
    };
  });
}

const liveOf = ({ order: { holder: _, ...order }, ...run }: RigRun, from: number): LiveRun => ({
  ...order,
  rig: run.rig,
  speed: run.speed,
  state: run.state,
  because: run.because,
  samples: run.samples.slice(from),
  analysis: run.analysis,
});
