'use server';

import { AddInstrument, CheckRing, SaveGauging, WhichInstrument } from '@/core/gauge/gauge-doors';
import { fail, ok } from '@/core/result';
import { saveGauging } from '@/db/gauge/gauging';
import { addInstrument, checkRing, newToken, retireInstrument } from '@/db/gauge/instruments';
import { act } from '../_server/act';
import { changeOf } from '../_server/change-of';

export const saveGaugingAction = act('bench', SaveGauging, (i, { db, person, now }) =>
  saveGauging(db, changeOf(i, person, now, 'gauged', `${i.readings.length} readings`), i),
);

export const addInstrumentAction = act('rules', AddInstrument, async (gauge, { db, now }) =>
  (await addInstrument(db, gauge, now)) ? ok({}) : fail({ code: 'refused', reasons: ['There is a gauge of that name.'] }),
);

/** A gauge was held against its setting ring. */
export const checkRingAction = act('bench', CheckRing, async (check, { db, person, now }) => {
  await checkRing(db, person, now, check);
  return ok({});
});

export const retireInstrumentAction = act('rules', WhichInstrument, async ({ instrumentId }, { db, now }) => {
  await retireInstrument(db, instrumentId, now);
  return ok({});
});

/** A token for a gauge that posts its readings, shown once. */
export const newTokenAction = act('rules', WhichInstrument, async ({ instrumentId }, { db }) =>
  ok({ token: await newToken(db, instrumentId) }),
);
