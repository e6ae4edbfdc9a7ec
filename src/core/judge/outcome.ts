/** What a bore comes out as. */
export const BORE_OUTCOMES = ['reuse', 'polish', 'hone', 'sleeve', 'scrap', 'undecided'] as const;
export type BoreOutcome = (typeof BORE_OUTCOMES)[number];
