import { z } from 'zod';
import type { Sends } from '../schema/sends';
import { Target } from '../schema/target';
import { GapSheetDoor } from './gap-door';

export const SaveGap = z.object({ ...Target, way: z.enum(['depths', 'rod-play']), sheet: GapSheetDoor });
export type SaveGap = Sends<typeof SaveGap>;
