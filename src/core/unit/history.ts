import type { Person } from '../people/role';
import { type EventKind, NOT_UNDOABLE } from './event-kind';

/** One step in a unit's history. Time in ms since 1970. */
export type HistoryLine = {
  readonly id: string;
  readonly at: number;
  readonly by: string;
  readonly personId: string;
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

/** The unit's last step, if this person made it and it can be taken back. @param lines the newest first */
export const undoable = (lines: readonly HistoryLine[], person: Person): HistoryLine | undefined => {
  const last = lines.find((l) => !l.undone && l.kind !== 'undone');
  return last === undefined || last.personId !== person.id || NOT_UNDOABLE.includes(last.kind) ? undefined : last;
};
