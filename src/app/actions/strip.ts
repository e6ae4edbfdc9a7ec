'use server';

import { AddPart, DropPart, RecordPart, RecordRest, TellStep, Treat } from '@/core/strip/strip-schemas';
import { METHODS } from '@/core/strip/treatment';
import { treat } from '@/db/clean/treatments';
import { tellStep } from '@/db/strip/guide';
import { addPart, dropPart, recordPart, recordRest } from '@/db/strip/tray';
import { act } from '../_server/act';
import { changeOf } from '../_server/change-of';

export const recordPartAction = act('bench', RecordPart, (i, { db, person, now }) =>
  recordPart(
    db,
    changeOf(i, person, now, i.news.goesIn == null && i.news.fastened == null ? 'part-recorded' : 'part-in'),
    i.partId,
    i.news,
  ),
);

export const recordRestAction = act('bench', RecordRest, (i, { db, person, now }) =>
  recordRest(
    db,
    changeOf(i, person, now, 'part-recorded', `${i.partIds.length} ${i.as === 'usual' ? 'as usual' : 'not on this unit'}`),
    i.partIds,
    i.as,
  ),
);

export const addPartAction = act('bench', AddPart, (i, { db, person, now }) =>
  addPart(db, changeOf(i, person, now, 'part-added', i.name), i),
);
export const dropPartAction = act('bench', DropPart, (i, { db, person, now }) =>
  dropPart(db, changeOf(i, person, now, 'part-added', 'taken off again'), i.partId),
);

export const tellStepAction = act('bench', TellStep, (i, { db, person, now }) => tellStep(db, changeOf(i, person, now, 'step-ticked'), i));

export const treatAction = act('bench', Treat, (i, { db, person, now }) =>
  treat(db, changeOf({ ...i, version: null }, person, now, 'treated', METHODS[i.method].label), i),
);
