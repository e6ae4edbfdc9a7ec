import { median } from '../statistics/summary';
import type { RigSample } from './rig-sample';

/** Neighbours on either side that a sample is held against, and how far it may stand out from them, in spreads of all samples from theirs. */
const [NEIGHBOURS, SPREADS] = [3, 8];
/** At an end or a gap settling itself stands out from its neighbours, by less than so many times their own range. */
const ONE_SIDED = 3;

/** Samples of one phase that stand out alone: a knock, a contact, never the pressure of a fluid. @returns the rest, and how many were left out */
export const withoutSpikes = (samples: readonly RigSample[]): { readonly kept: readonly RigSample[]; readonly spikes: number } => {
  const spanS = (i: number): number => (samples[i + NEIGHBOURS]?.t ?? Number.NaN) - (samples[i - NEIGHBOURS]?.t ?? Number.NaN);
  const usualS = median(samples.map((_, i) => spanS(i)).filter((s) => s > 0));
  const stands = samples.map((s, i): Stand => {
    const [before, after] = [samples.slice(Math.max(0, i - NEIGHBOURS), i).reverse(), samples.slice(i + 1, i + 1 + NEIGHBOURS)];
    // The middle of two neighbours as far away on either side lies on a slope itself; how far such middles lie apart is its bend.
    if (spanS(i) <= 2 * usualS)
      return against(
        s.p,
        before.map((b, k) => (b.p + (after[k]?.p ?? b.p)) / 2),
        1,
      );
    return against(
      s.p,
      [...before, ...after].map((a) => a.p),
      ONE_SIDED,
    );
  });
  const usual = median(stands.map((s) => s.apart));
  const kept = samples.filter((_, i) => !(usual > 0 && (stands[i] as Stand).beyond > SPREADS * usual));
  return { kept, spikes: samples.length - kept.length };
};

/** How far a sample is from the middle of its neighbours, and by how much of that it is beyond what they differ by. */
type Stand = { readonly apart: number; readonly beyond: number };

const against = (p: number, around: readonly number[], ranges: number): Stand => {
  const apart = Math.abs(p - median(around));
  return { apart, beyond: apart - ranges * (Math.max(...around) - Math.min(...around)) };
};
