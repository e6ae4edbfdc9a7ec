import { z } from 'zod';
import { MOST_POTS } from './pots';

/** Which bore of a unit, from 1; the first where nothing is said. */
export const PotNo = z.number().int().min(1).max(MOST_POTS).default(1);
