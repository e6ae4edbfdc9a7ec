import type { DayFacts } from '@/core/plan/day-facts';
import { type Comparison, compared } from '@/core/plan/helps';
import type { Supposed } from '@/core/plan/what-if';

export type WhatIfInput = { readonly facts: DayFacts; readonly supposed: readonly Supposed[] };
export type WhatIfAnswer = { readonly supposed: readonly Supposed[]; readonly comparison: Comparison };

addEventListener('message', ({ data: { facts, supposed } }: MessageEvent<WhatIfInput>) => {
  if (supposed.length > 0) postMessage({ supposed, comparison: compared(facts, supposed) } satisfies WhatIfAnswer);
});
