import type { z } from 'zod';
import { problemsOf, sayFault } from '@/core/schema/problems';
import { type Db, shopDb } from '@/db/engine/connection';
import { tokenOpens } from '@/db/shop/tokens';
import { bearerOf, problem } from './request';

/** For what is read elsewhere: a token for reading, and what is asked in the address; or the refusal. */
export async function readOrRefusal<S extends z.ZodType>(
  request: Request,
  asks: S,
): Promise<{ readonly db: Db; readonly asked: z.output<S> } | Response> {
  const [db, token] = [await shopDb(), bearerOf(request.headers)];
  if (token === undefined || !(await tokenOpens(db, token, 'read', Date.now())))
    return problem(401, 'Send a token for reading as a bearer.');
  const asked = asks.safeParse(Object.fromEntries(new URL(request.url).searchParams), { error: sayFault });
  return asked.success
    ? { db, asked: asked.data }
    : problem(422, 'The address asks for something that cannot be.', problemsOf(asked.error));
}
