import { z } from 'zod';

/** Nothing in a shop was or is promised outside of these; ms since 1970. */
const [FIRST, LAST] = [Date.UTC(2000, 0, 1), Date.UTC(2200, 0, 1)];

/** A moment from outside, ms since 1970: one that a calendar can show. */
export const when = (error = 'when?') =>
  z.number(error).int().min(FIRST, 'lies before the year 2000').max(LAST, 'lies after the year 2200');

/** A version or a count of changes. */
export const Version = z.number().int().min(0).max(1_000_000_000);
