import type { Result } from '@/core/result';

/** The demo is made of work that the shop would accept; anything refused is a fault in the scenario. */
export const must = async <T, E>(result: Promise<Result<T, E>>): Promise<T> => {
  const settled = await result;
  if (!settled.ok) throw new Error(`the demo did something that is refused: ${JSON.stringify(settled.error)}`);
  return settled.value;
};
