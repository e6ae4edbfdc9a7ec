import type { StepOf } from './step';

/** Steps at which a unit is left standing, before and after. */
export type StandingStep = StepOf<'sink' | 'weep'>;
export const isStanding = (step: { readonly kind: string }): step is StandingStep => step.kind === 'sink' || step.kind === 'weep';

/** How long it stands, ms. */
export const standsMs = (step: StandingStep): number => (step.kind === 'weep' ? step.hours * 3_600_000 : step.holdS * 1000);

/** What its wait is called. */
export const standingWait = (step: StandingStep): string => (step.kind === 'weep' ? 'overnight weep check' : 'slow sink');
