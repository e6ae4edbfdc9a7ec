/** Wrong PINs in a row for a person from one place before that place waits, and for how long at first. */
export const FREE_TRIES = 5;
const FIRST_LOCK_MS = 60_000;
const LONGEST_LOCK_MS = 3_600_000;
/** Wrong PINs in a row are forgotten after this long. */
export const IN_A_ROW_MS = 24 * 3_600_000;

/** Wrong PINs from one place in a minute before sign-in from there waits: someone is going through the names. */
const PLACE_TRIES = 30;
export const PLACE_WINDOW_MS = 60_000;

/** Wrong PINs for a person from everywhere in an hour before places that they never signed in at wait: many places guess together. */
const PERSON_TRIES = 60;
export const PERSON_WINDOW_MS = 3_600_000;

/**
 * Until when a person's PIN is not tried at a place: from the fifth wrong one in a row there for a minute, doubling with each further one,
 * an hour at most; undefined while it may be. Times in ms since 1970.
 * @param wrongAt times of the wrong ones in a row, oldest first
 */
export const hereLockedUntil = (wrongAt: readonly number[], now: number): number | undefined => {
  const [last, over] = [wrongAt.at(-1), wrongAt.length - FREE_TRIES];
  return last === undefined || over < 0 ? undefined : stillAhead(last + Math.min(LONGEST_LOCK_MS, FIRST_LOCK_MS * 2 ** over), now);
};

/** Until when nobody's PIN is tried at a place; undefined while its wrong ones are few. @param wrongAt times of its wrong PINs, oldest first */
export const placeLockedUntil = (wrongAt: readonly number[], now: number): number | undefined =>
  windowLock(wrongAt, PLACE_TRIES, PLACE_WINDOW_MS, now);

/** Until when a person's PIN is tried at no place that is new to them. @param wrongAt times of their wrong PINs from everywhere, oldest first */
export const personLockedUntil = (wrongAt: readonly number[], now: number): number | undefined =>
  windowLock(wrongAt, PERSON_TRIES, PERSON_WINDOW_MS, now);

const windowLock = (wrongAt: readonly number[], most: number, windowMs: number, now: number): number | undefined => {
  const first = wrongAt.filter((at) => at > now - windowMs).at(-most);
  return first === undefined ? undefined : first + windowMs;
};

const stillAhead = (until: number, now: number): number | undefined => (until > now ? until : undefined);
