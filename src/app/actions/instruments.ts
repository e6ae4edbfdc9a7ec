'use server';

import { z } from 'zod';
import { DiaMm } from '@/core/gauge/gauge-door';
import { fail, ok } from '@/core/result';
import { addInstrument, checkRing, newToken, retireInstrument } from '@/db/gauge/instruments';
import { act } from '../_server/act';
import { Id } from '../_server/change-of';

const Gauge = z.object({ id: Id, name: z.string().trim().min(2, 'what is it called?').max(60) });

export const addInstrumentAction = act('rules', Gauge, async (gauge, { db, now }) =>
  (await addInstrument(db, gauge, now)) ? ok({}) : fail({ code: 'refused', reasons: ['There is a gauge of that name.'] }),
);

const Check = z.object({ checkId: Id, instrumentId: Id, ringMm: DiaMm, readMm: DiaMm });

/** A gauge was held against its setting ring. */
export const checkRingAction = act('bench', Check, async (check, { db, person, now }) => {
  await checkRing(db, person, now, check);
  return ok({});
});

const Which = z.object({ instrumentId: Id });

export const retireInstrumentAction = act('rules', Which, async ({ instrumentId }, { db, now }) => {
  await retireInstrument(db, instrumentId, now);
  return ok({});
});

/** A token for a gauge that posts its readings, shown once. */
export const newTokenAction = act('rules', Which, async ({ instrumentId }, { db }) => ok({ token: await newToken(db, instrumentId) }));
