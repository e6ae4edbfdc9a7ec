export const CONDITIONS = ['good', 'worn', 'scored', 'corroded', 'nicked', 'hard', 'swollen', 'split', 'bent', 'broken'] as const;
export type Condition = (typeof CONDITIONS)[number];
