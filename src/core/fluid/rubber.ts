import type { Dims } from '../family/dims';
import type { Base } from './fluid';

/** Rubbers of seals. @source design, domain, "Fluids and what touches rubber" */
export const RUBBERS = { epdm: 'EPDM', sbr: 'SBR', nbr: 'NBR' } as const;
export type RubberName = keyof typeof RUBBERS;
export const RUBBER_NAMES = Object.keys(RUBBERS) as [RubberName, ...RubberName[]];

export type Bears = 'good' | 'poor' | 'swells';

/** How a rubber bears a base that it lies in. @source design, domain, table of rubbers */
export const bears = (rubber: RubberName, base: Base): Bears => {
  if (base === 'silicone') return 'good';
  if (rubber === 'nbr') return base === 'mineral' ? 'good' : 'poor';
  return base === 'glycol' ? 'good' : 'swells';
};

/** The rubber that a catalogue states, however it writes it; undefined for any other word. */
export const rubberNamed = (word: unknown): RubberName | undefined =>
  typeof word === 'string' ? RUBBER_NAMES.find((r) => r === word.trim().toLowerCase()) : undefined;

/** The rubbers that bags name for what is in them, each once. */
export const statedRubbers = (bags: readonly { readonly items: readonly { readonly dims: Dims }[] }[]): readonly RubberName[] => [
  ...new Set(bags.flatMap((b) => b.items.flatMap((i) => rubberNamed(i.dims.rubber) ?? []))),
];

/** A spare piece of the rubber, measured before and after it lay in mineral oil; mm. It never goes into a unit after. */
export type SwellTest = { readonly beforeMm: number; readonly afterMm: number };
/** What a swell test shows: rubber for glycol fluids, rubber for mineral oil, or too little to tell. */
export type SwellAnswer = 'glycol-rubber' | 'oil-rubber' | 'undecided';

/** Growth in length past which a rubber is one that oil ruins, and up to which it is one that oil leaves alone, %: in a day in oil EPDM grows by a tenth and more, NBR by less than a fiftieth. */
const RUINED_PCT = 5;
const UNTOUCHED_PCT = 2;

/** Growth of a test piece, % of its length. */
export const swellPct = ({ beforeMm, afterMm }: SwellTest): number => (100 * (afterMm - beforeMm)) / beforeMm;

export const swellAnswer = (test: SwellTest): SwellAnswer => {
  const pct = swellPct(test);
  return pct >= RUINED_PCT ? 'glycol-rubber' : pct <= UNTOUCHED_PCT ? 'oil-rubber' : 'undecided';
};
