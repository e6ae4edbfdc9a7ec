import type { Problem } from './problems';

/** Why something was not saved. */
export type SaveError =
  | { readonly code: 'signed-out' }
  | { readonly code: 'forbidden' }
  | { readonly code: 'invalid'; readonly problems: readonly Problem[] }
  | { readonly code: 'no-such-unit' }
  | {
      readonly code: 'stale';
      readonly yours: number;
      readonly theirs: number;
      readonly by: string;
      readonly at: number;
      readonly what: string;
    }
  | { readonly code: 'refused'; readonly reasons: readonly string[] }
  | { readonly code: 'storage'; readonly message: string };

/** What to tell the person, and what to do about it. */
export const saySaveError = (e: SaveError): readonly string[] => {
  switch (e.code) {
    case 'signed-out':
      return ['You are signed out. Sign in again in another tab; what you typed stays here.'];
    case 'forbidden':
      return ['Your role may not do this.'];
    case 'invalid':
      return e.problems.map((p) => (p.path === '' ? p.message : `${p.path}: ${p.message}`));
    case 'no-such-unit':
      return ['There is no such unit.'];
    case 'stale':
      return [
        `${e.by} changed this unit meanwhile (${e.what}): it is at version ${e.theirs}, you started from ${e.yours}. Look at theirs, then save yours again if it still holds.`,
      ];
    case 'refused':
      return e.reasons;
    case 'storage':
      return [`Not saved: ${e.message}`];
  }
};
