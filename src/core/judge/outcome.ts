/** What a bore comes out as. */
export type BoreOutcome = 'reuse' | 'polish' | 'hone' | 'sleeve' | 'scrap' | 'undecided';
