import { type SimulationInput, simulation } from '@/core/hone/simulation';

/** Strokes between two frames: a few ms of work, so that the drawing moves as a hone does. */
const STROKES_A_FRAME = 3;

let newest = 0;

/** Runs the newest simulation asked for; an older one is left where it is. */
addEventListener('message', async ({ data }: MessageEvent<SimulationInput>) => {
  newest += 1;
  const mine = newest;
  for (const frame of simulation(data, STROKES_A_FRAME)) {
    postMessage(frame);
    // Lets a newer question in.
    await new Promise((go) => setTimeout(go));
    if (mine !== newest) return;
  }
});
