import { randomUUID } from 'node:crypto';
import { revalidatePath } from 'next/cache';
import { headers } from 'next/headers';
import type { z } from 'zod';
import { type Doing, may, type Person } from '@/core/people/role';
import { fail, type Result } from '@/core/result';
import { problemsOf, sayFault } from '@/core/schema/problems';
import type { Sends } from '@/core/schema/sends';
import { sent } from '@/core/schema/stored';
import type { SaveError } from '@/core/unit/save-error';
import { type Db, practiceNow, theDb } from '@/db/engine/connection';
import { NUMBER_TAKEN } from '@/db/engine/number-taken';
import { theLog } from '@/log';
import { currentPerson } from './who';

/** What is done to a practice unit as to any other; its customer is asked of nobody, but may be noted. */
const PRACTISED: readonly Doing[] = ['see', 'bench', 'kit', 'book-in', 'override', 'reopen'];

type Caller = { readonly db: Db; readonly person: Person; readonly now: number };

/**
 * What every action does around its own work: who, may they, is the input sound, do it, show it.
 * @param schema parses what the browser sent
 * @param work gets the parsed input; what it throws is told, as the storage's trouble or as a fault of ours
 * @returns the action, with what it asks of its caller and of its input beside it
 */
export const act = <S extends z.ZodType, T>(
  doing: Doing,
  schema: S,
  work: (input: z.output<S>, caller: Caller) => Promise<Result<T, SaveError>>,
) => {
  const taken = sent(schema);
  const action = async (input: Sends<S>): Promise<Result<T, SaveError>> => {
    try {
      const person = await currentPerson();
      if (person === undefined) return fail({ code: 'signed-out' });
      if (!may(person.role, doing)) return fail({ code: 'forbidden' });
      if (practiceNow() !== undefined && !PRACTISED.includes(doing))
        return fail({ code: 'refused', reasons: ['That is no part of a practice job.'] });
      const parsed = taken.safeParse(input, { error: sayFault });
      if (!parsed.success) return fail({ code: 'invalid', problems: problemsOf(parsed.error) });
      const result = await work(parsed.data, { db: await theDb(), person, now: Date.now() });
      revalidatePath('/', 'layout');
      return result;
    } catch (error) {
      return fail(await trouble(error, doing));
    }
  };
  return Object.assign(action, { doing, schema });
};

/** What an action threw: the storage's trouble is told as that; anything else is a fault of ours, told with the number that it has in the log. */
const trouble = async (error: unknown, doing: Doing): Promise<SaveError> => {
  const clash = sayConstraint(error);
  if (clash !== undefined) return { code: 'refused', reasons: [clash] };
  const id = (await headers()).get('x-request-id') ?? randomUUID();
  const message = sayStorage(error);
  theLog().error({ err: error, id, doing }, message === undefined ? 'a fault in an action' : 'the storage failed');
  return message === undefined ? { code: 'bug', id } : { code: 'storage', message };
};

/** What was sent names something that is not there, or takes a number that is taken; undefined for any other trouble. */
const sayConstraint = (error: unknown): string | undefined => {
  const text = codesOf(error).join(' ');
  if (/SQLITE_CONSTRAINT_FOREIGNKEY/.test(text)) return 'There is no such thing as this refers to, or not any more. Load the page anew.';
  if (/SQLITE_CONSTRAINT_(PRIMARYKEY|UNIQUE)/.test(text)) return NUMBER_TAKEN;
  return undefined;
};

/** The storage's trouble in words; undefined when it is none of the storage's. */
const sayStorage = (error: unknown): string | undefined => {
  const text = codesOf(error).join(' ');
  if (/SQLITE_FULL|ENOSPC/.test(text)) return 'the disk is full. Make room; nothing was half written.';
  if (/SQLITE_BUSY|SQLITE_LOCKED/.test(text)) return 'the database is locked by another program. Try again.';
  if (/SQLITE_CORRUPT|SQLITE_NOTADB/.test(text)) return 'the database file is damaged. Restore the last backup.';
  if (/SQLITE_(IOERR|READONLY|CANTOPEN|PERM)|EIO|EACCES|EROFS/.test(text))
    return 'the database file cannot be written. Nothing was half written.';
  return undefined;
};

/** Codes of an error and of what caused it. */
const codesOf = (error: unknown): readonly string[] =>
  error instanceof Error
    ? [
        ...['code', 'extendedCode'].map((name) => String((error as unknown as Record<string, unknown>)[name] ?? '')),
        ...codesOf(error.cause),
      ]
    : [];
