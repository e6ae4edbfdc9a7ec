import { z } from 'zod';
import type { Sends } from '../schema/sends';
import { Target } from '../schema/target';
import { GapSheetSchema } from './gap-schema';

export const SaveGap = z.object({ ...Target, way: z.enum(['depths', 'rod-play']), sheet: GapSheetSchema });
export type SaveGap = Sends<typeof SaveGap>;
