/** Letters and figures that are not taken for one another, on paper or read out: no I, L, O, U, 0, 1. */
const SIGNS = 'ABCDEFGHJKMNPQRSTVWXYZ23456789';
const LENGTH = 10;

/** For how long a code lets a person in, ms. */
export const CODE_LASTS_MS = 7 * 24 * 3_600_000;

/** A code from random numbers. @param random `length` whole numbers from 0 up, evenly spread over at least 16 bits */
export const codeFrom = (random: Uint16Array): string => [...random.slice(0, LENGTH)].map((n) => SIGNS[n % SIGNS.length]).join('');
export const CODE_LENGTH = LENGTH;

/** As it is read out: `ABCDE-FGHJK`. */
export const sayCode = (code: string): string => `${code.slice(0, LENGTH / 2)}-${code.slice(LENGTH / 2)}`;
/** As it was typed, back to the code. */
export const codeTyped = (typed: string): string => typed.toUpperCase().replace(/[^A-Z0-9]/g, '');
