import { z } from 'zod';
import type { Sends } from '../schema/sends';
import { Target } from '../schema/target';
import { NotedSchema, VacuumSamples } from './bench-schema';

/** What a person notes by hand; the rest is worked out from what was measured. */
export const NoteAtBench = z.object({ ...Target, data: NotedSchema });
export type NoteAtBench = Sends<typeof NoteAtBench>;
export const SaveVacuum = z.object({ ...Target, rod: z.enum(['at-rest', 'pressed']), samples: VacuumSamples });
export type SaveVacuum = Sends<typeof SaveVacuum>;
