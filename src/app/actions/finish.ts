'use server';

import { FINISHES } from '@/core/finish/finish';
import { FindCured, PutOnFinish } from '@/core/finish/finish-schemas';
import { findCured, putOnFinish } from '@/db/finish/finish';
import { act } from '../_server/act';
import { changeOf } from '../_server/change-of';

export const putOnFinishAction = act('bench', PutOnFinish, (i, { db, person, now }) =>
  putOnFinish(db, changeOf(i, person, now, 'finish-started', FINISHES[i.finish].label), i),
);

export const findCuredAction = act('bench', FindCured, (i, { db, person, now }) =>
  findCured(db, changeOf(i, person, now, 'finish-cured'), i),
);
