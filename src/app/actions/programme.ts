'use server';

import { SaveProgramme } from '@/core/prove/programme/programme-schemas';
import { saveProgramme } from '@/db/prove/save-programme';
import { act } from '../_server/act';

/** Saves a version of a family's programme; one that cannot be worked by is refused, with every reason. */
export const saveProgrammeAction = act('rules', SaveProgramme, (i, { db, person, now }) => saveProgramme(db, person, now, i));
