import type { Problem } from '../schema/problems';
import { sayProblem } from '../schema/say-problem';
import { EVENT_KINDS, type EventKind } from './event-kind';

/** Someone changed the unit after this person had looked at it: both versions, and what was done since. Times in ms since 1970. */
export type Stale = {
  readonly code: 'stale';
  readonly yours: { readonly version: number; readonly what: EventKind };
  readonly theirs: { readonly version: number; readonly since: readonly ChangeSince[] };
};
/** `changes`: what it did, row by row, with what was there before and what is now. */
export type ChangeSince = {
  readonly by: string;
  readonly at: number;
  readonly what: EventKind;
  readonly note: string;
  readonly changes: readonly string[];
};

/** Why something was not saved. */
export type SaveError =
  | { readonly code: 'signed-out' }
  | { readonly code: 'forbidden' }
  | { readonly code: 'invalid'; readonly problems: readonly Problem[] }
  | { readonly code: 'no-such-unit' }
  | Stale
  | { readonly code: 'refused'; readonly reasons: readonly string[] }
  | { readonly code: 'storage'; readonly message: string }
  /** A fault of the program; its number is in the log. */
  | { readonly code: 'bug'; readonly id: string };

/** What to tell the person, and what to do about it. */
export const saySaveError = (e: SaveError): readonly string[] => {
  switch (e.code) {
    case 'signed-out':
      return ['You are signed out. Sign in again in another tab; what you typed stays here.'];
    case 'forbidden':
      return ['Your role may not do this.'];
    case 'invalid':
      return e.problems.map(sayProblem);
    case 'no-such-unit':
      return ['There is no such unit.'];
    case 'stale':
      return [
        `Not saved (${EVENT_KINDS[e.yours.what]}): ${[...new Set(e.theirs.since.map((s) => s.by))].join(' and ') || 'somebody'} changed it after you had looked. Both stand below: keep yours, or take theirs.`,
      ];
    case 'refused':
      return e.reasons;
    case 'storage':
      return [`Not saved: ${e.message}`];
    case 'bug':
      return [`Not saved, by a fault of the program, not of yours. Whoever looks after it finds it in the log by its number, ${e.id}.`];
  }
};
