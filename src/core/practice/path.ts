import { FAMILY_NAMES, type FamilyName } from '../family/family-name';
import type { Level } from './exercise';
import { kindsOf, PRACTICE_KIND_NAMES, type PracticeKind } from './kinds';

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

/** Families by when a beginner meets them: what has the fewest parts first. */
const MET: { readonly [F in FamilyName]: number } = {
  'wheel-single': 1,
  slave: 2,
  'wheel-double': 3,
  'master-lever': 4,
  'master-single': 5,
  'caliper-half': 6,
  'master-valve': 7,
  'master-tandem': 8,
};
/** Right ones in a row, without a hint, before a kind is known of a family. */
export const KNOWN_AFTER = 2;

/** What somebody answered of one family. */
export type FamilyTry = { readonly kind: string; readonly family: string | null; readonly right: boolean; readonly hints: number };
/** How far somebody is with one family. */
export type FamilyPath = { readonly family: FamilyName; readonly known: readonly PracticeKind[]; readonly ahead: readonly PracticeKind[] };

/** A beginner’s path, family by family. @param tries the newest first */
export const familyPaths = (tries: readonly FamilyTry[]): readonly FamilyPath[] =>
  [...FAMILY_NAMES]
    .sort((a, b) => MET[a] - MET[b])
    .map((family) => {
      const isKnown = (kind: PracticeKind): boolean => {
        const last = tries.filter((t) => t.family === family && t.kind === kind).slice(0, KNOWN_AFTER);
        return last.length === KNOWN_AFTER && last.every((t) => t.right && t.hints === 0);
      };
      const kinds = kindsOf(family);
      return { family, known: kinds.filter(isKnown), ahead: kinds.filter((k) => !isKnown(k)) };
    });

/** Which exercise comes next: on a family’s path what is ahead there; beside it, or where the path is done, what sits least. */
export type NextExercise = { readonly kind: PracticeKind; readonly level: Level; readonly family: FamilyName | null };
export const nextOf = (
  { sits, paths }: { readonly sits: readonly Sits[]; readonly paths: readonly FamilyPath[] },
  family: FamilyName | null,
  now: number,
): NextExercise => {
  const ahead = paths.find((p) => p.family === family)?.ahead[0];
  const kind = ahead ?? nextKind(sits, now);
  return { kind, level: sits.find((s) => s.kind === kind)?.level ?? 1, family: ahead === undefined ? null : family };
};
