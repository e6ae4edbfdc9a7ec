import type { z } from 'zod';

type Report = (path: readonly PropertyKey[], message: string) => void;

/**
 * Adds a check across fields that also runs when single fields are wrong, so that everything wrong is said at once.
 * @param check gets the value as it came, which may be of any form
 */
export const crossCheck = <S extends z.ZodType>(schema: S, check: (value: unknown, report: Report) => void): S =>
  schema.superRefine((value, ctx) => check(value, (path, message) => ctx.addIssue({ code: 'custom', path: [...path], message })), {
    when: () => true,
  }) as S;

/** The entries of a list that may not be one. */
export const entriesOf = (value: unknown): readonly Record<string, unknown>[] =>
  Array.isArray(value) ? value.map((v: unknown) => (typeof v === 'object' && v !== null ? (v as Record<string, unknown>) : {})) : [];

/** One field of a value that may not be an object. */
export const fieldOf = (value: unknown, name: string): unknown =>
  typeof value === 'object' && value !== null ? (value as Record<string, unknown>)[name] : undefined;
