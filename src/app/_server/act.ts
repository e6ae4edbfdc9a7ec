import { revalidatePath } from 'next/cache';
import type { z } from 'zod';
import { type Doing, may, type Person } from '@/core/people/role';
import { fail, type Result } from '@/core/result';
import { problemsOf } from '@/core/schema/problems';
import type { Sends } from '@/core/schema/sends';
import type { SaveError } from '@/core/unit/save-error';
import { type Db, theDb } from '@/db/engine/connection';
import { currentPerson } from './who';

type Ring = { readonly db: Db; readonly person: Person; readonly now: number };

/**
 * The outer ring of every action: who, may they, is the input sound, do it, show it.
 * @param door parses what the browser sent
 * @param work gets the parsed input; what it throws is the storage's trouble, told and not hidden
 */
export const act =
  <S extends z.ZodType, T>(doing: Doing, door: S, work: (input: z.output<S>, ring: Ring) => Promise<Result<T, SaveError>>) =>
  async (input: Sends<S>): Promise<Result<T, SaveError>> => {
    try {
      const person = await currentPerson();
      if (person === undefined) return fail({ code: 'signed-out' });
      if (!may(person.role, doing)) return fail({ code: 'forbidden' });
      const parsed = door.safeParse(input);
      if (!parsed.success) return fail({ code: 'invalid', problems: problemsOf(parsed.error) });
      const result = await work(parsed.data, { db: await theDb(), person, now: Date.now() });
      revalidatePath('/', 'layout');
      return result;
    } catch (error) {
      console.error(error);
      return fail({ code: 'storage', message: sayStorage(error) });
    }
  };

const sayStorage = (error: unknown): string => {
  const text = String((error as { cause?: unknown })?.cause ?? error);
  if (/SQLITE_FULL|ENOSPC/.test(text)) return 'the disk is full. Make room; nothing was half written.';
  if (/SQLITE_BUSY|SQLITE_LOCKED/.test(text)) return 'the database is locked by another program. Try again.';
  if (/SQLITE_CORRUPT|SQLITE_NOTADB/.test(text)) return 'the database file is damaged. Restore the last backup.';
  return 'the server could not store it. Nothing was half written; try again.';
};
