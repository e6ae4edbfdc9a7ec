import { cookies } from 'next/headers';
import { IMPERIAL, METRIC, type Units } from '@/core/quantity/units';

/** The person's units at this bench; metric until they switch with `u`. */
export const unitsOf = async (): Promise<Units> => ((await cookies()).get('units')?.value === 'imperial' ? IMPERIAL : METRIC);
