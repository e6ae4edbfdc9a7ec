import type { Result } from '@/core/result';
import type { SaveError } from '@/core/unit/save-error';

export type UnitTarget = { readonly unitId: string; readonly version: number };
/** A change to a unit, done on the server. */
export type SaveAction = (input: unknown) => Promise<Result<{ readonly unitId: string; readonly version: number }, SaveError>>;
