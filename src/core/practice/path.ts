import type { Level } from './exercise';
import { PRACTICE_KIND_NAMES, type PracticeKind } from './kinds';

/** How a kind sits with somebody. `dueAt`: when it is met again, ms since 1970; `again`: right ones in a row at its level. */
export type Sits = {
  readonly kind: PracticeKind;
  readonly level: Level;
  readonly dueAt: number;
  readonly tried: number;
  readonly right: number;
};

/** Right ones in a row, without a hint, before the next level. */
export const UP_AFTER = 3;
/** Wrong ones in a row before the level below. */
export const DOWN_AFTER = 2;

/** What is practised next: what is due, the longest first; then what was never met, in the order of the work; then what is due soonest. */
export const nextKind = (sits: readonly Sits[], now: number): PracticeKind => {
  const byDue = [...sits].sort((a, b) => a.dueAt - b.dueAt);
  const due = byDue.find((s) => s.dueAt <= now);
  const fresh = PRACTICE_KIND_NAMES.find((k) => !sits.some((s) => s.kind === k));
  return due?.kind ?? fresh ?? byDue[0]?.kind ?? PRACTICE_KIND_NAMES[0];
};

/** The level after an answer. @param before whether the last answers of the kind at this level were right without a hint, the newest first, this one among them */
export const levelAfter = (level: Level, before: readonly boolean[]): Level => {
  const run = (of: boolean): number => {
    const end = before.findIndex((b) => b !== of);
    return end === -1 ? before.length : end;
  };
  if (level < 3 && run(true) >= UP_AFTER) return (level + 1) as Level;
  if (level > 1 && run(false) >= DOWN_AFTER) return (level - 1) as Level;
  return level;
};
