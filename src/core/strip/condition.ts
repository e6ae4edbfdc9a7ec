/** How a part came out. */
export const CONDITION_WORDS = {
  good: 'good',
  worn: 'worn',
  scored: 'scored',
  corroded: 'corroded',
  nicked: 'nicked',
  hard: 'hard',
  swollen: 'swollen',
  split: 'split',
  cracked: 'cracked',
  bent: 'bent',
  broken: 'broken',
};
export type Condition = keyof typeof CONDITION_WORDS;
export const CONDITIONS = Object.keys(CONDITION_WORDS) as readonly Condition[];

/** What is so does not hold any more, whatever the part is. */
const SPOILT: readonly Condition[] = ['swollen', 'split', 'cracked', 'broken'];
export const isSpoilt = (condition: Condition | null): boolean => condition !== null && SPOILT.includes(condition);
