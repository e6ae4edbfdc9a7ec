import { z } from 'zod';
import type { Sends } from '../schema/sends';
import { Id, Target } from '../schema/target';
import { MeasuredDoor } from './identify-door';

export const IdentifyUnit = z.object({ ...Target, fitmentId: Id, measured: MeasuredDoor });
export type IdentifyUnit = Sends<typeof IdentifyUnit>;
