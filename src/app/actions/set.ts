'use server';

import { SaveGap } from '@/core/set/set-schemas';
import { saveGap } from '@/db/unit/bench';
import { act } from '../_server/act';
import { changeOf } from '../_server/change-of';

export const saveGapAction = act('bench', SaveGap, (i, { db, person, now }) => saveGap(db, changeOf(i, person, now, 'gap-saved'), i));
