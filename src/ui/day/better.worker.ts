import { betterAndBetter } from '@/core/day/keep';
import type { Schedule } from '@/core/day/schedule';
import type { ScheduleRequest } from '@/core/day/schedule-schema';

/** What to look at, and for how long, ms; null: stop. */
export type LookInput = { readonly request: ScheduleRequest; readonly forMs: number } | null;
/** How far the search is; the plan is the best so far. */
export type Looked = {
  readonly tries: number;
  readonly ms: number;
  readonly over: 'over' | 'going on';
  readonly schedule: Schedule | undefined;
};

/** Between two words to the page, ms. */
const SAY_EVERY_MS = 250;
/** After so long without anything better it is over, ms. */
const NOTHING_MS = 4000;
let newest = 0;

addEventListener('message', async ({ data }: MessageEvent<LookInput>) => {
  newest += 1;
  const mine = newest;
  if (data === null) return;
  const begun = performance.now();
  let [said, found, tries] = [begun, begun, 0];
  let schedule: Schedule | undefined;
  for (const step of betterAndBetter(data.request)) {
    tries = step.tries;
    const now = performance.now();
    if (step.schedule !== null) [schedule, found] = [step.schedule, now];
    if (now - begun > data.forMs || now - found > NOTHING_MS) break;
    if (now - said < SAY_EVERY_MS) continue;
    said = now;
    postMessage({ tries, ms: now - begun, over: 'going on', schedule } satisfies Looked);
    // Lets a stop or a newer question in.
    await new Promise((go) => setTimeout(go));
    if (mine !== newest) return;
  }
  postMessage({ tries, ms: performance.now() - begun, over: 'over', schedule } satisfies Looked);
});
