'use client';

import type { ComponentProps } from 'react';
import { late } from '../shell/late';
import type { Failed } from './failed';
import type { RunWays } from './run-ways';
import type { SeenForm } from './seen-form';
import type { Standing } from './standing';
import type { Residuals, Trace } from './trace';

// What a step needs is fetched with the step: the page opens light.
export const FailedLate = late<ComponentProps<typeof Failed>>(async () => (await import('./failed')).Failed);
export const RunWaysLate = late<ComponentProps<typeof RunWays>>(async () => (await import('./run-ways')).RunWays);
export const SeenLate = late<ComponentProps<typeof SeenForm>>(async () => (await import('./seen-form')).SeenForm);
export const StandingLate = late<ComponentProps<typeof Standing>>(async () => (await import('./standing')).Standing);
export const TraceLate = late<ComponentProps<typeof Trace>>(async () => (await import('./trace')).Trace);
export const ResidualsLate = late<ComponentProps<typeof Residuals>>(async () => (await import('./trace')).Residuals);
