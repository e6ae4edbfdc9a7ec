/** A seeded random source, so that the demo is the same every time. @source Tommy Ettinger's mulberry32 */
export const seeded = (seed: number) => {
  let state = seed;
  const next = (): number => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return {
    next,
    between: (low: number, high: number): number => low + (high - low) * next(),
    pick: <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)] as T,
    normal: (sigma: number): number => sigma * Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next()),
  };
};
export type Random = ReturnType<typeof seeded>;
