/** Wrong PINs in a row before a person is locked out, and for how long at first. */
export const FREE_TRIES = 5;
const FIRST_LOCK_MS = 60_000;
const LONGEST_LOCK_MS = 3_600_000;

export type PinState = { readonly failedPins: number; readonly lockedUntil: number | null };

/** May this person try a PIN now? @param now ms since 1970 */
export const isLocked = (s: PinState, now: number): boolean => s.lockedUntil !== null && s.lockedUntil > now;

/** After a wrong PIN: from the fifth on locked for a minute, doubling with each further one, an hour at most. */
export const afterWrongPin = (s: PinState, now: number): PinState => {
  const failedPins = s.failedPins + 1;
  const over = failedPins - FREE_TRIES;
  return { failedPins, lockedUntil: over < 0 ? null : now + Math.min(LONGEST_LOCK_MS, FIRST_LOCK_MS * 2 ** over) };
};
