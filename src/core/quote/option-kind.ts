/** What may be done for a customer. */
export const OPTION_WORDS = {
  repair: 'repair',
  sleeve: 'sleeve',
  exchange: 'exchange unit',
  new: 'new unit',
  'give-back': 'give back as it is',
} as const;
export type OptionKind = keyof typeof OPTION_WORDS;
export const OPTION_KINDS = Object.keys(OPTION_WORDS) as [OptionKind, ...OptionKind[]];

/** Whether the customer's own unit is made good by it. */
export const mends = (kind: OptionKind): boolean => kind === 'repair' || kind === 'sleeve';
