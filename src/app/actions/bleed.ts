'use server';

import { DropSystemSchema, KeepSystemSchema, SaveBleedSchema } from '@/core/bleed/bleed-schemas';
import { saveBleed } from '@/db/bleed/bleeds';
import { dropSystem, keepSystem } from '@/db/bleed/systems';
import { act } from '../_server/act';

export const keepSystemAction = act('machine', KeepSystemSchema, (i, { db, person, now }) =>
  keepSystem(db, { personId: person.id, at: now }, i),
);

export const dropSystemAction = act('machine', DropSystemSchema, ({ id }, { db }) => dropSystem(db, id));

/** All that was done in a bleed so far; sent again as it goes on. */
export const saveBleedAction = act('machine', SaveBleedSchema, (i, { db, person, now }) =>
  saveBleed(db, { personId: person.id, at: now }, i),
);
