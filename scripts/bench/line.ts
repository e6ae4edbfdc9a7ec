/** One line of the table: what was measured, its peer or floor of the same run, the bar, and whether it holds. */
export type Line = { readonly what: string; readonly ours: string; readonly peer: string; readonly bar: string; readonly holds: boolean };

export const median = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? Number.NaN;
};

/** Milliseconds that some work takes. */
export const timed = async (work: () => unknown): Promise<number> => {
  const start = performance.now();
  await work();
  return performance.now() - start;
};
