import type { FileFaults } from '../schema/file-problem';

/** What becomes of a row: it is new, it changes what is there, or it is there already. */
export type Fate = 'new' | 'changed' | 'same';
export type FatedRow = { readonly line: number; readonly name: string; readonly fate: Fate; readonly what: string };

/** What becomes of a file: how many rows come to which fate, and the first rows; a person looks through no more. */
export type Forecast = { readonly counts: Readonly<Record<Fate, number>>; readonly first: readonly FatedRow[] };
const SHOWN = 400;

export const forecastOf = (fates: readonly FatedRow[]): Forecast => {
  const counts = { new: 0, changed: 0, same: 0 };
  for (const { fate } of fates) counts[fate] += 1;
  return { counts, first: fates.slice(0, SHOWN) };
};

/** What an import tells while it goes on, a line each; the last is an answer, or what is wrong: the first of it, and how much in all. */
export type ImportNews =
  | { readonly kind: 'progress'; readonly doing: string; readonly done: number; readonly of: number }
  | ({ readonly kind: 'planned'; readonly understood: string } & Forecast)
  | { readonly kind: 'written'; readonly added: number; readonly changed: number }
  | ({ readonly kind: 'wrong' } & FileFaults);

/** A file that was taken in. */
export type ImportRecord = {
  readonly id: string;
  readonly what: string;
  readonly file: string;
  readonly at: number;
  readonly by: string | null;
  readonly added: number;
  readonly changed: number;
  readonly undoneAt: number | null;
};
