import { sayDepth, sayDia, sayLength } from '../quantity/say';
import type { Units } from '../quantity/units';
import type { BoreOutcome } from './outcome';
import type { Flip } from './what-would-change';

const WOULD: { readonly [O in BoreOutcome]: string } = {
  reuse: 'it could be used as it is',
  polish: 'a polish would do',
  hone: 'it could be honed',
  sleeve: 'it would need a sleeve',
  scrap: 'it would be scrap',
  undecided: 'it would be undecided',
};

/** A change that would flip a judgement, in one sentence with its numbers. */
export const sayFlip = (f: Flip, units: Units): string => {
  const then = `${WOULD[f.outcome]}.`;
  switch (f.what) {
    case 'depth':
      return `Were ${f.markId} ${sayDepth(Math.abs(f.byUm), units)} ${f.byUm < 0 ? 'less deep' : 'deeper'}, at ${sayDepth(f.toUm, units)}, ${then}`;
    case 'place':
      return `Did ${f.markId} lie ${sayLength(Math.abs(f.byMm), units)} ${units.length} nearer the ${f.byMm < 0 ? 'open' : 'far'} end, ${then}`;
    case 'limit':
      return `Were the limit ${sayDia(Math.abs(f.byMm), units)} ${units.length} ${f.byMm < 0 ? 'tighter' : 'wider'}, at ${sayDia(f.toMm, units)}, ${then}`;
  }
};
