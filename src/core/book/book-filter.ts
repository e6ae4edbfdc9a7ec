import { z } from 'zod';
import { CAUSE_NAMES } from '../book-in/cause';
import { UNIT_KINDS } from '../family/family-name';
import { MATERIALS } from '../family/material';
import { SCHOOLS } from '../rules/school';
import { text } from '../schema/text';
import { EXITS } from '../station';
import { WAYS } from '../way';

/** ms since 1970, up to the year 2100. */
const Moment = z.coerce.number().int().min(0).max(4_102_444_800_000);

/** Which units of the Book are asked for, as its address says it; what an address says wrongly is left out. */
export const BookFilterSchema = z.object({
  family: z.enum(UNIT_KINDS).optional().catch(undefined),
  material: z.enum(MATERIALS).optional().catch(undefined),
  exit: z.enum(EXITS).optional().catch(undefined),
  way: z.enum(WAYS).optional().catch(undefined),
  /** `yes`: it came back. */
  back: z.enum(['yes', 'no']).optional().catch(undefined),
  /** What it turned out to be. */
  cause: z.enum(CAUSE_NAMES).optional().catch(undefined),
  school: z.enum(SCHOOLS).optional().catch(undefined),
  /** Whether a run of it failed before it passed. */
  rig: z.enum(['failed', 'passed']).optional().catch(undefined),
  kit: text().trim().min(1).max(40).optional().catch(undefined),
  lot: text().trim().min(1).max(40).optional().catch(undefined),
  /** Left then or later, and before then. */
  from: Moment.optional().catch(undefined),
  until: Moment.optional().catch(undefined),
});
export type BookFilter = z.output<typeof BookFilterSchema>;

const NAMES = Object.keys(BookFilterSchema.shape) as (keyof BookFilter)[];

export const bookFilterIn = (asked: { readonly [name: string]: unknown }): BookFilter =>
  BookFilterSchema.parse(Object.fromEntries(NAMES.map((n) => [n, typeof asked[n] === 'string' && asked[n] !== '' ? asked[n] : undefined])));

export const isFiltered = (filter: BookFilter): boolean => NAMES.some((n) => filter[n] !== undefined);

/** A filter as an address says it. */
export const bookAddress = (filter: BookFilter, more: { readonly [name: string]: string } = {}): string =>
  new URLSearchParams([
    ...NAMES.flatMap((n): [string, string][] => (filter[n] === undefined ? [] : [[n, String(filter[n])]])),
    ...Object.entries(more),
  ]).toString();
