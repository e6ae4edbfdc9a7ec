import type { ComponentProps } from 'react';
import { late } from '../shell/late';
import type { LineChart as Chart } from './line-chart';

/** A chart that is fetched when it is first shown. */
export const LineChart = late<ComponentProps<typeof Chart>>(async () => (await import('./line-chart')).LineChart);
