import type { Faces } from '../family/facing';
import type { Fastened, GoesIn, PieceFrom, TrayPart } from './tray-schema';

/** What a person may say about a part: what came out at strip, or what went in at close-up, and how it was tightened. */
export type PartNews = Partial<Pick<TrayPart, 'kind' | 'found' | 'condition' | 'faces' | 'dims' | 'checks' | 'note' | 'fate'>> & {
  readonly goesIn?: { readonly piece: GoesIn['piece']; readonly faces: Faces | null } | null | undefined;
  readonly fastened?: Fastened | null | undefined;
  /** A lead's reason to let it go back though something is against it. */
  readonly allow?: string | undefined;
};

export type NewsFault = 'not-in' | 'own-is-in';

/**
 * A part with the news of it.
 * @param at the time of it, ms since 1970; a part that is said to be in again went in anew
 * @param from the piece that goes in, where it is a new one
 * @returns what is wrong with it where the two cannot be: something tightened that is not in, the unit's own piece in where there was none
 */
export const withNews = (
  part: TrayPart,
  { goesIn: put, fastened, allow: _, ...seen }: PartNews,
  at: number,
  from: PieceFrom | null,
): TrayPart | NewsFault => {
  const held = put === undefined ? part.goesIn : put === null ? null : putIn(put, at, part.goesIn?.fastened, from);
  if (held === null && fastened != null) return 'not-in';
  // What was allowed was allowed of the part as it was seen then.
  const seenAnew = 'condition' in seen || 'checks' in seen ? { allowed: null } : {};
  const whole = { ...part, ...seenAnew, ...seen, goesIn: held === null || fastened === undefined ? held : { ...held, fastened } };
  return whole.found === 'absent' && whole.goesIn?.piece === 'same' ? 'own-is-in' : whole;
};

/** A piece in its place. @param at ms since 1970 */
export const putIn = (
  { piece, faces }: NonNullable<PartNews['goesIn']>,
  at: number,
  fastened: Fastened | null = null,
  from: PieceFrom | null = null,
): GoesIn => (piece === 'new' ? { piece, faces, at, fastened, from } : { piece, faces, at, fastened });

/** The one place that words it. */
export const sayNewsFault = (fault: NewsFault, name: string): string =>
  fault === 'not-in' ? `The ${name} is not in yet: it is tightened once it is.` : `The unit’s own ${name} is in: take it out first.`;
