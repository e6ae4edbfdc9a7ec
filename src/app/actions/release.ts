'use server';

import { may } from '@/core/people/role';
import { EndKey } from '@/core/release/release-schemas';
import { fail } from '@/core/result';
import { JustTarget, Leave, Reopen, Sign } from '@/core/unit/unit-schemas';
import { loadUnit } from '@/db/engine/load-unit';
import { checkPin, sayPinError } from '@/db/people/people';
import { release, signForRelease } from '@/db/release/release';
import { endShopKey } from '@/db/release/shop-key';
import { leave, reopen } from '@/db/unit/sign-off';
import { act } from '../_server/act';
import { changeOf } from '../_server/change-of';

/** One signature under a release. Whoever signs enters their PIN, also when they are signed in. */
export const signAction = act('bench', Sign, async (i, { db, person, now }) => {
  const signer = await checkPin(db, i.signerId, i.pin, now, { kind: 'signed-in', personId: person.id });
  if (!signer.ok) return fail({ code: 'refused', reasons: [sayPinError(signer.error, now)] });
  const record = await loadUnit(db, i.unitId);
  const doing = (record?.signatures.length ?? 0) === 0 ? 'sign-first' : 'sign-second';
  if (!may(signer.value.role, doing))
    return fail({
      code: 'refused',
      reasons: [
        doing === 'sign-first' ? 'The first signature is a technician’s or a lead’s.' : 'The second signature is a lead’s or the owner’s.',
      ],
    });
  return signForRelease(db, changeOf(i, person, now, 'signed', signer.value.name), signer.value);
});

export const releaseAction = act('bench', JustTarget, (i, { db, person, now }) => release(db, changeOf(i, person, now, 'released')));
export const leaveAction = act('exit', Leave, (i, { db, person, now }) => leave(db, changeOf(i, person, now, 'exited', i.reason), i.exit));
export const reopenAction = act('reopen', Reopen, (i, { db, person, now }) =>
  reopen(db, changeOf(i, person, now, 'reopened', `${i.station}: ${i.reason}`), i.station),
);

/** A key that is not to sign any more; the next certificate is signed with a new one. */
export const endKeyAction = act('rules', EndKey, ({ id }, { db, person, now }) => endShopKey(db, person, id, now));
