import type { BleedEvent } from './bleed-event';
import type { BleedMethod } from './bleed-plan';
import type { System } from './system';

/** A bleed as it was done. `by`: the name of who did it. */
export type Bleed = {
  readonly id: string;
  readonly by: string;
  readonly startedAt: number;
  readonly method: BleedMethod;
  readonly system: System;
  readonly events: readonly BleedEvent[];
};
