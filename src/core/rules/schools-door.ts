import { z } from 'zod';
import { MATERIALS } from '../bore/material';
import { SCHOOLS } from '../bore/school';
import type { Schools } from './schools';

export const SchoolsDoor = z.partialRecord(z.enum(MATERIALS), z.enum(SCHOOLS)) as unknown as z.ZodType<Schools>;
