'use server';

import { z } from 'zod';
import { ok } from '@/core/result';
import { Id } from '@/core/schema/target';
import { text } from '@/core/schema/text';
import { TOKEN_SCOPES } from '@/core/shop/token';
import { makeToken, withdrawToken } from '@/db/shop/tokens';
import { act } from '../_server/act';

const MakeToken = z.object({ name: text().trim().min(1, 'what is it for?').max(60), scope: z.enum(TOKEN_SCOPES) });

/** Makes a token for a script or an instrument; this answer alone shows it. */
export const makeTokenAction = act('shop', MakeToken, async (t, { db, person, now }) =>
  ok({ token: await makeToken(db, { personId: person.id, at: now }, t) }),
);

export const withdrawTokenAction = act('shop', z.object({ id: Id }), async ({ id }, { db, person, now }) => {
  await withdrawToken(db, { personId: person.id, at: now }, id);
  return ok(null);
});
