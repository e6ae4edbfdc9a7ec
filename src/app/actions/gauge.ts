'use server';

import { AddInstrument, CheckRing, MoveInstrument, SaveGauging, WhichInstrument } from '@/core/gauge/gauge-schemas';
import { fail, ok } from '@/core/result';
import { NUMBER_TAKEN } from '@/db/engine/number-taken';
import { saveGauging } from '@/db/gauge/gauging';
import { addInstrument, checkRing, moveInstrument, newToken, retireInstrument } from '@/db/gauge/instruments';
import { theShop } from '@/db/shop/settings';
import { act } from '../_server/act';
import { changeOf } from '../_server/change-of';

export const saveGaugingAction = act('bench', SaveGauging, (i, { db, person, now }) =>
  saveGauging(db, changeOf(i, person, now, 'gauged', `${i.pot === 1 ? '' : `pot ${i.pot}, `}${i.readings.length} readings`), i),
);

export const addInstrumentAction = act('rules', AddInstrument, async (gauge, { db, person, now }) =>
  (await addInstrument(db, { ...gauge, branch: person.branch ?? null }, now))
    ? ok({})
    : fail({ code: 'refused', reasons: ['There is a gauge of that name.'] }),
);

const NO_GAUGE = fail({ code: 'refused', reasons: ['There is no such gauge in use.'] } as const);

/** A gauge was held against its setting ring. */
export const checkRingAction = act('bench', CheckRing, async (check, { db, person, now }) =>
  (await checkRing(db, person, now, check)) ? ok({}) : fail({ code: 'refused', reasons: [NUMBER_TAKEN] }),
);

export const moveInstrumentAction = act('rules', MoveInstrument, async ({ instrumentId, branch }, { db }) => {
  if (!(await theShop(db)).settings.branches.some((b) => b.id === branch))
    return fail({ code: 'refused', reasons: ['There is no such branch.'] });
  return (await moveInstrument(db, instrumentId, branch)) ? ok({}) : NO_GAUGE;
});

export const retireInstrumentAction = act('rules', WhichInstrument, async ({ instrumentId }, { db, now }) =>
  (await retireInstrument(db, instrumentId, now)) ? ok({}) : NO_GAUGE,
);

/** A token for a gauge that posts its readings, shown once. */
export const newTokenAction = act('rules', WhichInstrument, async ({ instrumentId }, { db }) => {
  const token = await newToken(db, instrumentId);
  return token === undefined ? NO_GAUGE : ok({ token });
});
