import type { EventKind } from './event-kind';

/** One step in a unit's history. Time in ms since 1970. */
export type HistoryLine = {
  readonly id: string;
  readonly at: number;
  readonly by: string;
  readonly kind: EventKind;
  readonly note: string;
  readonly undone: boolean;
};

/** Like steps in a row told as one: how many, and when the last of them was. */
export type FoldedLine = HistoryLine & { readonly count: number };

/** A tray is recorded part by part: steps of one person that read alike, one after another, are told once. @param lines the newest first */
export const foldHistory = (lines: readonly HistoryLine[]): readonly FoldedLine[] => {
  const folded: FoldedLine[] = [];
  for (const line of lines) {
    const last = folded.at(-1);
    if (last !== undefined && readAlike(last, line)) folded[folded.length - 1] = { ...last, count: last.count + 1 };
    else folded.push({ ...line, count: 1 });
  }
  return folded;
};

const readAlike = (a: HistoryLine, b: HistoryLine): boolean =>
  a.kind === b.kind && a.by === b.by && a.note === b.note && a.undone === b.undone;
