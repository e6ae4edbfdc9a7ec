import type { Result } from '@/core/result';

/** A stand-in only does what the shop accepts: anything refused is a fault in what it was told to do. */
export const must = async <T, E>(result: Promise<Result<T, E>>): Promise<T> => {
  const settled = await result;
  if (!settled.ok) throw new Error(`something was done that is refused: ${JSON.stringify(settled.error)}`);
  return settled.value;
};
