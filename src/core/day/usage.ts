/** Two moments that differ by less are one, min. */
export const SAME = 1e-9;

/** How many use something at each moment. Times are kept as steps: from `times[i]` on there are `counts[i]`. */
export class Usage {
  private readonly times: number[] = [Number.NEGATIVE_INFINITY];
  private readonly counts: number[];

  /** @param always how many use it at every moment, before anything is added */
  constructor(always = 0) {
    this.counts = [always];
  }

  /** One more, or one less, from a moment to another. */
  add(from: number, to: number, by: 1 | -1): void {
    if (to - from <= SAME) return;
    const [first, last] = [this.cut(from), this.cut(to)];
    for (let i = first; i < last; i++) this.counts[i] = (this.counts[i] as number) + by;
    this.join(last);
    this.join(first);
  }

  /** The first moment from `from` on that has fewer than `most` for so long; Infinity where it is never. */
  earliest(from: number, minutes: number, most: number): number {
    const { times, counts } = this;
    let at = from;
    for (let i = this.stepAt(from); i < times.length; i++) {
      const end = times[i + 1] ?? Number.POSITIVE_INFINITY;
      if ((counts[i] as number) >= most) at = end;
      else if (at + minutes <= end + SAME) return at;
    }
    return Number.POSITIVE_INFINITY;
  }

  /** The step that a moment lies in; one that begins with it counts. */
  private stepAt(at: number): number {
    let [low, high] = [0, this.times.length - 1];
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if ((this.times[middle] as number) <= at + SAME) low = middle;
      else high = middle - 1;
    }
    return low;
  }

  /** Makes a step begin at a moment. @returns which */
  private cut(at: number): number {
    const i = this.stepAt(at);
    if (Math.abs((this.times[i] as number) - at) <= SAME) return i;
    this.times.splice(i + 1, 0, at);
    this.counts.splice(i + 1, 0, this.counts[i] as number);
    return i + 1;
  }

  /** A step that is as the one before it is none. */
  private join(i: number): void {
    if (i === 0 || i >= this.times.length || this.counts[i] !== this.counts[i - 1]) return;
    this.times.splice(i, 1);
    this.counts.splice(i, 1);
  }
}
