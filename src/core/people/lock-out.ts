/** Wrong PINs in a row before a person is locked out, and for how long at first. */
export const FREE_TRIES = 5;
const FIRST_LOCK_MS = 60_000;
const LONGEST_LOCK_MS = 3_600_000;

/** Wrong PINs from one address in a minute before sign-in from there waits: someone is going through the names. */
const ADDRESS_TRIES = 30;
const ADDRESS_WINDOW_MS = 60_000;

export type PinState = { readonly failedPins: number; readonly lockedUntil: number | null };

/** May this person try a PIN now? @param now ms since 1970 */
export const isLocked = (s: PinState, now: number): boolean => s.lockedUntil !== null && s.lockedUntil > now;

/** After a wrong PIN: from the fifth on locked for a minute, doubling with each further one, an hour at most. */
export const afterWrongPin = (s: PinState, now: number): PinState => {
  const failedPins = s.failedPins + 1;
  const over = failedPins - FREE_TRIES;
  return { failedPins, lockedUntil: over < 0 ? null : now + Math.min(LONGEST_LOCK_MS, FIRST_LOCK_MS * 2 ** over) };
};

/** Until when no PIN from an address is tried; undefined while its wrong ones are few. @param wrongAt times of its wrong PINs, oldest first */
export const addressLockedUntil = (wrongAt: readonly number[], now: number): number | undefined => {
  const first = wrongAt.filter((at) => at > now - ADDRESS_WINDOW_MS).at(-ADDRESS_TRIES);
  return first === undefined ? undefined : first + ADDRESS_WINDOW_MS;
};
