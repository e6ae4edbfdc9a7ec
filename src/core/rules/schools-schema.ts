import { z } from 'zod';
import { MATERIALS } from '../family/material';
import { SCHOOLS } from './school';
import type { Schools } from './schools';

export const SchoolsSchema = z.partialRecord(z.enum(MATERIALS), z.enum(SCHOOLS)) as unknown as z.ZodType<Schools, Schools>;
