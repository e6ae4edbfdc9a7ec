import type { DayFacts } from '@/core/plan/day-facts';
import type { DayPlan } from '@/core/plan/day-plan';
import { type Help, helpsFor } from '@/core/plan/helps';

/** Null: stop. */
export type HelpsInput = { readonly facts: DayFacts; readonly plan: DayPlan } | null;
export type HelpsFound = { readonly tried: number; readonly of: number; readonly best: readonly Help[] };

let newest = 0;

addEventListener('message', async ({ data }: MessageEvent<HelpsInput>) => {
  newest += 1;
  const mine = newest;
  if (data === null) return;
  for (const found of helpsFor(data.facts, data.plan)) {
    postMessage(found satisfies HelpsFound);
    await new Promise((go) => setTimeout(go));
    if (mine !== newest) return;
  }
});
