import type { Station } from '../station';
import type { Level } from './exercise';
import { PRACTICE_KIND_NAMES, PRACTICE_KINDS, type PracticeKind } from './kinds';
import type { StationAsks } from './skill-schemas';

/** A skill as it was signed off, by whom, after watching what. `until`: when it ends by itself, ms since 1970; null: never. */
export type SignedSkill = {
  readonly id: string;
  readonly personId: string;
  readonly station: Station;
  readonly at: number;
  readonly by: string;
  readonly words: string;
  /** Whether what the station asks had been practised when it was signed off. */
  readonly practised: boolean;
  readonly until: number | null;
  readonly endedAt: number | null;
};

/** An exercise as it was answered, as far as skills ask. */
export type Try = { readonly kind: string; readonly level: number; readonly at: number; readonly right: boolean; readonly hints: number };

/** How far somebody is with one kind that a station asks. */
export type KindMet = { readonly kind: PracticeKind; readonly level: Level; readonly have: number; readonly of: number };

const MONTH_MS = 30.44 * 86_400_000;
/** So many months on, in mean months, ms since 1970. */
export const monthsOn = (at: number, months: number): number => Math.round(at + months * MONTH_MS);

/** What a station asks is met by right answers in a row, without a hint, the newest of them first. @param tries of one person */
export const kindsMet = (asks: StationAsks, tries: readonly Try[], now: number): readonly KindMet[] => {
  const since = monthsOn(now, -asks.withinMonths);
  return PRACTICE_KIND_NAMES.flatMap((kind): readonly KindMet[] => {
    const level = asks.kinds[kind];
    if (level === undefined) return [];
    const own = tries.filter((t) => t.kind === kind && t.level >= level && t.at >= since).sort((a, b) => b.at - a.at);
    const wrong = own.findIndex((t) => !t.right || t.hints > 0);
    return [{ kind, level, have: Math.min(asks.inARow, wrong === -1 ? own.length : wrong), of: asks.inARow }];
  });
};

export const isMet = (met: readonly KindMet[]): boolean => met.every((k) => k.have >= k.of);

export const sayKindMet = (k: KindMet): string => `${PRACTICE_KINDS[k.kind].label}, level ${k.level}: ${k.have} of ${k.of} right in a row`;

/** The skill of a station that somebody has now; the newest where it was signed off again. */
export const skillAt = (signed: readonly SignedSkill[], personId: string, station: Station, now: number): SignedSkill | undefined =>
  signed
    .filter((s) => s.personId === personId && s.station === station && s.endedAt === null && (s.until === null || s.until > now))
    .sort((a, b) => b.at - a.at)[0];
