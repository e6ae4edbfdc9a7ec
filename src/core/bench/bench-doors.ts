import { z } from 'zod';
import type { Sends } from '../schema/sends';
import { Target } from '../schema/target';
import { type BenchData, BenchDataDoor, VacuumSamples } from './bench-door';

/** What a person notes by hand; the rest is worked out from what was measured. */
export const NOTED_KINDS = ['touch', 'stroked', 'check-valve', 'rod-tip', 'pedal', 'hole'] as const;
export type Noted = Extract<BenchData, { readonly kind: (typeof NOTED_KINDS)[number] }>;
const isNoted = (data: BenchData): data is Noted => NOTED_KINDS.some((k) => k === data.kind);

export const NoteAtBench = z.object({ ...Target, data: BenchDataDoor.refine(isNoted, 'is not noted by hand') });
export type NoteAtBench = Sends<typeof NoteAtBench>;
export const SaveVacuum = z.object({ ...Target, rod: z.enum(['at-rest', 'pressed']), samples: VacuumSamples });
export type SaveVacuum = Sends<typeof SaveVacuum>;
