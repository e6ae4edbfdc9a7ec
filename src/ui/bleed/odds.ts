import type { FinishedCounts, Likelihoods } from '@/core/book-in/likelihoods';

/** What the odds of causes rest on, for when it stays spongy. */
export type Odds = { readonly model: Likelihoods; readonly finished: FinishedCounts };
