/** Random numbers that a seed decides. */
export type Random = {
  /** From 0 up to but not 1, evenly. */
  readonly next: () => number;
  /** A whole number from 0 up to but not `below`. */
  readonly below: (below: number) => number;
  /** Standard normal. @source Box and Muller 1958 */
  readonly normal: () => number;
};

/** @source "mulberry32", Ettinger 2017: 32 bits of state, enough for draws that are no secret */
export const randomFrom = (seed: number): Random => {
  let state = seed | 0;
  const next = (): number => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
  return {
    next,
    below: (below) => Math.floor(next() * below),
    normal: () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next()),
  };
};
