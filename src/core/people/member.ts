import type { Person } from './role';
import type { Work } from './work';

/** A person as the owner knows them. Times in ms since 1970. */
export type Member = Person & {
  readonly leftAt: number | null;
  /** Null: in the shop's hours, at whatever the role does. */
  readonly work: Work | null;
  /** Can they sign in: with a PIN of their own, with a code that waits for them, or not at all? */
  readonly entry: { readonly kind: 'pin' } | { readonly kind: 'code'; readonly until: number } | { readonly kind: 'none' };
  readonly lastSeenAt: number | null;
};

/** Where somebody is signed in. */
export type OpenSession = {
  readonly id: string;
  readonly device: string;
  readonly since: number;
  readonly seenAt: number;
  readonly here: 'here' | 'elsewhere';
};

/** Wrong PINs of a person from a place: how many, and when the last one was tried. */
export type WrongPins = { readonly name: string; readonly place: string; readonly tries: number; readonly lastAt: number };
