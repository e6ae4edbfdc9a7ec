import type { Fate } from './tray-schema';

/** What becomes of a part that came out. */
export const FATE_WORDS: { readonly [F in Fate]: string } = {
  refitted: 'goes back',
  replaced: 'new one',
  binned: 'bin, not replaced',
};
