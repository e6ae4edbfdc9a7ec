import type { FileProblem } from '../schema/file-problem';

/** What becomes of a row: it is new, it changes what is there, or it is there already. */
export type Fate = 'new' | 'changed' | 'same';
export type FatedRow = { readonly line: number; readonly name: string; readonly fate: Fate; readonly what: string };

/** What an import tells while it goes on, a line each; the last is an answer or everything that is wrong. */
export type ImportNews =
  | { readonly kind: 'progress'; readonly doing: string; readonly done: number; readonly of: number }
  | { readonly kind: 'planned'; readonly understood: string; readonly fates: readonly FatedRow[] }
  | { readonly kind: 'written'; readonly added: number; readonly changed: number }
  | { readonly kind: 'wrong'; readonly problems: readonly FileProblem[] };

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
