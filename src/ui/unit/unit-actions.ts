import type { Result } from '@/core/result';
import type { Target } from '@/core/schema/target';
import type { SaveError } from '@/core/unit/save-error';

export type UnitTarget = { readonly unitId: string; readonly version: number };
/** A change to a unit, done on the server. @typeParam I what its schema takes */
export type SaveAction<I> = (input: I) => Promise<Result<{ readonly unitId: string; readonly version: number }, SaveError>>;
/** What a page gives of it; the rest is the same for every change. */
export type Payload<I> = I extends unknown ? Omit<I, keyof Target> : never;
