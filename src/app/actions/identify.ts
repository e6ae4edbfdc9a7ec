'use server';

import { IdentifyUnit } from '@/core/identify/identify-schemas';
import { identifyUnit } from '@/db/identify/identity';
import { act } from '../_server/act';
import { changeOf } from '../_server/change-of';

export const identifyAction = act('book-in', IdentifyUnit, (i, { db, person, now }) =>
  identifyUnit(db, changeOf(i, person, now, 'identified'), i),
);
