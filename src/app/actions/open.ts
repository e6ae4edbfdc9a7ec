'use server';

import { headers } from 'next/headers';
import { OpenShop } from '@/core/people/open-schema';
import { fail, ok, type Result } from '@/core/result';
import { problemsOf, sayFault } from '@/core/schema/problems';
import type { Sends } from '@/core/schema/sends';
import type { SaveError } from '@/core/unit/save-error';
import { shopDb } from '@/db/engine/connection';
import { signIn } from '@/db/people/people';
import { keyFits, openTheShop, sayOpenError } from '@/db/shop/open-shop';

/** Opens the shop by the key that was printed at the start, and signs its owner in. Whoever has no key is told nothing of what they sent. */
export async function openShopAction(input: Sends<typeof OpenShop>): Promise<Result<null, SaveError>> {
  const now = Date.now();
  const fits = keyFits(String(input?.key ?? ''), now);
  if (!fits.ok) return fail({ code: 'refused', reasons: [sayOpenError(fits.error)] });
  const parsed = OpenShop.safeParse(input, { error: sayFault });
  if (!parsed.success) return fail({ code: 'invalid', problems: problemsOf(parsed.error) });
  const { key, settings, owner } = parsed.data;
  const db = await shopDb();
  const opened = await openTheShop(db, now, key, settings, owner);
  if (!opened.ok) return fail({ code: 'refused', reasons: [sayOpenError(opened.error)] });
  await signIn(db, opened.value.ownerId, owner.passcode, await headers(), now);
  return ok(null);
}
