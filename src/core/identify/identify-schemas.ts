import { z } from 'zod';
import type { Sends } from '../schema/sends';
import { Id, Target } from '../schema/target';
import { MeasuredSchema } from './identify-schema';

export const IdentifyUnit = z.object({ ...Target, fitmentId: Id, measured: MeasuredSchema });
export type IdentifyUnit = Sends<typeof IdentifyUnit>;
