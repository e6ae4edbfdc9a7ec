import { z } from 'zod';
import { DaysOffSchema, HoursSchema } from '../shop/hours-schema';
import { STATIONS } from '../station';

/** When somebody works, and at what. */
export const WorkSchema = z.object({ skills: z.array(z.enum(STATIONS)).max(STATIONS.length), hours: HoursSchema, daysOff: DaysOffSchema });
export type Work = z.output<typeof WorkSchema>;
