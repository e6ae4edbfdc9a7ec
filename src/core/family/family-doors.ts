import { z } from 'zod';
import type { Sends } from '../schema/sends';
import { Id } from '../schema/target';
import { VariantDoor } from './variant-door';

export const SaveVariant = z.object({ id: Id, replaces: Id.nullable(), variant: VariantDoor });
export type SaveVariant = Sends<typeof SaveVariant>;
