import { z } from 'zod';
import type { Sends } from '../schema/sends';
import { Id } from '../schema/target';
import { VariantSchema } from './variant-schema';

export const SaveVariant = z.object({ id: Id, replaces: Id.nullable(), variant: VariantSchema });
export type SaveVariant = Sends<typeof SaveVariant>;
