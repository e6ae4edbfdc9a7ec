'use server';

import { z } from 'zod';
import { putKitBack, setKitAside } from '@/db/stations/kit';
import { act } from '../_server/act';
import { changeOf, Id, Target } from '../_server/change-of';

export const setKitAsideAction = act('kit', z.object({ ...Target, kitId: Id }), (i, { db, person, now }) =>
  setKitAside(db, changeOf(i, person, now, 'kit-set-aside'), i.kitId),
);
export const putKitBackAction = act('kit', z.object({ ...Target, moveId: Id }), (i, { db, person, now }) =>
  putKitBack(db, changeOf(i, person, now, 'kit-put-back'), i.moveId),
);
